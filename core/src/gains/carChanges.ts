import type { Doubts } from '../evidence/doubts'
import { axleCarOf, type LapCar } from '../lap/LapCar'
import { lapSeconds, type LapCourse } from '../lap/lapTime'
import { QUARTER_MILE, straightLine } from '../driveline/straightLine'

export const GAIN_MEASURES = ['powerToWeight', 'quarterMile', 'lap'] as const
export type GainMeasure = (typeof GAIN_MEASURES)[number]

/** A car before the changes: what power to weight needs, and what a run needs where it is known. */
export interface GainCar {
  /** With the driver where a run has one, kg; W at the wheels. */
  readonly mass: number
  readonly power: number
  readonly run: LapCar | null
  /** Where a lap is driven; `null` where nobody has said. */
  readonly course: LapCourse | null
}
/** One change between two stages: what it weighs, and what it sets anew. */
export interface CarChange {
  readonly id: string
  readonly mass: number
  readonly power: number | null
  readonly run: Partial<Omit<LapCar, 'mass'>>
  /** One standard uncertainty of the change, as a share of it; left out for none. */
  readonly doubt?: number
  /** What of that has a name, as shares of the change. */
  readonly doubts?: Doubts
}

/** Pieces of a lap that is only compared with others of the same course, m. */
const COARSE = 6

/**
 * What a car is worth with some of its changes made.
 *
 * @param isIn one for each change
 * @returns W/kg, or s over 402 m or a lap
 * @throws {RangeError} for a run of a car whose gears or curve nobody knows, that never gets there, or a
 *   lap of nowhere
 * @source definition; {@link straightLine}, {@link lapTime}
 * @example worthWith(before, changes, [true, false], 'powerToWeight') // 171.4
 */
export function worthWith(
  before: GainCar,
  changes: readonly CarChange[],
  isIn: readonly boolean[],
  measure: GainMeasure,
): number {
  const made = changes.filter((_, i) => isIn[i])
  const lighter = made.reduce((sum, c) => sum + c.mass, 0)
  if (measure === 'powerToWeight') {
    const power = made.reduce((p, c) => c.power ?? p, before.power)
    return power / (before.mass + lighter)
  }
  if (!before.run) throw new RangeError('a run needs gears and a curve')
  const car = made.reduce<LapCar>((one, c) => ({ ...one, ...c.run }), {
    ...before.run,
    mass: before.run.mass + lighter,
  })
  if (measure === 'lap') {
    if (!before.course) throw new RangeError('a lap needs a course')
    return lapSeconds(axleCarOf(car), before.course, { step: COARSE })
  }
  const time = straightLine(car, { speeds: [], distances: [QUARTER_MILE] }).toDistance[0]?.time
  if (time === undefined) throw new RangeError('the car never gets to 402 m')
  return time
}

/** The sets of so many changes as booleans, from none to all: bit i of the number says that change i is in. */
export const setOf = (mask: number, count: number): boolean[] =>
  Array.from({ length: count }, (_, i) => (mask & (1 << i)) !== 0)
