import type { Known, StageSummary } from '@bold-ballast/core'
import type { BuildDocument, DynoDay } from '@bold-ballast/contract'
import { bridgeBetweenDynos, isSameDyno } from './dynosBetween'
import { dynoErrors } from '../ledger/instrumentNamed'

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
 * @example gainPowers(document, summaries[2], summaries[3]).kind // 'twoDynos'
 */
export function gainPowers(
  document: Pick<BuildDocument, 'build' | 'pulls' | 'dynoDays' | 'instruments'>,
  first: StageSummary,
  last: StageSummary,
  moment: Moment = usualMoment(first, last),
): GainPowersFound {
  const [before, after] = [first[moment].power, last[moment].power]
  if (!before || !after) return { kind: 'noPower' }
  const dayOf = (s: StageSummary) =>
    s[moment].powerFrom === 'dyno'
      ? (document.dynoDays.find((d) => d.id === s.measuredPower?.dynoDayId) ?? null)
      : null
  const [from, to] = [dayOf(first), dayOf(last)]
  const found = (ratio: number, sigma: number): GainPowersFound => ({
    kind: 'found',
    powers: { before: before.value * ratio, after: after.value, ratio, sigma },
  })
  if (!from || !to) return found(1, Math.hypot(before.sigma, after.sigma))
  const own = (s: StageSummary, power: Known) => s.measuredPower?.repeatSigma ?? power.sigma
  if (isSameDyno(from, to)) {
    const days = from.date === to.date ? 0 : Math.SQRT2 * dynoErrors(document.instruments, to).betweenDays
    return found(1, Math.hypot(own(first, before), own(last, after), days * after.value))
  }
  const bridge = bridgeBetweenDynos(document, from, to, document.build.powerBasis)
  if (!bridge) return { kind: 'twoDynos', dynos: [from, to] }
  const { ratio, relativeSigma } = bridge
  return found(
    ratio,
    Math.hypot(own(first, before) * ratio, own(last, after), relativeSigma * before.value * ratio),
  )
}
