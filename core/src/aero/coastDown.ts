import { mean as meanOf } from '../numeric/mean'
import { STANDARD_GRAVITY } from '../units/constants'
import { invertMatrix, timesColumn } from '../numeric/invertMatrix'
import { logDeterminant } from '../numeric/logDeterminant'
import { studentPoint } from '../numeric/studentT'

/** A car rolling out, out of gear. SI. */
export interface CoastRun {
  readonly direction: 'out' | 'back'
  /** Times rising, speeds falling. */
  readonly points: readonly { readonly time: number; readonly speed: number }[]
}
export interface CoastCar {
  /** With everybody aboard, kg, and what the turning wheels add to it. */
  readonly mass: number
  readonly equivalentMass: number
  readonly airDensity: number
}

export interface Fitted {
  readonly value: number
  readonly sigma: number
  /** 90 % interval. */
  readonly interval: readonly [number, number]
}
export interface CoastFit {
  /** C_D·A, m². */
  readonly dragArea: Fitted
  /** Coefficient of rolling resistance, with what turns in the driveline. */
  readonly rolling: Fitted
  /** Along the road, m/s, against the way out; `null` where only one way was run. */
  readonly wind: number | null
  /**
   * One way alone can't tell wind from drag: the wind that it is widened by, m/s, one standard uncertainty; `null`
   * where both ways were run.
   */
  readonly windTaken: number | null
  /** Scatter of the speeds about the fit, m/s. */
  readonly scatter: number
  /** How much of a point's error the next one still has, 0 to 1. */
  readonly persistence: number
  /** Speeds of the fit, run by run, point by point. */
  readonly fitted: readonly (readonly number[])[]
}

const FEWEST = 10
/** Along the road on a day that somebody took for still, m/s (common practice). */
const STILL_DAY = 1.5
/** Shares of an error that the next point may still have; the finer the nearer to all of it. */
const PERSISTENCES = [
  0, 0.15, 0.3, 0.45, 0.6, 0.7, 0.78, 0.84, 0.88, 0.91, 0.935, 0.953, 0.966, 0.976, 0.983, 0.988, 0.9915,
  0.994, 0.996, 0.9975, 0.9985,
]

/**
 * Drag and rolling resistance from runs of a car that rolls out, both ways where there was wind.
 *
 * The speed itself is fitted, not its slope: v(t) = v₀ − (A·t + C·∫v²dt)/m. Slopes of a noisy log are mostly noise, its
 * integral hardly any. A steady wind along the road adds a term in ∫v dt that has the other sign on the way back.
 *
 * The noise of a log hangs together: a logger smooths, a road undulates. How much of a point's error the next one still
 * has is read off the log itself, and the fit is taken over all that it may be, as likely as each is.
 *
 * One way alone can't tell wind from drag. Its figures are widened by the wind of a day taken for still.
 *
 * @param runs each at least ten points
 * @throws {RangeError} for too few points, times that don't rise, a run that speeds up, or too narrow a range
 * @source m·dv/dt = −(A + Cv²) by generalised least squares (SAE J1263); errors of first order,
 * e_i = ρ·e_(i−1) + noise, ρ by restricted likelihood (Harville, J. Am. Stat. Assoc. 72 (1977) 320);
 * intervals by Student's t
 * @example coastDown(runs, { mass: 1260, equivalentMass: 50, airDensity: 1.2 }).dragArea.value
 */
export function coastDown(
  runs: readonly CoastRun[],
  { mass, equivalentMass, airDensity }: CoastCar,
): CoastFit {
  if (!(mass > 0 && airDensity > 0 && equivalentMass >= 0))
    throw new RangeError('a coast-down needs mass and air above zero')
  if (runs.length === 0) throw new RangeError('a coast-down needs a run')
  for (const { points } of runs) {
    if (points.length < FEWEST) throw new RangeError(`a run needs ${FEWEST} points or more`)
    if (points.some((p, i) => i > 0 && !(p.time > points[i - 1]!.time)))
      throw new RangeError('the times of a run rise from point to point')
    const tenth = Math.max(1, Math.floor(points.length / 10))
    const mean = (some: CoastRun['points']) => meanOf(some.map((p) => p.speed))
    if (!(mean(points.slice(-tenth)) < mean(points.slice(0, tenth)))) {
      const [from, to] = [points[0]!, points.at(-1)!].map((p) => (p.speed * 3.6).toFixed(0))
      throw new RangeError(`a coast-down slows down: this one goes from ${from} to ${to} km/h`)
    }
  }
  const bothWays = new Set(runs.map((r) => r.direction)).size === 2
  const shared = bothWays ? 3 : 2
  const size = shared + runs.length
  const inert = mass + equivalentMass
  const designs = runs.map(({ direction, points }) => {
    const sign = direction === 'out' ? 1 : -1
    let [squares, distance] = [0, 0]
    return points.map((p, i) => {
      if (i > 0) {
        const before = points[i - 1]!
        const dt = p.time - before.time
        squares += ((p.speed ** 2 + before.speed ** 2) / 2) * dt
        distance += ((p.speed + before.speed) / 2) * dt
      }
      const t = p.time - points[0]!.time
      const columns = [-t / inert, -squares / inert]
      return { columns: bothWays ? [...columns, (-sign * distance) / inert] : columns, way: distance / inert }
    })
  })
  const count = runs.reduce((s, r) => s + r.points.length, 0)
  const usual = usualStep(runs)
  const sums = runs.map(({ points }, r) =>
    sumsOf(
      points.map((p, i) => [...designs[r]![i]!.columns, 1, p.speed, designs[r]![i]!.way]),
      points.map((p) => p.time),
      usual,
    ),
  )
  const tried = PERSISTENCES.flatMap((persistence) => {
    const one = fitWith(sums, shared, count, persistence)
    return one ? [one] : []
  })
  if (tried.length === 0)
    throw new RangeError('the runs cover too small a range of speeds to part drag from rolling')
  const best = tried.reduce((a, b) => (b.likelihood > a.likelihood ? b : a))
  const weights = tried.map((t) => Math.exp(t.likelihood - best.likelihood))
  const all = weights.reduce((a, b) => a + b, 0)
  const over = (of: (t: CoastTry) => number) => tried.reduce((s, t, i) => s + weights[i]! * of(t), 0) / all
  const solved = best.solved.map((_, a) => over((t) => t.solved[a]!))
  const varianceOf = (a: number) =>
    over((t) => t.variance * t.inverted[a]![a]! + (t.solved[a]! - solved[a]!) ** 2)
  const persistence = over((t) => t.persistence)
  const fitted = runs.map(({ points }, r) =>
    points.map((_, i) =>
      designs[r]![i]!.columns.reduce((s, x, a) => s + x * solved[a]!, solved[shared + r]!),
    ),
  )
  // Points that hang together are worth fewer; half of what that costs is in the variances already, which are taken
  // over all that the persistence may be.
  const worth = (count * (1 - persistence)) / (1 + persistence)
  const t90 = studentPoint(0.95, Math.max(4, 2 * worth - size))
  const [constant, quadratic, across] = [solved[0]!, solved[1]!, bothWays ? solved[2]! : 0]
  const wind = bothWays && quadratic !== 0 ? across / (2 * quadratic) : null
  // A wind that nobody measured acts as 2·C·wind times the way: what it shifts is added to the doubt.
  const byWind = (a: number) => (bothWays ? 0 : best.byWay[a]! * 2 * quadratic * STILL_DAY)
  const known = (value: number, sigma: number): Fitted => ({
    value,
    sigma,
    interval: [value - t90 * sigma, value + t90 * sigma],
  })
  const toDrag = 2 / airDensity
  const weight = mass * STANDARD_GRAVITY
  return {
    dragArea: known(quadratic * toDrag, Math.hypot(Math.sqrt(varianceOf(1)), byWind(1)) * toDrag),
    // What the wind adds at standstill is drag, not rolling.
    rolling: known(
      (constant - quadratic * (wind ?? 0) ** 2) / weight,
      Math.hypot(Math.sqrt(varianceOf(0)), byWind(0)) / weight,
    ),
    wind,
    windTaken: bothWays ? null : STILL_DAY,
    scatter: Math.sqrt(over((t) => t.variance)),
    persistence,
    fitted,
  }
}

/** The middle of the steps of time of all runs, s. */
function usualStep(runs: readonly CoastRun[]): number {
  const steps = runs.flatMap(({ points }) => points.slice(1).map((p, i) => p.time - points[i]!.time))
  return steps.sort((a, b) => a - b)[Math.floor(steps.length / 2)]!
}

interface CoastTry {
  readonly persistence: number
  readonly solved: readonly number[]
  readonly inverted: readonly (readonly number[])[]
  /** What a column of the way rolled so far would shift each of the solved by, for a column of its own size. */
  readonly byWay: readonly number[]
  /** Of a point's error, m²/s². */
  readonly variance: number
  /** Logarithm of the restricted likelihood, but for a constant. */
  readonly likelihood: number
}
/** One row of a log as it is fitted: shared columns, 1 for its run's own start, its speed, and the way rolled so far. */
type LogRow = readonly number[]

/** Products of the rows of a run with themselves and with the row before, for all that lie as many steps apart. */
interface LagSums {
  readonly steps: number
  readonly count: number
  /** Σ z_i·z_iᵀ, Σ z_i·z_(i−1)ᵀ + its transpose, Σ z_(i−1)·z_(i−1)ᵀ. */
  readonly own: number[][]
  readonly crossed: number[][]
  readonly before: number[][]
}

interface RunSums {
  readonly first: LogRow
  readonly lags: readonly LagSums[]
}

const square = (size: number) => Array.from({ length: size }, () => new Array<number>(size).fill(0))

/** Everything that a fit needs of a run, whatever its errors keep from point to point: one pass over its points. */
function sumsOf(rows: readonly LogRow[], times: readonly number[], usual: number): RunSums {
  const size = rows[0]!.length
  const lags = new Map<number, LagSums & { count: number }>()
  for (let i = 1; i < rows.length; i += 1) {
    const steps = Math.max(1, Math.round((times[i]! - times[i - 1]!) / usual))
    let lag = lags.get(steps)
    if (!lag) {
      lag = { steps, count: 0, own: square(size), crossed: square(size), before: square(size) }
      lags.set(steps, lag)
    }
    lag.count += 1
    const [now, last] = [rows[i]!, rows[i - 1]!]
    for (let a = 0; a < size; a += 1)
      for (let b = 0; b <= a; b += 1) {
        lag.own[a]![b]! += now[a]! * now[b]!
        lag.crossed[a]![b]! += now[a]! * last[b]! + last[a]! * now[b]!
        lag.before[a]![b]! += last[a]! * last[b]!
      }
  }
  return { first: rows[0]!, lags: [...lags.values()] }
}

/** Products of the rows with what each shares with the one before taken out, the lower half; and Σ ln(1 − ρ²). */
function whitened({ first, lags }: RunSums, persistence: number): { products: number[][]; logs: number } {
  const products = first.map((v, a) => first.slice(0, a + 1).map((w) => v * w))
  let logs = 0
  for (const { steps, count, own, crossed, before } of lags) {
    const kept = persistence ** steps
    const scale = 1 / (1 - kept * kept)
    logs += count * Math.log(1 - kept * kept)
    products.forEach((row, a) => {
      for (let b = 0; b <= a; b += 1)
        row[b]! += scale * (own[a]![b]! - kept * crossed[a]![b]! + kept * kept * before[a]![b]!)
    })
  }
  return { products, logs }
}

/** The fit for one persistence of the errors; `null` where the columns can't be told apart. */
function fitWith(
  runs: readonly RunSums[],
  shared: number,
  count: number,
  persistence: number,
): CoastTry | null {
  const size = shared + runs.length
  const normal = square(size)
  const right = new Array<number>(size).fill(0)
  const byWay = new Array<number>(size).fill(0)
  const [start, speed, way] = [shared, shared + 1, shared + 2]
  let [squares, logs] = [0, 0]
  // Only the shared columns and each run's own start are filled: the rest of the table stays nothing.
  runs.forEach((run, r) => {
    const { products, logs: more } = whitened(run, persistence)
    logs += more
    squares += products[speed]![speed]!
    for (let a = 0; a < shared; a += 1) {
      for (let b = 0; b < shared; b += 1) normal[a]![b]! += products[Math.max(a, b)]![Math.min(a, b)]!
      normal[a]![shared + r] = normal[shared + r]![a] = products[start]![a]!
      right[a]! += products[speed]![a]!
      byWay[a]! += products[way]![a]!
    }
    normal[shared + r]![shared + r] = products[start]![start]!
    right[shared + r] = products[speed]![start]!
    byWay[shared + r] = products[way]![start]!
  })
  const inverted = invertMatrix(normal, 1e-14)
  if (!inverted) return null
  const solved = timesColumn(inverted, right)
  const left = Math.max(1e-12, squares - solved.reduce((s, v, a) => s + v * right[a]!, 0))
  const freedom = Math.max(1, count - size)
  return {
    persistence,
    solved,
    inverted,
    byWay: timesColumn(inverted, byWay),
    variance: left / freedom,
    likelihood: -0.5 * (freedom * Math.log(left) + logs + logDeterminant(normal)),
  }
}
