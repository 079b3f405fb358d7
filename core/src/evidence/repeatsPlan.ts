import { CONFIDENCE } from './judge'
import { normalQuantile } from '../numeric/normal'
import { studentPoint } from '../numeric/studentT'
import { freedomOf, standardErrorOf, type MeanError } from './welch'

/** What readings of an instrument are off by, each as one standard deviation in the unit of the figure. */
export interface RepeatErrors {
  /** Anew at each reading. */
  readonly scatter: number
  /** In all readings of one day. */
  readonly betweenDays: number
  /** In all of them, however many: no repeat removes it. */
  readonly always: number
}

/** Readings of one thing that are there already. */
export interface ReadingsMade {
  readonly readings: number
  readonly days: number
}

/** So many days, so many readings on each. */
export interface RepeatPlan {
  readonly days: number
  /** Of each thing, on each day. */
  readonly readings: number
  /** Standard uncertainty of what they say, in the unit of the figure. */
  readonly error: number
}

/** How often a plan shows what is there. */
const POWER = 0.8
/** The same over several days of one thing: one time in ten they happen to lie apart, are taken as they lie, and hide it. */
const POWER_OVER_DAYS = 0.88
const MOST_DAYS = 4
/** More than these on one day aren't pulled or weighed by anybody. */
const MOST_READINGS = 8

/** The first plan that is enough: fewer days before fewer readings, for a day is more work than a reading. */
function fewest(
  mostDays: number,
  leastReadings: number,
  errorsOf: (days: number, readings: number) => readonly MeanError[],
  isEnough: (errors: readonly MeanError[]) => boolean,
): RepeatPlan | null {
  for (let days = 1; days <= mostDays; days += 1)
    for (let readings = leastReadings; readings <= MOST_READINGS; readings += 1) {
      const errors = errorsOf(days, readings)
      if (isEnough(errors)) return { days, readings, error: standardErrorOf(errors) }
    }
  return null
}

/** Whether errors let a difference show in four of five cases, and call it real by mistake in one of twenty. */
const shows = (difference: number, power: number) => (errors: readonly MeanError[]) => {
  const freedom = freedomOf(errors)
  const reach = studentPoint(0.975, freedom) + studentPoint(power, freedom)
  return standardErrorOf(errors) * reach <= difference
}

/**
 * Readings of both things in turn on one day that show a difference in four of five cases, and call it real by mistake in
 * one of twenty. What the day is off by cancels.
 *
 * @param difference that is to be seen, in the unit of the errors
 * @returns `null` where more than eight of each would be needed
 * @throws {RangeError} for a difference that isn't above zero
 * @source power of Welch's t test, by the two points of Student's t (Draper and Smith, Applied Regression Analysis, 1.4)
 * @example turnsToShow(4, { scatter: 2, always: 0 })?.readings // 6
 */
export function turnsToShow(
  difference: number,
  { scatter, always }: Pick<RepeatErrors, 'scatter' | 'always'>,
): RepeatPlan | null {
  if (!(difference > 0)) throw new RangeError('a difference is above zero')
  return fewest(
    1,
    2,
    (_, n) => [
      // Between what Welch's test has of one side and of both: spreads that are seen differ by luck.
      { error: (2 * scatter ** 2) / n, freedom: 1.5 * (n - 1) },
      { error: always ** 2, freedom: Infinity },
    ],
    shows(difference, POWER),
  )
}

/**
 * The same where one of the two was read before and can't be read again: readings of the other, on other days.
 *
 * @param made readings of the one that is gone
 * @returns `null` where more than four days of eight readings would be needed: often no number of them is enough
 * @throws {RangeError} for a difference that isn't above zero, or nothing made
 * @source as {@link turnsToShow}; JCGM 100:2008, 5.2 for what readings of a day share
 * @example besideToShow(12, { scatter: 1.5, betweenDays: 3, always: 0 }, { readings: 3, days: 2 }) // { days: 1, readings: 7, error: 3.82 }
 */
export function besideToShow(
  difference: number,
  { scatter, betweenDays, always }: RepeatErrors,
  made: ReadingsMade,
): RepeatPlan | null {
  if (!(difference > 0)) throw new RangeError('a difference is above zero')
  if (!(made.readings > 0 && made.days > 0)) throw new RangeError('nothing was read of the one that is gone')
  const plan = (mostDays: number, power: number) =>
    fewest(
      mostDays,
      2,
      (days, n) => [
        {
          error: scatter ** 2 * (1 / made.readings + 1 / (days * n)),
          freedom: Math.max(1, made.readings - made.days + days * (n - 1)),
        },
        { error: betweenDays ** 2 * (1 / made.days + 1 / days), freedom: Infinity },
        { error: always ** 2, freedom: Infinity },
      ],
      shows(difference, power),
    )
  const onOneDay = made.days === 1 ? plan(1, POWER) : null
  return onOneDay ?? plan(MOST_DAYS, POWER_OVER_DAYS)
}

/** What so many readings on each of so many days know a figure by. */
export const errorOfReadings = (
  { scatter, betweenDays, always }: RepeatErrors,
  { days, readings }: Pick<RepeatPlan, 'days' | 'readings'>,
): number => Math.hypot(always, betweenDays / Math.sqrt(days), scatter / Math.sqrt(days * readings))

/**
 * How far beyond a target a figure must be read for a verdict.
 *
 * @source {@link judge}
 * @example verdictFrom({ scatter: 3, betweenDays: 0, always: 4 }, { days: 1, readings: 1 }) // 8.225
 */
export const verdictFrom = (errors: RepeatErrors, plan: Pick<RepeatPlan, 'days' | 'readings'>): number =>
  CONFIDENCE * errorOfReadings(errors, plan)

/**
 * Readings that give a verdict on a target in four of five cases, if the figure lies where it is thought to.
 *
 * @param margin how far it is thought to lie from the target, either way, in the unit of the errors
 * @returns `null` where more than four days of eight readings would be needed: often no number of them is enough
 * @throws {RangeError} for a margin that isn't above zero
 * @source power of a one-sided test with a known spread (the normal's two points), against the verdict of {@link judge}
 * @example readingsToJudge(10, { scatter: 3, betweenDays: 4, always: 2 }) // { days: 2, readings: 2, error: 3.77 }
 */
export function readingsToJudge(margin: number, errors: RepeatErrors): RepeatPlan | null {
  if (!(margin > 0)) throw new RangeError('a margin is above zero')
  return fewest(
    MOST_DAYS,
    1,
    (days, readings) => [{ error: errorOfReadings(errors, { days, readings }) ** 2, freedom: Infinity }],
    (found) => standardErrorOf(found) * (CONFIDENCE + normalQuantile(POWER)) <= margin,
  )
}

/**
 * The order of readings of two things in turn: neighbours share a set-up, and what drifts evenly leaves the difference
 * alone for an even number of each.
 *
 * @param each readings of each
 * @source common practice: a counterbalanced order
 * @example inTurn(2).join(' ') // 'A B B A'
 */
export const inTurn = (each: number): ('A' | 'B')[] =>
  Array.from({ length: 2 * each }, (_, i) => (i % 4 === 0 || i % 4 === 3 ? 'A' : 'B'))
