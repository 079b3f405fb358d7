import { productKnown, sumKnown, type Known, type StageSummary } from '@bold-ballast/core'
import type { DynoDay } from '@bold-ballast/contract'
import type { Car } from '../car/Car'
import { bridgeBetween, isSameDyno } from './dynosBetween'

type PoweredCar = Pick<Car, 'summary' | 'pulledOn' | 'bridges'>

/** The powers of two stages as they may stand beside each other. W. */
export interface GainPowers {
  readonly before: Known
  readonly after: Known
  /** What figures of the earlier stage were multiplied by to stand beside the later one's: 1 on one dyno. */
  readonly ratio: number
  /** After less before: what both share is no doubt of it. */
  readonly difference: Known
}

/** Which car of a half-done stage is meant: as it stands, or when it is finished. */
export const MOMENTS = ['standing', 'finished'] as const
export type Moment = (typeof MOMENTS)[number]

/** As it stands, where both stages were pulled; else by the plan. */
export const usualMoment = (first: StageSummary, last: StageSummary): Moment =>
  first.standing.power && last.standing.power ? 'standing' : 'finished'

export type GainPowersFound =
  | { readonly kind: 'found'; readonly powers: GainPowers }
  | { readonly kind: 'noPower' }
  /** Pulled on two dynos that nobody bridged: their figures are not subtracted. */
  | { readonly kind: 'twoDynos'; readonly dynos: readonly [DynoDay, DynoDay] }

/**
 * The powers that a gain between two stages is split on, refused or bridged as a comparison of pulls would be.
 *
 * On one dyno its own error cancels, and a day that both share; a bridge brings its own doubts, by name. A plan stands beside
 * a dyno's figure with all of its doubt.
 *
 * @example gainPowers(carAt(document, second), carAt(document, third)).kind // 'twoDynos'
 */
export function gainPowers(
  before: PoweredCar,
  after: PoweredCar,
  moment: Moment = usualMoment(before.summary, after.summary),
): GainPowersFound {
  const [from, to] = [before.summary[moment].power, after.summary[moment].power]
  if (!from || !to) return { kind: 'noPower' }
  const pulled = ({ summary, pulledOn }: PoweredCar) =>
    summary[moment].powerFrom === 'dyno' ? pulledOn : null
  const [first, last] = [pulled(before), pulled(after)]
  const found = (beside: Known, ratio = 1): GainPowersFound => {
    const difference = sumKnown([
      { known: to, times: 1 },
      { known: beside, times: -1 },
    ])
    return { kind: 'found', powers: { before: beside, after: to, ratio, difference } }
  }
  if (!first || !last || isSameDyno(first, last)) return found(from)
  const bridge = bridgeBetween(after.bridges, first, last)
  if (!bridge) return { kind: 'twoDynos', dynos: [first, last] }
  return found(productKnown(from, bridge), bridge.value)
}
