import { GRADES, isMeasured, type Grade } from '../evidence/grade'
import { gradeOf, type Known, type VarianceByGrade } from '../evidence/known'
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
}

export interface MassState {
  readonly mass: Known
  /** Centre of mass, each coordinate with its uncertainty, m. */
  readonly centre: { readonly x: Known; readonly y: Known; readonly z: Known }
  /** More comes off than the car weighs: some line is wrong. */
  readonly impossible: boolean
  /** Mass on either side of the ledger with no place stated, kg. */
  readonly unplaced: number
  /** Share, 0 to 1, of everything that was added, removed or weighed whole that is measured or proven. */
  readonly measuredShare: number
}

/** A stated place is good to about 5 cm; a part with no place could be anywhere around the middle. */
const PLACED_SIGMA = 0.05
const UNPLACED_SIGMA: Position = { x: 0.9, y: 0.4, z: 0.25 }

/** A ledger line as a contribution. */
export const pointOf = (line: LedgerLine): MassPoint => ({
  mass: lineMass(line),
  sign: lineSign(line),
  position: line.position,
  movedTo: line.movedTo,
})

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
}
const AXES = ['x', 'y', 'z'] as const
type Axis = (typeof AXES)[number]
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
}

/** @returns a new fold with the contributions added; the one given is not changed */
export function foldMass(fold: MassFold, points: readonly MassPoint[]): MassFold {
  let { total, placed, unplaced, gross, grossMeasured } = fold
  const moment = { ...fold.moment }
  const massVariance = { ...fold.massVariance }
  const axes = {
    x: copyOf(fold.axes.x),
    y: copyOf(fold.axes.y),
    z: copyOf(fold.axes.z),
  }
  for (const { mass, sign, position, movedTo, whole } of points) {
    const { value, grade } = mass
    const variance = mass.sigma ** 2
    total += sign * value
    gross += Math.abs(value)
    if (isMeasured(grade)) grossMeasured += Math.abs(value)
    if (sign !== 0) addTo(massVariance, grade, variance)
    if (position) placed += sign * value
    else unplaced += Math.abs(value)
    for (const axis of AXES) {
      const sums = axes[axis]
      if (!position) {
        addTo(sums.fixed, grade, (value * UNPLACED_SIGMA[axis]) ** 2)
        continue
      }
      const from = position[axis]
      const by = sign === 0 ? (movedTo ?? position)[axis] - from : from
      moment[axis] += (sign === 0 ? 1 : sign) * value * by
      // A whole-car figure's place is the thing the caller states with its own grade, not a tape reading.
      const placing = whole ? WHOLE_CAR_SIGMA[grade] : PLACED_SIGMA * (sign === 0 ? Math.SQRT2 : 1)
      addTo(sums.fixed, grade, (value * placing) ** 2 + (sign === 0 ? variance * by ** 2 : 0))
      if (sign === 0) continue
      addTo(sums.weight, grade, variance)
      addTo(sums.weightAt, grade, variance * from)
      addTo(sums.weightAtSquared, grade, variance * from ** 2)
    }
  }
  return { total, placed, unplaced, gross, grossMeasured, moment, massVariance, axes }
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

/** The car's mass and centre of mass from a fold: r = Σ m·r / Σ m. */
export function stateOf(fold: MassFold): MassState {
  const { total, placed, gross } = fold
  const impossible = total <= 0
  const reference = placed > 0 ? placed : Math.max(total, 1)
  const coordinate = (axis: Axis): Known => {
    if (impossible) return { value: 0, sigma: 0, grade: 'guess' }
    const centre = fold.moment[axis] / reference
    const { weight, weightAt, weightAtSquared, fixed } = fold.axes[axis]
    const variance: Partial<Record<Grade, number>> = {}
    for (const grade of GRADES) {
      if (fixed[grade] === undefined) continue
      const spread =
        (weightAtSquared[grade] ?? 0) -
        2 * centre * (weightAt[grade] ?? 0) +
        centre ** 2 * (weight[grade] ?? 0)
      variance[grade] = (Math.max(spread, 0) + fixed[grade]) / total ** 2
    }
    return { value: centre, sigma: Math.sqrt(sumOf(variance)), grade: gradeOf(variance) }
  }
  return {
    mass: { value: total, sigma: Math.sqrt(sumOf(fold.massVariance)), grade: gradeOf(fold.massVariance) },
    centre: { x: coordinate('x'), y: coordinate('y'), z: coordinate('z') },
    impossible,
    unplaced: fold.unplaced,
    measuredShare: gross > 0 ? fold.grossMeasured / gross : 0,
  }
}

const sumOf = (variances: VarianceByGrade) => GRADES.reduce((sum, g) => sum + (variances[g] ?? 0), 0)

/**
 * Rolls contributions up to the car's mass and centre of mass.
 *
 * A part without a place is put at the centre of everything that has one, where it moves nothing, and
 * widens the uncertainty instead. A moved part adds no mass, and its weighing error cancels in the total.
 *
 * @param points contributions; the first is usually the car as bought
 * @returns the state; `impossible` when more comes off than the car weighs, and then only the mass means anything
 * @source statics; JCGM 100:2008 (GUM) 5.1 for the propagation, from memory
 * @example massState([{ mass: known(900, 'measured'), sign: 1, position: { x: 1.1, y: 0, z: 0.5 } }]).centre.x.value // 1.1
 */
export const massState = (points: readonly MassPoint[]): MassState => stateOf(foldMass(EMPTY_FOLD, points))

/** How well the centre of a whole car is known from how its mass is known, m. */
const WHOLE_CAR_SIGMA: Record<Known['grade'], number> = {
  guess: 0.1,
  claim: 0.06,
  measured: 0.015,
  proven: 0.008,
}

/**
 * Front share of the mass from its centre: 1 − x/L.
 *
 * @param centreX metres behind the front axle line
 * @param wheelbase metres
 * @example frontShare({ value: 1.0, sigma: 0.01, grade: 'measured' }, 2.5).value // 0.6
 */
export const frontShare = (centreX: Known, wheelbase: number): Known => ({
  value: 1 - centreX.value / wheelbase,
  sigma: centreX.sigma / wheelbase,
  grade: centreX.grade,
})

/**
 * Left share of the mass from its centre: ½ + y/t, with the mean track.
 *
 * @param centreY metres left of the centreline
 * @param track mean of the two tracks, metres
 */
export const leftShare = (centreY: Known, track: number): Known => ({
  value: 0.5 + centreY.value / track,
  sigma: centreY.sigma / track,
  grade: centreY.grade,
})
