/**
 * How well a number is known. The order matters: each grade is stronger than the one before it.
 *
 * - `guess`: someone's feel
 * - `claim`: a maker's or seller's figure
 * - `measured`: our own instrument, once
 * - `proven`: two or more independent measurements that agree
 */
export const GRADES = ['guess', 'claim', 'measured', 'proven'] as const
export type Grade = (typeof GRADES)[number]

/** True for figures that somebody's own instrument stands behind. */
export const isMeasured = (grade: Grade): boolean => grade === 'measured' || grade === 'proven'

export const weakerGrade = (a: Grade, b: Grade): Grade => (GRADES.indexOf(a) <= GRADES.indexOf(b) ? a : b)

/** One standard uncertainty as a share, by grade, where nobody stated one (common practice). */
export const USUAL_DOUBT: Readonly<Record<Grade, number>> = {
  guess: 0.2,
  claim: 0.07,
  measured: 0.01,
  proven: 0.01,
}

/**
 * The standard uncertainty that a figure has when nobody stated one: 20 % for a guess, 7 % for a claim,
 * 1 % or the instrument's resolution, the larger, for a measurement.
 *
 * @param value the figure, any unit
 * @param grade its evidence grade
 * @param resolution the smallest step of the instrument, in the same unit
 * @source common practice; the defaults are the product's own and editable wherever they apply
 * @example defaultSigma(8, 'guess') // 1.6
 * @example defaultSigma(0.4, 'measured', 0.05) // 0.05
 */
export function defaultSigma(value: number, grade: Grade, resolution = 0): number {
  const relative = USUAL_DOUBT[grade] * Math.abs(value)
  return isMeasured(grade) ? Math.max(relative, resolution) : relative
}
