import { GRADES, isMeasured, weakerGrade, type Grade } from '../evidence/grade'
import type { Known, VarianceByGrade } from '../evidence/known'
import type { LedgerLine, Position } from './ledger'
import { lineMass, lineSign } from './lineMass'

/** One contribution to the car's mass and its first moments. */
export interface MassPoint {
  readonly mass: Known
  /** +1 adds, −1 removes, 0 moves it from one place to another. */
  readonly sign: -1 | 0 | 1
  readonly position: Position | null
  readonly movedTo?: Position | null
  /** A car weighed whole: its centre is stated with the weighing's grade, not taped off. */
  readonly whole?: true
  /** How well its place is known, m; left out, as well as a tape tells. */
  readonly placing?: number
  /** An error that it shares with other contributions, and its standard size here, kg. */
  readonly sharing?: { readonly with: string; readonly sigma: number } | null
}

/** A stated place is good to about 3 cm; a part with no place could be anywhere around the middle. */
const PLACED_SIGMA = 0.03
const UNPLACED_SIGMA: Position = { x: 0.9, y: 0.4, z: 0.25 }

/** How well the centre of a whole car is known from how its mass is known, m; pads tell it to millimetres. */
const WHOLE_CAR_SIGMA: Record<Known['grade'], number> = {
  guess: 0.1,
  claim: 0.06,
  measured: 0.005,
  proven: 0.003,
}

/**
 * How well the place of a contribution is known along an axis, m: as stated, as a whole car's weighing tells it, as
 * a tape tells it at one end or both, or hardly at all.
 */
export function placingOf({ mass, sign, position, whole, placing }: MassPoint, axis: Axis): number {
  if (!position) return UNPLACED_SIGMA[axis]
  // A whole-car figure's place is the thing the caller states with its own grade, not a tape reading.
  return placing ?? (whole ? WHOLE_CAR_SIGMA[mass.grade] : PLACED_SIGMA * (sign === 0 ? Math.SQRT2 : 1))
}

/** A ledger line as a contribution, all its pieces at its first place. */
export const pointOf = (line: LedgerLine): MassPoint => ({
  mass: lineMass(line),
  sign: lineSign(line),
  position: line.position,
  movedTo: line.movedTo,
  sharing: line.sharing
    ? { with: line.sharing.with, sigma: line.sharing.relative * lineMass(line).value }
    : null,
})

/** A ledger line as contributions, one for each place where pieces of it are fitted. */
export function pointsOf(line: LedgerLine): MassPoint[] {
  const { alsoAt = [] } = line
  if (alsoAt.length === 0) return [pointOf(line)]
  const at = (position: Position | null, quantity: number) =>
    pointOf({ ...line, position, quantity, alsoAt: [] })
  return [at(line.position, line.quantity), ...alsoAt.map((place) => at(place.position, place.quantity))]
}

/**
 * Contributions rolled up so far: running sums, so that one more part costs the same whether ten or ten
 * thousand went before it. Read it with {@link stateOf}.
 *
 * The centre's uncertainty needs Σσ²(p − c)², and c is known only at the end; kept apart as Σσ², Σσ²p and
 * Σσ²p² it can be put together then.
 */
export interface MassFold {
  readonly total: number
  readonly placed: number
  readonly unplaced: number
  readonly gross: number
  readonly grossMeasured: number
  readonly moment: Position
  readonly massVariance: VarianceByGrade
  readonly axes: Readonly<Record<Axis, AxisSums>>
  /** Σσ²·x·y, for the tilt of a region on the plan. */
  readonly weightXY: number
  /** Errors that several lines share, by what they share: added before they are squared. */
  readonly shared: Readonly<Record<string, SharedError>>
}
/** One shared error's standard size in the mass, kg, and in the moments, kg·m. */
export interface SharedError extends Position {
  readonly mass: number
  /** Of what shares it. */
  readonly grade: Grade
}
export const AXES = ['x', 'y', 'z'] as const
export type Axis = (typeof AXES)[number]
interface AxisSums {
  readonly weight: VarianceByGrade
  readonly weightAt: VarianceByGrade
  readonly weightAtSquared: VarianceByGrade
  readonly fixed: VarianceByGrade
}

const axisSums = (): AxisSums => ({ weight: {}, weightAt: {}, weightAtSquared: {}, fixed: {} })

/** The fold of nothing. */
export const EMPTY_FOLD: MassFold = {
  total: 0,
  placed: 0,
  unplaced: 0,
  gross: 0,
  grossMeasured: 0,
  moment: { x: 0, y: 0, z: 0 },
  massVariance: {},
  axes: { x: axisSums(), y: axisSums(), z: axisSums() },
  weightXY: 0,
  shared: {},
}

/** @returns a new fold with the contributions added; the one given is not changed */
export function foldMass(fold: MassFold, points: readonly MassPoint[]): MassFold {
  let { total, placed, unplaced, gross, grossMeasured, weightXY } = fold
  const shared = { ...fold.shared }
  const moment = { ...fold.moment }
  const massVariance = { ...fold.massVariance }
  const axes = {
    x: copyOf(fold.axes.x),
    y: copyOf(fold.axes.y),
    z: copyOf(fold.axes.z),
  }
  for (const point of points) {
    const { mass, sign, position, movedTo, sharing } = point
    const { value, grade } = mass
    const variance = mass.sigma ** 2
    total += sign * value
    gross += Math.abs(value)
    if (isMeasured(grade)) grossMeasured += Math.abs(value)
    if (sign !== 0) addTo(massVariance, grade, variance)
    if (position) placed += sign * value
    else unplaced += Math.abs(value)
    if (sign !== 0 && position) weightXY += variance * position.x * position.y
    if (sharing)
      shared[sharing.with] = addShared(shared[sharing.with] ?? { ...NO_ERROR, grade }, sharing.sigma, point)
    for (const axis of AXES) {
      const sums = axes[axis]
      addTo(sums.fixed, grade, (value * placingOf(point, axis)) ** 2)
      if (!position) continue
      const from = position[axis]
      const by = sign === 0 ? (movedTo ?? position)[axis] - from : from
      moment[axis] += (sign === 0 ? 1 : sign) * value * by
      if (sign === 0) {
        addTo(sums.fixed, grade, variance * by ** 2)
        continue
      }
      addTo(sums.weight, grade, variance)
      addTo(sums.weightAt, grade, variance * from)
      addTo(sums.weightAtSquared, grade, variance * from ** 2)
    }
  }
  return { total, placed, unplaced, gross, grossMeasured, moment, massVariance, axes, weightXY, shared }
}

const copyOf = (sums: AxisSums) => ({
  weight: { ...sums.weight },
  weightAt: { ...sums.weightAt },
  weightAtSquared: { ...sums.weightAtSquared },
  fixed: { ...sums.fixed },
})
const addTo = (sums: Partial<Record<Grade, number>>, grade: Grade, value: number) => {
  sums[grade] = (sums[grade] ?? 0) + value
}

const NO_ERROR = { mass: 0, x: 0, y: 0, z: 0 }

function addShared(
  before: SharedError,
  sigma: number,
  { sign, position, movedTo, mass: { grade } }: MassPoint,
): SharedError {
  const moment = (axis: Axis) => {
    if (!position) return 0
    return sign === 0 ? sigma * ((movedTo ?? position)[axis] - position[axis]) : sign * sigma * position[axis]
  }
  return {
    mass: before.mass + sign * sigma,
    x: before.x + moment('x'),
    y: before.y + moment('y'),
    z: before.z + moment('z'),
    grade: weakerGrade(before.grade, grade),
  }
}

/** Variances and covariance of the first moments about a point of the plan, (kg·m)². */
export interface MomentSpread {
  readonly xx: number
  readonly yy: number
  readonly xy: number
}

/**
 * How well a fold knows where its mass is: the spread of Σ m·(p − at), as a function of the point. The sums
 * are taken once, so that it can be asked about many points.
 */
export function momentSpread(
  fold: MassFold,
): (at: { readonly x: number; readonly y: number }) => MomentSpread {
  const sum = (sums: VarianceByGrade) => GRADES.reduce((total, g) => total + (sums[g] ?? 0), 0)
  const one = sum(fold.axes.x.weight)
  const [atX, atY] = [sum(fold.axes.x.weightAt), sum(fold.axes.y.weightAt)]
  const [squareX, squareY] = [sum(fold.axes.x.weightAtSquared), sum(fold.axes.y.weightAtSquared)]
  const [fixedX, fixedY] = [sum(fold.axes.x.fixed), sum(fold.axes.y.fixed)]
  const shared = Object.values(fold.shared)
  return ({ x, y }) => {
    let xx = squareX - 2 * x * atX + x ** 2 * one + fixedX
    let yy = squareY - 2 * y * atY + y ** 2 * one + fixedY
    let xy = fold.weightXY - y * atX - x * atY + x * y * one
    for (const error of shared) {
      const dx = error.x - x * error.mass
      const dy = error.y - y * error.mass
      xx += dx ** 2
      yy += dy ** 2
      xy += dx * dy
    }
    return { xx, yy, xy }
  }
}
