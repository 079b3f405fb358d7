import { combineRepeats } from '../evidence/combineRepeats'
import { USUAL_BETWEEN_DAYS } from '../evidence/dayScatter'
import { doubtName, type NamedDyno } from '../evidence/doubtNames'
import { timesDoubts, type Doubts } from '../evidence/doubts'
import { USUAL_OWN_ERROR } from '../evidence/instrumentError'
import { named, type Known } from '../evidence/known'
import { mean } from '../numeric/mean'

/** A day on a dyno, and what the dyno is off by, each as one standard deviation in shares of a power. */
export interface PowerDay extends NamedDyno {
  readonly date: string
  /** Anew at each pull. */
  readonly repeatability: number
  /** In all that is pulled on it; left out for what is usual. */
  readonly ownError?: number
  /** In all that is pulled on it on one day; left out for what is usual. */
  readonly betweenDays?: number
}

/** A power that somebody pulled, W. */
export interface PulledPower {
  readonly id: string
  readonly power: number
}

/**
 * What a power of that day shares with others, as shares of it: with all of that dyno, and with all of that day on it.
 *
 * @example sigmaOf(dayDoubts({ dyno: 'Hubs', kind: 'hub', date: '2026-05-02', repeatability: 0.005 })) // 0.0316
 */
export const dayDoubts = ({ ownError, betweenDays, ...day }: PowerDay): Doubts => ({
  [doubtName.dyno(day)]: ownError ?? USUAL_OWN_ERROR.dyno,
  [doubtName.day(day)]: betweenDays ?? USUAL_BETWEEN_DAYS,
})

/**
 * How far off each of some pulls of one configuration on one day is by itself, W, so that the names of single pulls come to
 * what all of them say: as the dyno states it, or as they lie apart where that is more.
 *
 * @throws {RangeError} without a pull
 * @source {@link combineRepeats}
 * @example pullScatter(day, [300e3, 302e3]) // 1505
 */
export const pullScatter = (
  { repeatability }: Pick<PowerDay, 'repeatability'>,
  powers: readonly number[],
): number => combineRepeats(powers, repeatability * mean(powers)).sigma * Math.sqrt(powers.length)

/**
 * The power that pulls of one configuration on one day say, W, with the names of what it is off by: the dyno, the day, and
 * each pull.
 *
 * @throws {RangeError} without a pull
 * @source {@link combineRepeats}; JCGM 100:2008, 5.2 for what all pulls share
 * @example pulledPower(day, [{ id: 'a', power: 300e3 }, { id: 'b', power: 302e3 }]).value // 301000
 */
export function pulledPower(day: PowerDay, pulls: readonly PulledPower[]): Known {
  const powers = pulls.map(({ power }) => power)
  const { value, grade } = combineRepeats(powers, day.repeatability * mean(powers))
  const each = pullScatter(day, powers) / pulls.length
  return named(value, grade, {
    ...timesDoubts(dayDoubts(day), value),
    ...Object.fromEntries(pulls.map(({ id }) => [doubtName.pull(id), each] as const)),
  })
}
