import { doubtName } from '../evidence/doubtNames'
import { GRADES, type Grade } from '../evidence/grade'
import { gradeOf, type Known, type VarianceByGrade } from '../evidence/known'
import { EMPTY_FOLD, foldMass, type Axis, type MassFold, type MassPoint } from './massFold'

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

/** The car's mass and centre of mass from a fold: r = Σ m·r / Σ m. */
export function stateOf(fold: MassFold): MassState {
  const { total, placed, gross, shared } = fold
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
    for (const error of Object.values(shared)) {
      const off = ((error[axis] - centre * error.mass) / total) ** 2
      variance[error.grade] = (variance[error.grade] ?? 0) + off
    }
    return { value: centre, sigma: Math.sqrt(sumOf(variance)), grade: gradeOf(variance) }
  }
  const massVariance = { ...fold.massVariance }
  const shares = Object.entries(shared)
  for (const [, { mass, grade }] of shares) massVariance[grade] = (massVariance[grade] ?? 0) + mass ** 2
  return {
    mass: {
      value: total,
      sigma: Math.sqrt(sumOf(massVariance)),
      grade: gradeOf(massVariance),
      ...(shares.length > 0 && {
        doubts: Object.fromEntries(shares.map(([what, { mass }]) => [doubtName.shared(what), mass])),
      }),
    },
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
 * @source statics; JCGM 100:2008 (GUM), 5.1.2, equation 10, for the propagation
 * @example massState([{ mass: known(900, 'measured'), sign: 1, position: { x: 1.1, y: 0, z: 0.5 } }]).centre.x.value // 1.1
 */
export const massState = (points: readonly MassPoint[]): MassState => stateOf(foldMass(EMPTY_FOLD, points))

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
