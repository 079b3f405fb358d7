/**
 * The rate of springs that carry the same load one after the other: a spring and its tyre, a main and a helper.
 *
 * @param rates N/m, or of rotation, N·m/rad; all alike
 * @returns softer than the softest of them
 * @throws {RangeError} for none, or for a rate that is not above zero
 * @source Hooke: 1/k = Σ 1/kᵢ
 * @example springsInSeries(70_000, 250_000) // 54688
 */
export function springsInSeries(...rates: readonly number[]): number {
  if (rates.length === 0 || !rates.every((rate) => rate > 0)) throw new RangeError('a rate is above zero')
  return 1 / rates.reduce((sum, rate) => sum + 1 / rate, 0)
}

export interface SpringPair {
  /** N/m */
  readonly main: number
  /** N/m */
  readonly helper: number
  /** How far the helper goes until its coils lie on each other, m. */
  readonly helperTravel: number
}

/**
 * How far a main spring on a helper goes under a load: both together, and the main one alone once the helper is blocked.
 *
 * @param load N, not below zero
 * @returns how far, m; the rate there, N/m; and the load from which the helper is blocked, N
 * @throws {RangeError} for rates that are not above zero
 * @source Hooke
 * @example springPair({ main: 100_000, helper: 20_000, helperTravel: 0.04 }, 600).rate // 16667
 */
export function springPair(
  { main, helper, helperTravel }: SpringPair,
  load: number,
): { readonly travel: number; readonly rate: number; readonly blocksAt: number } {
  const both = springsInSeries(main, helper)
  const blocksAt = helper * helperTravel
  if (load < blocksAt) return { travel: load / both, rate: both, blocksAt }
  return { travel: blocksAt / both + (load - blocksAt) / main, rate: main, blocksAt }
}
