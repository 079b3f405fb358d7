export interface TyreSize {
  /** m */
  readonly width: number
  /** Height of the side wall as a share of the width. */
  readonly aspect: number
  /** Of the rim, m. */
  readonly rim: number
  /** Outside, unloaded, m. */
  readonly diameter: number
}

const REMEDY = 'Write a size such as 265/35R18: width in mm, height in per cent of it, rim in inches.'
/** A loaded tyre turns as if it were this much smaller (common practice: about 3 %). */
const LOADED = 0.97

/**
 * Reads a tyre's size as it is written: `265/35R18`, `265/35 ZR 18`, `265-35-18`, `265 35 18`, `P265/35R18 97Y`.
 *
 * @returns the size, or what is wrong and what would be right
 * @source diameter = rim · 25.4 + 2 · width · aspect / 100 (mm): the definition of the metric tyre code
 * @example tyreSize('265/35R18') // { diameter: 0.6427, … }
 */
export function tyreSize(text: string): TyreSize | { readonly problem: string } {
  const found =
    /^\s*(?:P|LT)?\s*(\d{2,3})\s*[/\- ]\s*(\d{1,3})\s*(?:[/\- ]|Z?R|B|D)*\s*(\d{2}(?:[.,]5)?)\b/i.exec(text)
  if (!found) return { problem: `“${text.trim()}” is not a tyre size. ${REMEDY}` }
  const [width, aspect, rim] = found.slice(1).map((part) => Number(part.replace(',', '.'))) as [
    number,
    number,
    number,
  ]
  if (width < 105 || width > 455) return { problem: `A width of ${width} mm is no car’s. ${REMEDY}` }
  if (aspect < 20 || aspect > 95) return { problem: `A height of ${aspect} % is no car’s. ${REMEDY}` }
  if (rim < 10 || rim > 26) return { problem: `A rim of ${rim} inches is no car’s. ${REMEDY}` }
  const mm = rim * 25.4 + (2 * width * aspect) / 100
  return { width: width / 1000, aspect: aspect / 100, rim: (rim * 25.4) / 1000, diameter: mm / 1000 }
}

/** How a tyre's rolling radius is known; what was measured goes before what is worked out. */
export interface TyreMeasures {
  /** Distance of one turn with the car on it, m. */
  readonly rollOut: number | null
  /** Outside, unloaded, m. */
  readonly diameter: number | null
  readonly size: string | null
}

/**
 * The rolling radius of a tyre, from its roll-out, its unloaded diameter or its size, in this order.
 *
 * @returns m and where it came from; `null` when nothing is known or the size can't be read
 * @source roll-out / 2π; unloaded less about 3 % is common practice
 * @example rollingRadius({ rollOut: null, diameter: null, size: '265/35R18' })!.radius // 0.3117
 */
export function rollingRadius({ rollOut, diameter, size }: TyreMeasures): {
  readonly radius: number
  readonly from: 'rollOut' | 'diameter' | 'size'
} | null {
  if (rollOut !== null) return { radius: rollOut / (2 * Math.PI), from: 'rollOut' }
  if (diameter !== null) return { radius: (LOADED * diameter) / 2, from: 'diameter' }
  const read = size === null ? null : tyreSize(size)
  return read && 'diameter' in read ? { radius: (LOADED * read.diameter) / 2, from: 'size' } : null
}
