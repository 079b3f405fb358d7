/** A flat panel as it is cut, m: its front edge, how far it goes, and its corners. */
export interface PanelShape {
  /** Width at the front, and at the back; `null` at the back for the same. */
  readonly span: number
  readonly rearWidth: number | null
  /** Along the car in the open, and out of sight under the bumper. */
  readonly chord: number
  readonly under: number
  /** Of the front corners; 0 for square ones. */
  readonly cornerRadius: number
}
/** Along the car from the front edge, and across from the middle, m. */
export interface OutlinePoint {
  readonly x: number
  readonly y: number
}

const ARC = 12

/**
 * The outline of a panel, all the way round, clockwise from its front left corner as seen from above.
 *
 * Its sides run straight back as far as it is in the open, then draw in to the width at the back.
 *
 * @throws {RangeError} for sizes not above zero, or corners rounder than the panel has room for
 * @source geometry
 * @example panelOutline({ span: 1.6, rearWidth: 1.2, chord: 0.2, under: 0.3, cornerRadius: 0.08 })
 */
export function panelOutline(shape: PanelShape): OutlinePoint[] {
  const { span, chord, under, cornerRadius: r } = shape
  const rear = shape.rearWidth ?? span
  if (!(span > 0 && rear > 0 && chord > 0 && under >= 0)) throw new RangeError('a panel has sizes above zero')
  if (!(r >= 0)) throw new RangeError('a corner’s radius is not below zero')
  if (r > chord || r > span / 2) throw new RangeError('its corners are rounder than the panel has room for')
  const half = span / 2
  const corner: OutlinePoint[] =
    r === 0
      ? [{ x: 0, y: half }]
      : Array.from({ length: ARC + 1 }, (_, i) => {
          const turn = (i / ARC) * (Math.PI / 2)
          return { x: r - r * Math.cos(turn), y: half - r + r * Math.sin(turn) }
        })
  const side = [...corner, { x: chord, y: half }, ...(under > 0 ? [{ x: chord + under, y: rear / 2 }] : [])]
  const mirrored = [...side].reverse().map(({ x, y }) => ({ x, y: -y }))
  return [...side, ...mirrored]
}

/**
 * The area inside an outline, m².
 *
 * @source shoelace formula
 * @example outlineArea([{ x: 0, y: 0 }, { x: 1, y: 0 }, { x: 1, y: 1 }, { x: 0, y: 1 }]) // 1
 */
export const outlineArea = (outline: readonly OutlinePoint[]): number =>
  Math.abs(
    outline.reduce((sum, p, i) => {
      const next = outline[(i + 1) % outline.length]!
      return sum + p.x * next.y - next.x * p.y
    }, 0),
  ) / 2

/** Where struts go through a panel: evenly across, in one row that far behind the front edge. */
export const strutMarks = (span: number, count: number, behind: number): OutlinePoint[] =>
  Array.from({ length: count }, (_, i) => ({ x: behind, y: ((i + 0.5) / count - 0.5) * span }))

/**
 * The middle of an outline's area along the car, m behind its front edge.
 *
 * @source shoelace formula for the first moment
 * @example outlineMiddle(panelOutline({ span: 1.6, rearWidth: null, chord: 0.2, under: 0, cornerRadius: 0 })) // 0.1
 */
export function outlineMiddle(outline: readonly OutlinePoint[]): number {
  let [area, moment] = [0, 0]
  outline.forEach((p, i) => {
    const next = outline[(i + 1) % outline.length]!
    const cross = p.x * next.y - next.x * p.y
    area += cross / 2
    moment += ((p.x + next.x) * cross) / 6
  })
  return moment / area
}
