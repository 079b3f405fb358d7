import type { StageSummary } from '@bold-ballast/core'
import type { BuildDocument, Stage } from '@bold-ballast/contract'
import { timedSpread } from './timedSpread'

/** For a car that nobody has timed (common practice). */
const UNTIMED = 0.06
/** What a worked-out top speed is off by, as a share, beside what goes into it (common practice). */
export const SPEED_MODEL = 0.015

/**
 * What a worked-out run or lap is off by beside what goes into it: what timed ones left over, or what is usual.
 *
 * @returns a share of the time
 * @example runModel(document, ledger.stages, summaries) // 0.06 before anybody has timed it
 */
export const runModel = (
  document: BuildDocument,
  stages: readonly Stage[],
  summaries: readonly StageSummary[],
): number => timedSpread(document, stages, summaries) ?? UNTIMED
