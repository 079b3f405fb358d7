import { aeroBalance, placedAreas, type LapCar, type StageSummary } from '@bold-ballast/core'
import type { BuildDocument, Stage } from '../records/kinds'
import { fittedAt } from './fittedAt'
import { gearedCar } from './gearedCar'
import { straightLineCar } from './straightLineCar'

/**
 * A build at a stage as a course wants it: as a straight line does, with what its elements press on each axle. Without
 * elements the downforce that was typed with the gears stands, half to each axle where all wheels are driven.
 *
 * @param stages in order
 * @param summaries of all stages, in the same order
 * @returns null while gears or a curve are missing
 */
export function lapCar(
  document: BuildDocument,
  stages: readonly Stage[],
  summaries: readonly StageSummary[],
  at: number,
): LapCar | null {
  const { build } = document
  const { car } = gearedCar(document, stages, summaries, at)
  if (!car) return null
  const elements = fittedAt(document.aeroElements, stages, stages[at]!.id)
  const { axleDownforce } = car.drive
  const balance = aeroBalance(placedAreas(elements), build.wheelbase)
  const typed = {
    front: { front: axleDownforce, rear: 0 },
    rear: { front: 0, rear: axleDownforce },
    all: { front: axleDownforce / 2, rear: axleDownforce / 2 },
  }[build.layout]
  const { front, rear } = elements.length > 0 ? balance : typed
  return {
    ...straightLineCar(build, car.drive, summaries[at]!, car.curve, car.day),
    ...{ downforceFront: front, downforceRear: rear },
  }
}
