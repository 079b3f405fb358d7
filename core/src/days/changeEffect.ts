import { leastSquares } from '../numeric/leastSquares'
import { quantileOf } from '../numeric/quantileOf'
import { studentPoint, studentShare } from '../numeric/studentT'
import { lapErrors, USUAL_OFFSET, USUAL_WEIGHT, type RunOffset } from './lapErrors'

/** A lap that counts: no in-lap, out-lap, traffic or error. */
export interface CountedLap {
  /** s */
  readonly time: number
  /** What was on the car: laps of one word were driven on the same. */
  readonly on: string
  /** How many laps had been begun since the driver got in, this one included; those that don't count included, too. */
  readonly number: number
  readonly session: string
  /** Laps of one time out hang together, and have what runs differ by for no reason in common. */
  readonly run: string
  /** Aboard as the lap began, m³ or kg, and of the air, kg/m³; `null` where nobody knows. */
  readonly fuel: number | null
  readonly air: number | null
}

/** What can be said of a change. */
export type ChangeVerdict =
  /** Shown, with one chance in twenty to be wrong where it is worth nothing. */
  | 'quicker'
  | 'slower'
  /** It may be worth something; these laps don't show it. */
  | 'notShown'
  /** Something else changed with it, each time: whatever is seen may be the other's. */
  | 'confounded'
  /** Fewer laps than it takes to say anything. */
  | 'tooFew'

/** What else a lap may come from. */
export type LapCause = 'driver' | 'tyres' | 'fuel' | 'air' | 'session'

/** Seconds with their standard error, and what holds them with nine chances in ten, by Student's t. */
export interface LapShare {
  readonly seconds: number
  readonly error: number
  readonly interval: readonly [number, number]
}

export interface ChangeEffect extends LapShare {
  /** Against the first; `seconds` a lap, below zero where it is quicker. */
  readonly on: string
  /** That laps like these differ by so much where the change is worth nothing. */
  readonly chance: number
  readonly verdict: ChangeVerdict
  /** Whether one of both was driven on again after the other: there and not back leans on the trend having its shape. */
  readonly isBack: boolean
  /** What changed with it, where it is confounded. */
  readonly with: LapCause | null
}

export interface LapEffects {
  /** What the others are set against. */
  readonly base: string
  readonly changes: readonly ChangeEffect[]
  /** From one lap to the next, with all that is known taken out, s. */
  readonly scatter: number
  /** How much of a lap's error the next one of the run has; how far runs differ for no reason. */
  readonly correlation: number
  readonly offset: RunOffset
  readonly freedom: number
  readonly laps: number
  readonly runs: number
  /** From the first lap that counts to the last, by what it comes from; nothing of what laps can't tell apart. */
  readonly parts: Readonly<Partial<Record<LapCause, LapShare>>>
  /** All that goes lap by lap together, driver and tyres: known better than either. */
  readonly trend: LapShare | null
  /** What wasn't reckoned with because it goes along with something else. */
  readonly left: readonly LapCause[]
}

/** As few degrees of freedom as that say nothing. */
const LEAST_FREEDOM = 3
/** A covariate whose error the trend makes so many times larger doesn't vary apart from it. */
const APART = 3
const SHOWN = 0.05

interface Column {
  readonly cause: LapCause
  readonly values: readonly number[]
}

/**
 * What changes are worth, by laps: their coefficients in a linear model of lap times that has the lap number and its
 * logarithm for the driver's and the tyres' trend, fuel and air where they vary apart from it, and sessions. Laps of a run
 * hang together, and runs differ for no reason (`lapErrors`).
 *
 * Comparing bests or means instead sells the driver's learning as the car's: with nothing changed, six laps and six more
 * look quicker in more than half of all cases.
 *
 * @param laps in the order in which they were driven; times in s
 * @param base what the others are set against; the first one's where it is left out
 * @param offset how far runs differ for no reason, by the workshop's own repeats; what is usual where it is left out
 * @throws {RangeError} for no lap, and for times or numbers that are none
 * @source linear model with Student's t (Draper and Smith, Applied Regression Analysis, 1.4 and 2.6); lap number and its
 *   logarithm as the trend: common practice
 * @example changeEffect(laps).changes[0].verdict // 'quicker'
 */
export function changeEffect(
  laps: readonly CountedLap[],
  base = laps[0]?.on,
  offset: RunOffset | null = null,
): LapEffects {
  if (base === undefined) throw new RangeError('there is no lap to compare')
  if (laps.some(({ time, number }) => !(time > 0 && Number.isFinite(time) && number >= 1)))
    throw new RangeError('a lap takes time and has a number')
  const others = [...new Set(laps.map((l) => l.on))].filter((on) => on !== base)
  const changes = others.map((on) => laps.map((l) => (l.on === on ? 1 : 0)))
  const known = reckonedWith(laps, changes)
  const before = [laps.map(() => 1), ...known.columns.map((c) => c.values)]
  const columns = [...before, ...changes]
  const times = laps.map((l) => l.time)
  const places = laps.map(({ run, session, number }) => ({ run: `${session}\n${run}`, number }))
  const found = lapErrors(columns, times, places, offset ?? usualOffset(times))
  const { fit } = found
  const shareOf = (weights: readonly number[]): (LapShare & { readonly freedom: number }) | null => {
    const isTold = weights.every((weight, i) => weight === 0 || !fit.dependent.includes(i))
    if (!isTold || fit.freedom < LEAST_FREEDOM || weights.every((weight) => weight === 0)) return null
    const seconds = weights.reduce((sum, weight, i) => sum + weight * fit.coefficients[i]!, 0)
    const { error, freedom } = found.doubtOf(weights)
    const reach = error * studentPoint(0.95, freedom)
    return { seconds, error, freedom, interval: [seconds - reach, seconds + reach] }
  }
  /** How much quicker or slower some causes made it from the first lap to the last. */
  const partOf = (...causes: readonly LapCause[]) =>
    shareOf([
      0,
      ...known.columns.map(({ cause, values }) => (causes.includes(cause) ? values.at(-1)! - values[0]! : 0)),
    ])
  return {
    base,
    changes: others.map((on, i): ChangeEffect => {
      const at = before.length + i
      const weights = columns.map((_, c) => (c === at ? 1 : 0))
      const share = shareOf(weights)
      const isBack = goesBack(laps, base, on)
      if (!share) {
        const isDependent = fit.dependent.includes(at)
        return {
          on,
          seconds: fit.coefficients[at]!,
          error: Infinity,
          interval: [-Infinity, Infinity],
          chance: 1,
          isBack,
          verdict: fit.freedom < LEAST_FREEDOM ? 'tooFew' : 'confounded',
          with: isDependent ? confounder(known.columns, changes[i]!) : null,
        }
      }
      const { freedom, ...of } = share
      const chance = 2 * studentShare(-Math.abs(of.seconds) / of.error, freedom)
      const verdict = chance > SHOWN ? 'notShown' : of.seconds < 0 ? 'quicker' : 'slower'
      return { on, ...of, chance, isBack, verdict, with: null }
    }),
    scatter: fit.freedom > 0 ? found.scatter : 0,
    correlation: found.correlation,
    offset: found.offset,
    freedom: fit.freedom,
    laps: laps.length,
    runs: new Set(places.map(({ run }) => run)).size,
    parts: Object.fromEntries(
      CAUSES.flatMap((cause) => {
        const part = partOf(cause)
        return part ? [[cause, part]] : []
      }),
    ),
    trend: partOf('driver', 'tyres'),
    left: known.left,
  }
}

const CAUSES: readonly LapCause[] = ['driver', 'tyres', 'fuel', 'air', 'session']

/** What runs usually differ by for no reason: a share of the lap in the middle. */
function usualOffset(times: readonly number[]): RunOffset {
  const middle = quantileOf(Float64Array.from(times).sort(), 0.5)
  return { seconds: USUAL_OFFSET * middle, weight: USUAL_WEIGHT }
}

/** Whether one of two things was driven on before and after the other. */
function goesBack(laps: readonly CountedLap[], base: string, on: string): boolean {
  let turns = 0
  let last: string | null = null
  for (const lap of laps) {
    if (lap.on !== base && lap.on !== on) continue
    if (last !== null && lap.on !== last) turns += 1
    last = lap.on
  }
  return turns >= 2
}

/**
 * Trend, sessions, and fuel and air where they vary apart from these and from what was changed: one reading of the air a run
 * would explain any change between three runs.
 */
function reckonedWith(
  laps: readonly CountedLap[],
  changes: readonly (readonly number[])[],
): {
  readonly columns: Column[]
  readonly left: LapCause[]
} {
  const columns: Column[] = [
    { cause: 'tyres', values: laps.map((l) => l.number) },
    { cause: 'driver', values: laps.map((l) => Math.log(l.number)) },
  ]
  const sessions = [...new Set(laps.map((l) => l.session))].slice(1)
  for (const session of sessions)
    columns.push({ cause: 'session', values: laps.map((l) => (l.session === session ? 1 : 0)) })
  const left: LapCause[] = []
  for (const cause of ['fuel', 'air'] as const) {
    const values = laps.map((l) => l[cause])
    if (values.includes(null) || new Set(values).size < 2) continue
    const column = { cause, values: values as number[] }
    const others = [laps.map(() => 1), ...columns.map((c) => c.values), ...changes]
    const tried = leastSquares([...others, column.values], column.values)
    if (tried.inflation[others.length]! > APART) left.push(cause)
    else columns.push(column)
  }
  return { columns, left }
}

/** What says a change already: the first of the columns with which nothing of its own is left. */
function confounder(columns: readonly Column[], change: readonly number[]): LapCause {
  const ones = change.map(() => 1)
  for (const cause of ['session', 'fuel', 'air'] as const) {
    const of = columns.filter((c) => c.cause === cause).map((c) => c.values)
    if (of.length > 0 && leastSquares([ones, ...of, change], change).dependent.includes(of.length + 1))
      return cause
  }
  return columns.some((c) => c.cause === 'session') ? 'session' : 'driver'
}
