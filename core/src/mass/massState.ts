import { isMeasured } from '../evidence/grade'
import { rollUpGrade, type Known } from '../evidence/known'
import type { LedgerLine, Position } from './ledger'
import { lineMass, lineSign } from './lineMass'

/** One contribution to the car's mass and its first moments. */
export interface MassPoint {
  readonly mass: Known
  /** +1 adds, −1 removes, 0 moves it from one place to another. */
  readonly sign: -1 | 0 | 1
  readonly position: Position | null
  readonly movedTo?: Position | null
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
const AXES = ['x', 'y', 'z'] as const

/** A ledger line as a contribution. */
export const pointOf = (line: LedgerLine): MassPoint => ({
  mass: lineMass(line),
  sign: lineSign(line),
  position: line.position,
  movedTo: line.movedTo,
})

/**
 * Rolls contributions up to the car's mass and centre of mass: r = Σ m·r / Σ m.
 *
 * A part without a place is put at the centre of everything that has one, where it moves nothing, and
 * widens the uncertainty instead. A moved part adds no mass, and its weighing error cancels in the total.
 *
 * @param points contributions; the first is usually the car as bought
 * @returns the state; `impossible` when more comes off than the car weighs, and then only the mass means anything
 * @source statics; JCGM 100:2008 (GUM) 5.1 for the propagation, from memory
 * @example massState([{ mass: known(900, 'measured'), sign: 1, position: { x: 1.1, y: 0, z: 0.5 } }]).centre.x.value // 1.1
 */
export function massState(points: readonly MassPoint[]): MassState {
  let total = 0
  let placedTotal = 0
  let unplaced = 0
  let gross = 0
  let grossMeasured = 0
  const moment = { x: 0, y: 0, z: 0 }
  const massParts: { variance: number; grade: Known['grade'] }[] = []
  for (const { mass, sign, position, movedTo } of points) {
    total += sign * mass.value
    gross += Math.abs(mass.value)
    if (isMeasured(mass.grade)) grossMeasured += Math.abs(mass.value)
    if (sign !== 0) massParts.push({ variance: mass.sigma ** 2, grade: mass.grade })
    if (!position) {
      unplaced += Math.abs(mass.value)
      continue
    }
    placedTotal += sign * mass.value
    const to = movedTo ?? position
    for (const axis of AXES) {
      moment[axis] +=
        sign === 0 ? mass.value * (to[axis] - position[axis]) : sign * mass.value * position[axis]
    }
  }
  const impossible = total <= 0
  const reference = placedTotal > 0 ? placedTotal : Math.max(total, 1)

  const coordinate = (axis: (typeof AXES)[number]): Known => {
    if (impossible) return { value: 0, sigma: 0, grade: 'guess' }
    const centre = moment[axis] / reference
    const parts = points.map(({ mass, sign, position, movedTo }) => {
      const to = movedTo ?? position
      if (!position || !to)
        return { variance: ((mass.value * UNPLACED_SIGMA[axis]) / total) ** 2, grade: mass.grade }
      const arm = sign === 0 ? to[axis] - position[axis] : position[axis] - centre
      const placing = mass.value * PLACED_SIGMA * (sign === 0 ? Math.SQRT2 : 1)
      // A whole-car figure's place is the thing the caller states with its own grade, not a tape reading.
      const placingSigma = mass.value > total / 3 ? mass.value * WHOLE_CAR_SIGMA[mass.grade] : placing
      return { variance: ((mass.sigma * arm) ** 2 + placingSigma ** 2) / total ** 2, grade: mass.grade }
    })
    return {
      value: centre,
      sigma: Math.sqrt(parts.reduce((s, p) => s + p.variance, 0)),
      grade: rollUpGrade(parts),
    }
  }

  return {
    mass: {
      value: total,
      sigma: Math.sqrt(massParts.reduce((s, p) => s + p.variance, 0)),
      grade: rollUpGrade(massParts),
    },
    centre: { x: coordinate('x'), y: coordinate('y'), z: coordinate('z') },
    impossible,
    unplaced,
    measuredShare: gross > 0 ? grossMeasured / gross : 0,
  }
}

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
