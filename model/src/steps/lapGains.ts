import type { BuildDocument, Course } from '@bold-ballast/contract'
import { axleCarOf, lapSeconds, withMassAt, withPower, type AxleCar } from '@bold-ballast/core'
import { carAt } from '../car/carAt'
import { COARSE_STEP, courseDrawn } from '../course/courseDrawn'
import { plannedChanges } from '../course/plannedChanges'
import type { Step } from './step'

/**
 * What steps save on a lap of a course, s, by their keys: a swap by its kilos where they sit, kilos and watts that are
 * to be found by themselves. What only measures or settles something saves nothing.
 *
 * @returns nothing for a car that can't be driven yet
 * @throws {RangeError} for a course whose line is none
 * @example lapGains(document, stageId, course, steps).size // 0
 */
export function lapGains(
  document: BuildDocument,
  stageId: string,
  course: Course,
  steps: readonly Step[],
): ReadonlyMap<string, number> {
  const car = carAt(document, stageId)
  if (!car.geared) return new Map()
  const { coarse } = courseDrawn(course)
  const axles = axleCarOf(car.geared.run)
  const lap = (one: AxleCar) => lapSeconds(one, coarse, { step: COARSE_STEP })
  const base = lap(axles)
  const planned = new Map(plannedChanges(car, []).map((change) => [change.id, change]))
  const withStep = ({ swapId, kilograms, watts }: Step): AxleCar | null => {
    const swap = swapId === null ? undefined : planned.get(swapId)
    if (swap) return swap.made(axles)
    if (kilograms === null && watts === null) return null
    return withPower(withMassAt(axles, kilograms ?? 0, axles.centre), watts ?? 0, 'peak')
  }
  return new Map(
    steps.flatMap((step): [string, number][] => {
      const made = withStep(step)
      return made ? [[step.key, base - lap(made)]] : []
    }),
  )
}
