import { NO_DOUBTS, sigmaOf, sumDoubts, type Doubts } from './doubts'
import { defaultSigma, GRADES, type Grade } from './grade'

/** A value that knows how well it is known. `sigma` is one standard uncertainty, in the value's unit. */
export interface Known {
  readonly value: number
  readonly sigma: number
  readonly grade: Grade
  /**
   * What of that uncertainty has a name, so that figures that share a source are told apart from those that don't. The
   * rest is this figure's own, and no other's; left out where nothing has one.
   */
  readonly doubts?: Doubts
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

/**
 * A value whose uncertainty is what its named doubts come to.
 *
 * @example named(300, 'measured', { dyno: 9, day: 3 }).sigma // 9.4868
 */
export const named = (value: number, grade: Grade, doubts: Doubts): Known => ({
  value,
  sigma: sigmaOf(doubts),
  grade,
  doubts,
})

/**
 * A known value as it is stored and sent: what it shares with others is worked out anew wherever it is needed.
 *
 * @example unnamed(named(300, 'measured', { dyno: 9 })) // { value: 300, sigma: 9, grade: 'measured' }
 */
export const unnamed = ({ value, sigma, grade }: Known): Known => ({ value, sigma, grade })

/** What a known value is in doubt by beside its named doubts, squared. */
const ownVariance = ({ sigma, doubts }: Known): number =>
  doubts ? Math.max(0, sigma ** 2 - sigmaOf(doubts) ** 2) : sigma ** 2

/** A known value that a result is made of, and the slope of the result in it. */
export interface KnownPart {
  readonly known: Known
  readonly slope: number
}

/**
 * A result of known values, to first order: what they share by name adds up or cancels, the rest adds in squares.
 *
 * @param value of the result
 * @param parts what it is made of, with its slope in each
 * @source JCGM 100:2008, 5.1.2 and 5.2.2
 * @example firstOrder(4, [{ known: named(9, 'measured', { scale: 3 }), slope: 1 }, { known: named(5, 'measured', { scale: 3 }), slope: -1 }]).sigma // 0
 */
export function firstOrder(value: number, parts: readonly KnownPart[]): Known {
  const own = parts.reduce((sum, { known: k, slope }) => sum + slope ** 2 * ownVariance(k), 0)
  const grade = rollUpGrade(
    parts.map(({ known: k, slope }) => ({ variance: (slope * k.sigma) ** 2, grade: k.grade })),
  )
  if (parts.every(({ known: k }) => !k.doubts)) return { value, sigma: Math.sqrt(own), grade }
  const doubts = sumDoubts(parts.map(({ known: k, slope }) => ({ doubts: k.doubts ?? NO_DOUBTS, slope })))
  return { value, sigma: Math.hypot(Math.sqrt(own), sigmaOf(doubts)), grade, doubts }
}

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
 * Sum of known values.
 *
 * @returns zero, graded as a guess, for no terms
 * @source {@link firstOrder}
 * @example sumKnown([{ known: known(10, 'measured', 3), times: 1 }, { known: known(4, 'measured', 4), times: -1 }])
 * // { value: 6, sigma: 5, grade: 'measured' }
 */
export const sumKnown = (terms: readonly Term[]): Known =>
  firstOrder(
    terms.reduce((sum, { known: k, times }) => sum + times * k.value, 0),
    terms.map(({ known: k, times }) => ({ known: k, slope: times })),
  )

/**
 * Product of two known values.
 *
 * @source {@link firstOrder}
 * @example productKnown(known(200, 'measured', 2), known(3, 'measured', 0.04)) // { value: 600, sigma: 10, … }
 */
export const productKnown = (a: Known, b: Known): Known =>
  firstOrder(a.value * b.value, [
    { known: a, slope: b.value },
    { known: b, slope: a.value },
  ])

/**
 * Ratio of two known values.
 *
 * @throws {RangeError} when the denominator is zero
 * @source {@link firstOrder}
 * @example ratioKnown(known(200e3, 'measured', 2e3), known(1000, 'measured', 10)) // { value: 200, sigma: 2.83, … }
 */
export function ratioKnown(top: Known, bottom: Known): Known {
  if (bottom.value === 0) throw new RangeError('a ratio needs a denominator other than zero')
  const value = top.value / bottom.value
  return firstOrder(value, [
    { known: top, slope: 1 / bottom.value },
    { known: bottom, slope: -value / bottom.value },
  ])
}
