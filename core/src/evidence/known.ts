import { defaultSigma, GRADES, type Grade } from './grade'

/** A value that knows how well it is known. `sigma` is one standard uncertainty, in the value's unit. */
export interface Known {
  readonly value: number
  readonly sigma: number
  readonly grade: Grade
}

/**
 * A value with its grade; the uncertainty is the grade's default where none is stated.
 *
 * @example known(8, 'claim') // { value: 8, sigma: 0.56, grade: 'claim' }
 */
export const known = (value: number, grade: Grade, sigma?: number | null): Known => ({
  value,
  sigma: sigma ?? defaultSigma(value, grade),
  grade,
})

/** A term of a sum: a known value, and how many times it counts (−1 for what comes off). */
export interface Term {
  readonly known: Known
  readonly times: number
}

/** Variances summed by the grade of what they come from; a grade that nothing has is absent. */
export type VarianceByGrade = Readonly<Partial<Record<Grade, number>>>

/**
 * The grade of a roll-up: the weakest grade that matters. A grade matters when the terms of that grade,
 * or weaker, hold a tenth or more of the variance; a guessed clip doesn't spoil a weighed car.
 *
 * @param variances what each grade contributes to the variance
 * @returns the weakest grade present when there is no variance at all, a guess for nothing
 * @source common practice; the tenth is the product's own
 */
export function gradeOf(variances: VarianceByGrade): Grade {
  const present = GRADES.filter((grade) => variances[grade] !== undefined)
  const total = present.reduce((sum, grade) => sum + variances[grade]!, 0)
  let held = 0
  for (const grade of present) {
    held += variances[grade]!
    if (held >= total / 10) return grade
  }
  return 'guess'
}

/** The same for a list of terms. */
export function rollUpGrade(terms: readonly { variance: number; grade: Grade }[]): Grade {
  const variances: Partial<Record<Grade, number>> = {}
  for (const { variance, grade } of terms) variances[grade] = (variances[grade] ?? 0) + variance
  return gradeOf(variances)
}

/**
 * Sum of independent values: variances add.
 *
 * @returns zero, graded as a guess, for no terms
 * @source JCGM 100:2008 (GUM), 5.1.2, equation 10: law of propagation for uncorrelated inputs
 * @example sumKnown([{ known: known(10, 'measured', 3), times: 1 }, { known: known(4, 'measured', 4), times: -1 }])
 * // { value: 6, sigma: 5, grade: 'measured' }
 */
export function sumKnown(terms: readonly Term[]): Known {
  let value = 0
  let variance = 0
  const parts = terms.map(({ known: k, times }) => {
    const part = (times * k.sigma) ** 2
    value += times * k.value
    variance += part
    return { variance: part, grade: k.grade }
  })
  return { value, sigma: Math.sqrt(variance), grade: rollUpGrade(parts) }
}

/**
 * Ratio of two independent values: relative variances add.
 *
 * @throws {RangeError} when the denominator is zero
 * @source JCGM 100:2008 (GUM), 5.1.6, equation 12
 * @example ratioKnown(known(200e3, 'measured', 2e3), known(1000, 'measured', 10)) // { value: 200, sigma: 2.83, … }
 */
export function ratioKnown(top: Known, bottom: Known): Known {
  if (bottom.value === 0) throw new RangeError('a ratio needs a denominator other than zero')
  const value = top.value / bottom.value
  const fromTop = (top.sigma / bottom.value) ** 2
  const fromBottom = ((value * bottom.sigma) / bottom.value) ** 2
  return {
    value,
    sigma: Math.sqrt(fromTop + fromBottom),
    grade: rollUpGrade([
      { variance: fromTop, grade: top.grade },
      { variance: fromBottom, grade: bottom.grade },
    ]),
  }
}
