import { QUARTER_MILE, straightLine, type StraightLineCar } from '../driveline/straightLine'

export const GAIN_MEASURES = ['powerToWeight', 'quarterMile'] as const
export type GainMeasure = (typeof GAIN_MEASURES)[number]

/** A car before the changes: what power to weight needs, and what a run needs where it is known. */
export interface GainCar {
  /** With the driver where a run has one, kg; W at the wheels. */
  readonly mass: number
  readonly power: number
  readonly run: StraightLineCar | null
}
/** One change between two stages: what it weighs, and what it sets anew. */
export interface CarChange {
  readonly id: string
  readonly mass: number
  readonly power: number | null
  readonly run: Partial<Omit<StraightLineCar, 'mass'>>
}

/**
 * What a car is worth with some of its changes made.
 *
 * @param isIn one for each change
 * @returns W/kg, or s over 402 m
 * @throws {RangeError} for a run of a car whose gears or curve nobody knows, or that never gets there
 * @source definition; {@link straightLine}
 * @example worthWith(before, changes, [true, false], 'powerToWeight') // 171.2
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
  const car = made.reduce<StraightLineCar>((one, c) => ({ ...one, ...c.run }), {
    ...before.run,
    mass: before.run.mass + lighter,
  })
  const time = straightLine(car, { speeds: [], distances: [QUARTER_MILE] }).toDistance[0]?.time
  if (time === undefined) throw new RangeError('the car never gets to 402 m')
  return time
}

/** The sets of so many changes as booleans, from none to all: bit i of the number says that change i is in. */
export const setOf = (mask: number, count: number): boolean[] =>
  Array.from({ length: count }, (_, i) => (mask & (1 << i)) !== 0)
