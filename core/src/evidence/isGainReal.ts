import { mean } from '../numeric/mean'
import { REACH_95 } from '../numeric/normal'
import { sumOfSquares } from '../numeric/sampleVariance'
import { dayScatter, withinDays, type DayMean } from './dayScatter'
import { NO_DOUBTS, sigmaOf, timesDoubts, type Doubts } from './doubts'
import { differenceOf, type Reading } from './reading'
import { repeatsToShow, welchFrom, type MeanError } from './welch'

export interface GainVerdict {
  readonly verdict: 'real' | 'notShown'
  /** Mean after less mean before. */
  readonly difference: number
  /** The difference lies in here 95 times of 100. */
  readonly interval: readonly [number, number]
  /** Chance of so large a difference when there is none; `null` where one repeat has no spread. */
  readonly p: number | null
  /** Repeats of each still needed to show a difference of this size; 0 when it is shown; `null` for out of reach. */
  readonly moreNeeded: number | null
  readonly how: 'welch' | 'repeatability'
  /** What no repeats make up for, by name: days that the sides don't share, what a bridge is off by. */
  readonly shared: Doubts
  /** That stands in the way. */
  readonly isSharedInTheWay: boolean
  /** By how many times days lie further apart than was assumed; 1 where they don't. */
  readonly daysApart: number
}

/** What one side says by itself. */
function sideOf(readings: readonly Reading[], rounding: number) {
  const days = readings.map(({ day }) => day ?? '')
  const { residuals, freedom } = withinDays(
    readings.map(({ value }) => value),
    days,
  )
  const stated = sumOfSquares(readings.map(({ scatter }) => scatter)) / readings.length
  // Readings that are rounded alike have no spread, and are rounded still.
  const seen = freedom > 0 ? Math.max(sumOfSquares(residuals) / freedom, rounding ** 2) : null
  return { days, stated, seen, freedom }
}

/** The means of a side's days, with the variance that they are expected to have about each other. */
function dayMeansOf(readings: readonly Reading[], scatter: number): DayMean[] {
  const days = new Map<string, Reading[]>()
  for (const reading of readings)
    days.set(reading.day ?? '', [...(days.get(reading.day ?? '') ?? []), reading])
  return [...days].map(([day, of]) => ({
    value: mean(of.map(({ value }) => value)),
    variance: scatter / of.length + (of[0]?.shared?.[day] ?? 0) ** 2,
  }))
}

/**
 * Is a gain real? By Welch's test at 95 % where both were repeated; where one was not, only a difference beyond what the
 * instrument's stated repeatability allows a difference of two readings counts: 2.77 times it, one against one.
 *
 * What readings share goes by name: a bridge between two dynos, days that the sides don't share, or anything else that
 * shifts one side as a whole, adds its own uncertainty and can only make a gain harder to show; what both share cancels.
 * Days of one side that visibly lie further apart than was assumed count as they lie.
 *
 * @param before readings of the one configuration, one or more
 * @param after readings of the other, same unit
 * @param rounding standard uncertainty of what readings were rounded to, same unit; left out for none
 * @throws {RangeError} when a side has no reading
 * @source B. L. Welch, Biometrika 34 (1947) 28, on what the readings of one day differ by; a difference of two readings
 * is √2 times as uncertain as one: 1.96·√2·s (JCGM 100:2008, 5.1); {@link differenceOf}, {@link dayScatter}
 * @example isGainReal(plainReadings([200, 201, 199], 0.015), plainReadings([204, 205, 206], 0.015)).verdict // 'real'
 * @example isGainReal(plainReadings([200], 0.015), plainReadings([205], 0.015)).verdict // 'notShown'
 */
export function isGainReal(before: readonly Reading[], after: readonly Reading[], rounding = 0): GainVerdict {
  if (before.length === 0 || after.length === 0) throw new RangeError('each side needs at least one figure')
  const found = differenceOf(before, after)
  const { difference } = found
  const sides = [sideOf(before, rounding), sideOf(after, rounding)] as const
  const apart = dayScatter(
    [before, after].map((readings, i) => dayMeansOf(readings, sides[i]!.seen ?? sides[i]!.stated)),
  )
  const days = new Set(sides.flatMap((side) => side.days))
  const [ofDays, others] = partedBy(found.shared, days)
  const dayPart = timesDoubts(ofDays, apart.times)
  const shared = { ...others, ...dayPart }
  const shift = REACH_95 * sigmaOf(shared)
  const fewest = Math.min(before.length, after.length)
  const squares = [sumOfSquares(found.before), sumOfSquares(found.after)] as const
  const rest = {
    difference,
    shared,
    daysApart: apart.times,
    isSharedInTheWay: shift > 0 && shift > Math.abs(difference) / 2,
  }
  if (sides.every((s) => s.seen !== null)) {
    const own = sides.map((side, i): MeanError => ({
      error: squares[i]! * (side.seen ?? 0),
      freedom: side.freedom,
    }))
    const test = welchFrom(difference, [
      ...own,
      { error: sigmaOf(others) ** 2, freedom: Infinity },
      { error: sigmaOf(dayPart) ** 2, freedom: apart.freedom },
    ])
    const isReal = test.p < 0.05
    const seen = own.reduce((sum, { error }) => sum + error, 0)
    const stated = Math.sqrt((sides[0].stated + sides[1].stated) / 2)
    const spread = Math.sqrt(seen / (squares[0] + squares[1] || 1)) || stated
    return {
      ...rest,
      verdict: isReal ? 'real' : 'notShown',
      interval: test.interval,
      p: test.p,
      moreNeeded: isReal ? 0 : stillNeeded(difference, spread, shift, fewest),
      how: 'welch',
      isSharedInTheWay: !isReal && rest.isSharedInTheWay,
    }
  }
  const stated = sides.reduce((sum, side, i) => sum + squares[i]! * side.stated, 0)
  const half = Math.hypot(REACH_95 * Math.sqrt(stated), shift)
  const isReal = Math.abs(difference) > half
  return {
    ...rest,
    verdict: isReal ? 'real' : 'notShown',
    interval: [difference - half, difference + half],
    p: null,
    moreNeeded: isReal
      ? 0
      : stillNeeded(difference, Math.sqrt((sides[0].stated + sides[1].stated) / 2), shift, fewest),
    how: 'repeatability',
    isSharedInTheWay: !isReal && rest.isSharedInTheWay,
  }
}

/** The doubts of these names, and the others. */
function partedBy(doubts: Doubts, names: ReadonlySet<string>): readonly [Doubts, Doubts] {
  const entries = Object.entries(doubts)
  if (entries.length === 0) return [NO_DOUBTS, NO_DOUBTS]
  return [
    Object.fromEntries(entries.filter(([name]) => names.has(name))),
    Object.fromEntries(entries.filter(([name]) => !names.has(name))),
  ]
}

/** At least one more is asked for: what was there has not shown it. What shifts a side as a whole no repeats make up for. */
function stillNeeded(difference: number, spread: number, shift: number, fewest: number): number | null {
  const left = Math.sqrt(Math.max(0, difference ** 2 - shift ** 2))
  const needed = repeatsToShow(left, spread)
  return needed === null ? null : Math.max(1, needed - fewest)
}
