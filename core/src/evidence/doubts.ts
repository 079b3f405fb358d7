/**
 * What a figure is in doubt by: the names of independent sources, each with the signed change that one standard deviation
 * of it makes, in the figure's unit. One name in two figures is the same error, and has the same value in both.
 */
export type Doubts = Readonly<Record<string, number>>

export const NO_DOUBTS: Doubts = {}

/** What is left of a name that cancels is a rounding error, and nobody's doubt: as a share of what it was. */
const ROUNDING = 1e-12

/** Doubts of a figure, and by what a change of that figure is multiplied in another. */
export interface DoubtTerm {
  readonly doubts: Doubts
  readonly slope: number
}

/**
 * The doubts of a figure that others make up: of each name the sum of what it does through all of them. A name that
 * cancels is gone.
 *
 * @param terms doubts of each figure, with the slope of the result in it
 * @source JCGM 100:2008, 5.2.2 and F.1.2.3: correlated inputs as functions of independent ones, to first order
 * @example sumDoubts([{ doubts: { scale: 3, one: 4 }, slope: 1 }, { doubts: { scale: 3 }, slope: -1 }]) // { one: 4 }
 */
export function sumDoubts(terms: readonly DoubtTerm[]): Doubts {
  const sums: Record<string, number> = {}
  const gross: Record<string, number> = {}
  for (const { doubts, slope } of terms)
    for (const name of Object.keys(doubts)) {
      const effect = slope * (doubts[name] ?? 0)
      sums[name] = (sums[name] ?? 0) + effect
      gross[name] = (gross[name] ?? 0) + Math.abs(effect)
    }
  return Object.fromEntries(
    Object.entries(sums).filter(([name, effect]) => Math.abs(effect) > ROUNDING * (gross[name] ?? 0)),
  )
}

/** The same doubts of a figure that is so many times as large. */
export const timesDoubts = (doubts: Doubts, times: number): Doubts =>
  Object.fromEntries(Object.entries(doubts).map(([name, effect]) => [name, times * effect]))

/**
 * The same doubts with one of them told apart into what its figure is itself in doubt by; what of that has no name stays
 * under the one.
 *
 * @param by the figure that the name stands for, with its own doubts
 * @example toldApart({ power: 0.4, grip: 1 }, 'power', { sigma: 5, doubts: { dyno: 3 } }) // { grip: 1, dyno: 0.24, power: 0.32 }
 */
export function toldApart(
  doubts: Doubts,
  name: string,
  by: { readonly sigma: number; readonly doubts?: Doubts },
): Doubts {
  const { [name]: effect = 0, ...others } = doubts
  if (!by.doubts || !(by.sigma > 0) || effect === 0) return doubts
  const own = Math.sqrt(Math.max(0, by.sigma ** 2 - sigmaOf(by.doubts) ** 2))
  return sumDoubts([
    { doubts: others, slope: 1 },
    { doubts: own > 0 ? { ...by.doubts, [name]: own } : by.doubts, slope: effect / by.sigma },
  ])
}

/**
 * What doubts come to together, as one standard uncertainty.
 *
 * @source JCGM 100:2008, 5.1.2: the sources are independent
 * @example sigmaOf({ dyno: 3, day: -4 }) // 5
 */
export const sigmaOf = (doubts: Doubts): number => Math.hypot(...Object.values(doubts))

/**
 * The name that a figure is in doubt by most: what to measure next.
 *
 * @returns `null` where nothing has a name
 * @example largestDoubt({ dyno: 3, day: -4 }) // 'day'
 */
export const largestDoubt = (doubts: Doubts): string | null =>
  Object.entries(doubts).reduce<readonly [string | null, number]>(
    (most, [name, effect]) => (Math.abs(effect) > most[1] ? [name, Math.abs(effect)] : most),
    [null, 0],
  )[0]
