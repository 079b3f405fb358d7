const VULGAR: Record<string, string> = {
  '½': '1/2',
  '¼': '1/4',
  '¾': '3/4',
  '⅛': '1/8',
  '⅜': '3/8',
  '⅝': '5/8',
  '⅞': '7/8',
}

/** Characters of a number as people write it: digits, marks, a fraction, a sign. */
export const NUMBER_PATTERN = String.raw`[-+−]?(?:\d+\s+\d+\s*\/\s*\d+|\d+\s*\/\s*\d+|\d{1,3}(?:[   ]\d{3})+(?:[.,]\d+)?|(?:\d[\d.,']*|[.,]\d+)(?:[eE][-+]?\d+)?)`

/**
 * A number as a person types it: `19,1`, `1,412`, `1.412,5`, `7 1/2`, `½`, `1 412`, `1'412`, `−3`.
 *
 * A single comma is a decimal mark unless exactly three digits follow one to three digits that don't
 * start with zero: `1,412` is one thousand four hundred and twelve, `0,412` and `19,10` are not.
 * The caller shows what was understood, so that the other reading is noticed.
 *
 * @returns the number, or `null` when the text is not one
 * @example readNumber('7 1/2') // 7.5
 * @example readNumber('19,1') // 19.1
 */
export function readNumber(text: string): number | null {
  let t = text.trim().replace(/−/g, '-')
  for (const [glyph, fraction] of Object.entries(VULGAR)) t = t.replace(glyph, ` ${fraction}`)
  t = t.trim()
  const mixed = /^([-+]?)(?:(\d+)\s+)?(\d+)\s*\/\s*(\d+)$/.exec(t)
  if (mixed) {
    const [, sign, whole, top, bottom] = mixed
    if (Number(bottom) === 0) return null
    const size = Number(whole ?? 0) + Number(top) / Number(bottom)
    return sign === '-' ? -size : size
  }
  t = t.replace(/['   ](?=\d{3}(\D|$))/g, '')
  const lastComma = t.lastIndexOf(',')
  const lastDot = t.lastIndexOf('.')
  if (lastComma >= 0 && lastDot >= 0) {
    t = lastComma > lastDot ? t.replace(/\./g, '').replace(',', '.') : t.replace(/,/g, '')
  } else if (lastComma >= 0) {
    const thousands = /^[-+]?[1-9]\d{0,2}(,\d{3})+$/.test(t)
    t = thousands ? t.replace(/,/g, '') : t.replace(',', '.')
  }
  if (!/^[-+]?(\d+\.?\d*|\.\d+)([eE][-+]?\d+)?$/.test(t)) return null
  const value = Number(t)
  return Number.isFinite(value) ? value : null
}
