import { STANDARD_GRAVITY } from '../units/quantities'
import { invertMatrix, timesColumn } from '../numeric/invertMatrix'
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
  /** Scatter of the speeds about the fit, m/s. */
  readonly scatter: number
  /** Speeds of the fit, run by run, point by point. */
  readonly fitted: readonly (readonly number[])[]
}

const FEWEST = 10

/**
 * Drag and rolling resistance from runs of a car that rolls out, both ways where there was wind.
 *
 * The speed itself is fitted, not its slope: v(t) = v₀ − (A·t + C·∫v²dt)/m. Slopes of a noisy log are mostly noise, its
 * integral hardly any. A steady wind along the road adds a term in ∫v dt that has the other sign on the way back.
 *
 * @param runs each at least ten points
 * @throws {RangeError} for too few points, times that don't rise, a run that speeds up, or too narrow a range
 * @source m·dv/dt = −(A + Cv²) by least squares (SAE J1263, from memory); intervals by Student's t
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
    const mean = (some: CoastRun['points']) => some.reduce((s, p) => s + p.speed, 0) / some.length
    if (!(mean(points.slice(-tenth)) < mean(points.slice(0, tenth)))) {
      const [from, to] = [points[0]!, points.at(-1)!].map((p) => (p.speed * 3.6).toFixed(0))
      throw new RangeError(`a coast-down slows down: this one goes from ${from} to ${to} km/h`)
    }
  }
  const bothWays = new Set(runs.map((r) => r.direction)).size === 2
  const shared = bothWays ? 3 : 2
  const size = shared + runs.length
  const inert = mass + equivalentMass
  const normal = Array.from({ length: size }, () => new Array<number>(size).fill(0))
  const right = new Array<number>(size).fill(0)
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
      return bothWays
        ? [-t / inert, -squares / inert, (-sign * distance) / inert]
        : [-t / inert, -squares / inert]
    })
  })
  // Only the shared columns and each run's own start are filled: the rest of the table stays nothing.
  runs.forEach(({ points }, r) => {
    points.forEach((p, i) => {
      const x = designs[r]![i]!
      for (let a = 0; a < shared; a += 1) {
        for (let b = 0; b < shared; b += 1) normal[a]![b]! += x[a]! * x[b]!
        normal[a]![shared + r]! += x[a]!
        normal[shared + r]![a]! += x[a]!
        right[a]! += x[a]! * p.speed
      }
      normal[shared + r]![shared + r]! += 1
      right[shared + r]! += p.speed
    })
  })
  const inverted = invertMatrix(normal, 1e-14)
  if (!inverted) throw new RangeError('the runs cover too small a range of speeds to part drag from rolling')
  const solved = timesColumn(inverted, right)
  const fitted = runs.map(({ points }, r) =>
    points.map((_, i) => designs[r]![i]!.reduce((s, x, a) => s + x * solved[a]!, solved[shared + r]!)),
  )
  const count = runs.reduce((s, r) => s + r.points.length, 0)
  const squared = runs.reduce(
    (s, { points }, r) => s + points.reduce((q, p, i) => q + (p.speed - fitted[r]![i]!) ** 2, 0),
    0,
  )
  const freedom = count - size
  const variance = squared / Math.max(1, freedom)
  const t90 = studentPoint(0.95, freedom)
  const [constant, square, across] = [solved[0]!, solved[1]!, bothWays ? solved[2]! : 0]
  const wind = bothWays && square !== 0 ? across / (2 * square) : null
  const known = (value: number, sigma: number): Fitted => ({
    ...{ value, sigma, interval: [value - t90 * sigma, value + t90 * sigma] },
  })
  const toDrag = 2 / airDensity
  const weight = mass * STANDARD_GRAVITY
  return {
    dragArea: known(square * toDrag, Math.sqrt(variance * inverted[1]![1]!) * toDrag),
    // What the wind adds at standstill is drag, not rolling.
    rolling: known(
      (constant - square * (wind ?? 0) ** 2) / weight,
      Math.sqrt(variance * inverted[0]![0]!) / weight,
    ),
    ...{ wind, scatter: Math.sqrt(variance), fitted },
  }
}
