import { mean as meanOf } from '../numeric/mean'
import { chanceWithin, weibullOf } from './weibull'

/** What a life is counted in. */
export const LIFE_MEASURES = ['hours', 'laps', 'launches', 'trackDays', 'heatCycles'] as const
export type LifeMeasure = (typeof LIFE_MEASURES)[number]

/** A day on which the car ran, or will. */
export interface Outing {
  /** Year-month-day. */
  readonly date: string
  /** Of running; hours in s. */
  readonly amounts: Readonly<Record<LifeMeasure, number>>
}

/** Something that wears. */
export interface Wearing {
  readonly id: string
  readonly name: string
  readonly measure: LifeMeasure
  /** Hours in s, the rest counted. */
  readonly expected: number
  /** Standard deviation over the expected life. */
  readonly spread: number
  /** Run so far; see `livesOf`. */
  readonly used: number
}

export interface LifeState {
  readonly item: Wearing
  readonly used: number
  readonly left: number
  /** What the next event takes. */
  readonly next: number
  /** That it gives out during the next event, having lasted so far. */
  readonly chance: number
  /** Its expected life ends before the next event is over. */
  readonly runsOut: boolean
  /** Events like the next one until the expected life ends; `null` where the next takes nothing. */
  readonly eventsLeft: number | null
}

/** Above this chance a spare is taken along (common practice: one in ten). */
export const TAKE_A_SPARE = 0.1

/**
 * What has been used up of things that wear, and the chance that each gives out at the next event, worst first.
 *
 * @param outings that have been
 * @param next the event to come; `null` takes the mean of the outings
 * @throws {RangeError} as {@link weibullOf} does
 * @source wear by count; the chance as {@link chanceWithin}
 * @example lifeOf(items, outings, null)[0].chance
 */
export function lifeOf(
  items: readonly Wearing[],
  outings: readonly Outing[],
  next: Outing | null,
): LifeState[] {
  const mean = (measure: LifeMeasure) =>
    outings.length === 0 ? 0 : outings.reduce((sum, o) => sum + o.amounts[measure], 0) / outings.length
  return items
    .map((item): LifeState => {
      const { measure, used } = item
      const coming = next ? next.amounts[measure] : mean(measure)
      const left = item.expected - used
      return {
        item,
        used,
        left,
        next: coming,
        runsOut: left < coming,
        chance: chanceWithin(weibullOf(item.expected, item.spread), used, coming),
        eventsLeft: coming > 0 ? Math.max(0, Math.floor(left / coming + 1e-9)) : null,
      }
    })
    .sort((a, b) => b.chance - a.chance || a.left / a.item.expected - b.left / b.item.expected)
}

/**
 * What failures say about a life: their mean and how far they lie apart.
 *
 * @param lives of things of one kind at the moment they failed, all in one measure
 * @returns `null` for none; spread `null` for one alone
 * @source sample mean and standard deviation
 * @example learnedLife([3.5, 4.5]) // { mean: 4, spread: 0.177, count: 2 }
 */
export function learnedLife(
  lives: readonly number[],
): { readonly mean: number; readonly spread: number | null; readonly count: number } | null {
  const count = lives.length
  if (count === 0) return null
  const mean = meanOf(lives)
  if (count === 1 || mean === 0) return { mean, spread: null, count }
  const variance = lives.reduce((a, b) => a + (b - mean) ** 2, 0) / (count - 1)
  return { mean, spread: Math.sqrt(variance) / mean, count }
}
