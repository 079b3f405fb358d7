import type { LapCar, StageSummary } from '@bold-ballast/core'
import type { BuildDocument, Stage } from '@bold-ballast/contract'
import { gearedCar } from './gearedCar'

/**
 * A build at a stage as a course wants it: the same car that runs in a straight line.
 *
 * @param stages in order
 * @param summaries of all stages, in the same order
 * @returns null while gears or a curve are missing
 */
export const lapCar = (
  document: BuildDocument,
  stages: readonly Stage[],
  summaries: readonly StageSummary[],
  at: number,
): LapCar | null => gearedCar(document, stages, summaries, at).car?.run ?? null
