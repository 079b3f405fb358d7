const REMEDY = 'Write ratios such as 4.10, or teeth such as 41/10, with commas or spaces between them.'

/**
 * Reads the ratios of a set as people write them: `4.10, 4.44`, `4.10 4.44`, `41/10`, `41:10`, `4.1:1`.
 *
 * A pair of whole numbers is teeth, driven before driving: 41/10 is 4.10. Quick-change gears are pairs too.
 *
 * @returns the ratios in the order written, or what is wrong and what would be right
 * @source ratio = driven teeth / driving teeth (kinematics)
 * @example ratiosFrom('3.2, 1.9; 43/37') // [3.2, 1.9, 1.1622]
 */
export function ratiosFrom(text: string): readonly number[] | { readonly problem: string } {
  const words = text
    .trim()
    // A decimal comma stands between digits with no space after it, and with one or no digit before it.
    .replace(/(?<![\d.])(\d),(\d{1,3})(?![\d,.])/g, '$1.$2')
    .split(/[\s;,]+/)
    .filter((word) => word !== '')
  if (words.length === 0) return { problem: `No ratio is written. ${REMEDY}` }
  const ratios: number[] = []
  for (const word of words) {
    const found = /^(\d+(?:\.\d+)?)(?:[/:](\d+(?:\.\d+)?))?$/.exec(word)
    const ratio = found ? Number(found[1]) / Number(found[2] ?? 1) : NaN
    if (!Number.isFinite(ratio)) return { problem: `“${word}” is no ratio. ${REMEDY}` }
    if (ratio < 0.2 || ratio > 12)
      return { problem: `${word} gives ${ratio.toPrecision(3)}, which no gear is. ${REMEDY}` }
    ratios.push(ratio)
  }
  return ratios
}
