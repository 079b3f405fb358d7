import type { Known, StageSummary } from '@bold-ballast/core'
import type { DynoDay } from '@bold-ballast/contract'
import type { Car } from '../car/Car'
import { bridgeBetween, isSameDyno } from './dynosBetween'

type PoweredCar = Pick<Car, 'summary' | 'pulledOn' | 'bridges'>

/** The powers of two stages as they may stand beside each other. W. */
export interface GainPowers {
  readonly before: number
  readonly after: number
  /** What figures of the earlier stage were multiplied by to stand beside the later one's: 1 on one dyno. */
  readonly ratio: number
  /** How far off the difference of the two is, one standard uncertainty. */
  readonly sigma: number
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
 * On one dyno its own error cancels; what a day is off by does not, where the days differ. A plan stands beside a dyno's
 * figure with all of its doubt.
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
  const found = (ratio: number, sigma: number): GainPowersFound => ({
    kind: 'found',
    powers: { before: from.value * ratio, after: to.value, ratio, sigma },
  })
  if (!first || !last) return found(1, Math.hypot(from.sigma, to.sigma))
  const own = ({ summary }: PoweredCar, power: Known) => summary.measuredPower?.repeatSigma ?? power.sigma
  if (isSameDyno(first.day, last.day)) {
    const days = first.day.date === last.day.date ? 0 : Math.SQRT2 * last.betweenDays
    return found(1, Math.hypot(own(before, from), own(after, to), days * to.value))
  }
  const bridge = bridgeBetween(after.bridges, first.day, last.day)
  if (!bridge) return { kind: 'twoDynos', dynos: [first.day, last.day] }
  const { ratio, relativeSigma } = bridge
  return found(
    ratio,
    Math.hypot(own(before, from) * ratio, own(after, to), relativeSigma * from.value * ratio),
  )
}
