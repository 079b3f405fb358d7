import { bisect } from '../numeric/bisect'
import { backwards, cholesky, forwards, logDeterminantOf } from '../numeric/cholesky'
import { mean as meanOf } from '../numeric/mean'
import { studentPoint, studentShare } from '../numeric/studentT'
import { STANDARD_GRAVITY } from '../units/constants'
import { coastErrors, stretchesOf, type CoastErrors, type CoastStretches } from './coastErrors'

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
  /** How likely it is, by the log, that gusts or hills pushed it about, 0 to 1: then it is widened by them. */
  readonly pushed: number
  /** Speeds of the fit, run by run, point by point. */
  readonly fitted: readonly (readonly number[])[]
}

const FEWEST = 10
/** As little of a column as that is left by the others where speeds cover too small a range. */
const TOLD_APART = 1e-6
/** What gusts did is never known by fewer pieces than that. */
const LEAST_FREEDOM = 4
function dot(a: readonly number[], b: readonly number[]): number {
  let sum = 0
  for (let i = 0; i < a.length; i += 1) sum += a[i]! * b[i]!
  return sum
}
/** Along the road on a day that somebody took for still, m/s (common practice). */
const STILL_DAY = 1.5

/**
 * Drag and rolling resistance from runs of a car that rolls out, both ways where there was wind.
 *
 * The speed itself is fitted, not its slope: v(t) = v₀ − (A·t + C·∫v²dt)/m. Slopes of a noisy log are mostly noise, its
 * integral hardly any. A steady wind along the road adds a term in ∫v dt that has the other sign on the way back.
 *
 * The noise of a log hangs together: a logger smooths, a road undulates, a gust pushes and the car keeps what it was pushed
 * by; and a sensor's own noise lies over it. The log is taken in stretches of a second or so, and the fit over all that its
 * errors may be, as likely as each is by the log itself.
 *
 * One way alone can't tell wind from drag. Its figures are widened by the wind of a day taken for still.
 *
 * @param runs each at least ten points
 * @throws {RangeError} for too few points, times that don't rise, a run that speeds up, or too narrow a range
 * @source m·dv/dt = −(A + Cv²) by generalised least squares (SAE J1263, from memory); errors by restricted likelihood (Harville, J. Am.
 *   Stat. Assoc. 72 (1977) 320), averaged over (Gelman et al., Bayesian Data Analysis, 3rd edition, 5); Student's t
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
  const inert = mass + equivalentMass
  const designs = runs.map(({ direction, points }, r) => {
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
      const columns = [-t / inert, -squares / inert, ...(bothWays ? [(-sign * distance) / inert] : [])]
      const starts = runs.map((_, other) => (other === r ? 1 : 0))
      return { columns: [...columns, ...starts], way: distance }
    })
  })
  const stretches = runs.map(({ points }, r) =>
    stretchesOf(points.map((p, i) => ({ ...p, columns: designs[r]![i]!.columns, way: designs[r]![i]!.way }))),
  )
  const tried = coastErrors(stretches).flatMap((errors) => {
    const one = fitWith(stretches, errors)
    return one ? [one] : []
  })
  if (tried.length === 0)
    throw new RangeError('the runs cover too small a range of speeds to part drag from rolling')
  const best = tried.reduce((a, b) => (b.likelihood > a.likelihood ? b : a))
  const weights = tried.map((t) => Math.exp(t.likelihood - best.likelihood))
  const all = weights.reduce((a, b) => a + b, 0)
  const over = (of: (t: CoastTry) => number) => tried.reduce((s, t, i) => s + weights[i]! * of(t), 0) / all
  const solved = best.solved.map((_, a) => over((t) => t.solved[a]!))
  const fitted = runs.map(({ points }, r) =>
    points.map((_, i) => designs[r]![i]!.columns.reduce((s, x, a) => s + x * solved[a]!, 0)),
  )
  const [quadratic, across] = [solved[1]!, bothWays ? solved[2]! : 0]
  const wind = bothWays && quadratic !== 0 ? across / (2 * quadratic) : null
  // A wind that nobody measured acts as 2·C·wind times the way: what it shifts is added to the doubt.
  const byWind = (a: number) => (bothWays ? 0 : (best.byWay()[a]! * 2 * quadratic * STILL_DAY) / inert)
  /** A coefficient over all that the errors may be: its spread, and what holds nine in ten. */
  const known = (at: number, shift: number, scale: number): Fitted => {
    const widened = byWind(at)
    const parts = tried.map((t, i) => ({
      weight: weights[i]! / all,
      middle: t.solved[at]!,
      spread: Math.hypot(t.spreads[at]!, widened),
      freedom: Math.max(LEAST_FREEDOM, Math.min(t.freedom, t.errors.pieces)),
    }))
    const middle = solved[at]!
    const sigma = Math.sqrt(
      parts.reduce((s, p) => s + p.weight * (p.spread ** 2 + (p.middle - middle) ** 2), 0),
    )
    const value = (middle + shift) * scale
    const edge = (share: number) => (mixturePoint(parts, share, sigma) + shift) * scale
    return { value, sigma: sigma * scale, interval: [edge(0.05), edge(0.95)] }
  }
  const residuals = runs.flatMap(({ points }, r) => points.map((p, i) => p.speed - fitted[r]![i]!))
  return {
    dragArea: known(1, 0, 2 / airDensity),
    // What the wind adds at standstill is drag, not rolling.
    rolling: known(0, -quadratic * (wind ?? 0) ** 2, 1 / (mass * STANDARD_GRAVITY)),
    wind,
    windTaken: bothWays ? null : STILL_DAY,
    scatter: Math.sqrt(residuals.reduce((s, x) => s + x * x, 0) / residuals.length),
    pushed: over((t) => (t.errors.gusts > 0 ? 1 : 0)),
    fitted,
  }
}

interface Part {
  readonly weight: number
  readonly middle: number
  readonly spread: number
  readonly freedom: number
}

/** The value that a mixture of Student's t distributions stays below with a chance. */
function mixturePoint(parts: readonly Part[], share: number, sigma: number): number {
  const telling = parts.filter((p) => p.weight > 1e-6)
  const below = (x: number) =>
    telling.reduce(
      (s, p) =>
        s +
        p.weight *
          (p.spread > 0 ? studentShare((x - p.middle) / p.spread, p.freedom) : x >= p.middle ? 1 : 0),
      0,
    )
  const middle = parts.reduce((s, p) => s + p.weight * p.middle, 0)
  const reach = sigma * Math.abs(studentPoint(0.001, 3))
  if (!(reach > 0)) return middle
  return bisect((x) => below(x) < share, middle - reach, middle + reach, 40).low
}

interface CoastTry {
  readonly errors: CoastErrors
  readonly solved: readonly number[]
  /** Of each coefficient, one standard error. */
  readonly spreads: readonly number[]
  readonly freedom: number
  /** What a column of the way rolled so far would shift each coefficient by, for a column of its own size. */
  readonly byWay: () => readonly number[]
  /** Logarithm of the restricted likelihood, but for a constant. */
  readonly likelihood: number
}

/** The fit for what the errors may be; `null` where the columns can't be told apart. */
function fitWith(stretches: readonly CoastStretches[], errors: CoastErrors): CoastTry | null {
  const whiten = (of: (one: CoastStretches) => readonly number[]) =>
    stretches.flatMap((one, r) => errors.whiten(r, of(one)))
  const columns = stretches[0]!.columns.map((_, c) => whiten((one) => one.columns[c]!))
  const sizes = columns.map((column) => Math.sqrt(dot(column, column)) || 1)
  const gram = columns.map((a, i) => columns.slice(0, i + 1).map((b, j) => dot(a, b) / sizes[i]! / sizes[j]!))
  const triangle = cholesky(gram)
  // A column of which the others say nearly all tells nothing of its own.
  if (!triangle || triangle.some((row, i) => row[i]! < TOLD_APART)) return null
  const solve = (column: readonly number[]) =>
    backwards(
      triangle,
      forwards(
        triangle,
        columns.map((own, i) => dot(own, column) / sizes[i]!),
      ),
    ).map((x, i) => x / sizes[i]!)
  const speed = whiten((one) => one.speed)
  const solved = solve(speed)
  const left = speed.map((v, i) => v - columns.reduce((s, column, c) => s + column[i]! * solved[c]!, 0))
  const freedom = speed.length - columns.length
  if (freedom < 1) return null
  // A clean log scatters by nothing: what is left then is how numbers are kept.
  const variance = Math.max(dot(left, left) / freedom, 1e-12)
  const logDeterminant = logDeterminantOf(triangle) + sizes.reduce((s, size) => s + 2 * Math.log(size), 0)
  return {
    errors,
    solved,
    freedom,
    spreads: columns.map((_, i) => {
      const own = forwards(
        triangle,
        columns.map((__, j) => (i === j ? 1 : 0)),
      )
      return Math.sqrt(variance * dot(own, own)) / sizes[i]!
    }),
    byWay: () => solve(whiten((one) => one.way)),
    likelihood:
      Math.log(errors.before) - 0.5 * (freedom * Math.log(variance) + errors.logDeterminant + logDeterminant),
  }
}
