import { leastSquares, type LeastSquares } from '../numeric/leastSquares'
import { studentPoint, studentShare } from '../numeric/studentT'

/** A lap that counts: no in-lap, out-lap, traffic or error. */
export interface CountedLap {
  /** s */
  readonly time: number
  /** What was on the car: laps of one word were driven on the same. */
  readonly on: string
  /** How many laps had been begun since the driver got in, this one included; those that don't count included, too. */
  readonly number: number
  readonly session: string
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

export interface ChangeEffect {
  /** Against the first. */
  readonly on: string
  /** s a lap, below zero where it is quicker; its standard error, and what holds it with nine chances in ten. */
  readonly seconds: number
  readonly error: number
  readonly interval: readonly [number, number]
  /** That laps like these differ by so much where the change is worth nothing. */
  readonly chance: number
  readonly verdict: ChangeVerdict
  /** How many times larger the error is than it were without trend, fuel, air and sessions. */
  readonly inflation: number
  /** What changed with it, where it is confounded. */
  readonly with: LapCause | null
}

export interface LapEffects {
  /** What the others are set against. */
  readonly base: string
  readonly changes: readonly ChangeEffect[]
  /** From one lap to the next, with all that is known taken out, s. */
  readonly scatter: number
  readonly freedom: number
  readonly laps: number
  /** s from the first lap that counts to the last, by what it comes from. */
  readonly parts: Readonly<Record<LapCause, number>>
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
 * logarithm for the driver's and the tyres' trend, fuel and air where they vary apart from it, and sessions.
 *
 * Comparing bests or means instead sells the driver's learning as the car's: with nothing changed, six laps and six more
 * look quicker in more than half of all cases.
 *
 * @param laps in the order in which they were driven; times in s
 * @param base what the others are set against; the first one's where it is left out
 * @throws {RangeError} for no lap, and for times or numbers that are none
 * @source linear model with Student's t (Draper and Smith, Applied Regression Analysis, 1.4 and 2.6); lap number and its
 *   logarithm as the trend: common practice
 * @example changeEffect(laps).changes[0].verdict // 'quicker'
 */
export function changeEffect(laps: readonly CountedLap[], base = laps[0]?.on): LapEffects {
  if (base === undefined) throw new RangeError('there is no lap to compare')
  if (laps.some(({ time, number }) => !(time > 0 && Number.isFinite(time) && number >= 1)))
    throw new RangeError('a lap takes time and has a number')
  const others = [...new Set(laps.map((l) => l.on))].filter((on) => on !== base)
  const changes = others.map((on) => laps.map((l) => (l.on === on ? 1 : 0)))
  const known = reckonedWith(laps, changes)
  const before = [laps.map(() => 1), ...known.columns.map((c) => c.values)]
  const fit = leastSquares(
    [...before, ...changes],
    laps.map((l) => l.time),
  )
  return {
    base,
    changes: others.map((on, i) =>
      effectOf(on, fit, before.length + i, () => confounder(known.columns, changes[i]!)),
    ),
    scatter: fit.scatter,
    freedom: fit.freedom,
    laps: laps.length,
    parts: partsOf(known.columns, fit),
    left: known.left,
  }
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

function effectOf(on: string, fit: LeastSquares, at: number, confounded: () => LapCause): ChangeEffect {
  const nothing = { on, interval: [-Infinity, Infinity], chance: 1, with: null } as const
  const isDependent = fit.dependent.includes(at)
  if (isDependent || fit.freedom < LEAST_FREEDOM)
    return {
      ...nothing,
      seconds: fit.coefficients[at]!,
      error: Infinity,
      inflation: fit.inflation[at]!,
      verdict: fit.freedom < LEAST_FREEDOM ? 'tooFew' : 'confounded',
      with: isDependent ? confounded() : null,
    }
  const seconds = fit.coefficients[at]!
  const error = fit.errors[at]! * fit.scatter
  const chance =
    error === 0 ? (seconds === 0 ? 1 : 0) : 2 * studentShare(-Math.abs(seconds) / error, fit.freedom)
  const reach = error * studentPoint(0.95, fit.freedom)
  return {
    ...nothing,
    seconds,
    error,
    interval: [seconds - reach, seconds + reach],
    chance,
    inflation: fit.inflation[at]!,
    verdict: chance > SHOWN ? 'notShown' : seconds < 0 ? 'quicker' : 'slower',
  }
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

/** How much quicker or slower each cause made it from the first lap to the last. */
function partsOf(columns: readonly Column[], fit: LeastSquares): LapEffects['parts'] {
  const parts = { driver: 0, tyres: 0, fuel: 0, air: 0, session: 0 }
  columns.forEach(({ cause, values }, i) => {
    parts[cause] += fit.coefficients[i + 1]! * (values.at(-1)! - values[0]!)
  })
  return parts
}
