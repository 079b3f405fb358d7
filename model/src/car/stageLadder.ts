import type { StageSummary } from '@bold-ballast/core'
import type { BuildDocument, Stage } from '@bold-ballast/contract'
import { carriedAt } from './carriedAt'
import { fittedAt } from './fittedAt'
import { gearedCar, type GearedCar } from './gearedCar'
import { drivelineLoad, ladderOf, type Rung } from './ladderOf'

/**
 * The links of a stage, weakest first; none while gears or a curve are missing.
 *
 * @param stages in order
 * @param summaries of all stages, in the same order
 * @param car where it has been worked out already
 */
export function stageLadder(
  document: BuildDocument,
  stages: readonly Stage[],
  summaries: readonly StageSummary[],
  at: number,
  car: GearedCar | null = gearedCar(document, stages, summaries, at).car,
): readonly Rung[] {
  if (!car) return []
  const stageId = stages[at]!.id
  const ethanol = carriedAt(document.sizings, stages, stageId)?.engine?.ethanol ?? car.day.ethanol ?? null
  return ladderOf(
    fittedAt(document.components, stages, stageId),
    drivelineLoad(document.build, car, summaries[at]!.plannedPower),
    ethanol,
  )
}
