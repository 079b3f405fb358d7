import { airAt, meanCurve, observedFromPrintout, type PullPoint, type StageSummary } from '@bold-ballast/core'
import type { BuildDocument, DynoDay } from '@bold-ballast/contract'

/**
 * The observed curve that stands for a stage: the mean of its standing pulls of one dyno day, or of the newest
 * stage before it that has one.
 *
 * @param summaries of the stages up to the one in question, in order
 * @returns `null` while no stage has a curve
 */
export function standingCurve(
  document: Pick<BuildDocument, 'pulls' | 'dynoDays'>,
  summaries: readonly Pick<StageSummary, 'stageId' | 'measuredPower'>[],
): { readonly curve: readonly PullPoint[]; readonly day: DynoDay; readonly stageId: string } | null {
  for (const { stageId, measuredPower } of [...summaries].reverse()) {
    const day = document.dynoDays.find((d) => d.id === measuredPower?.dynoDayId)
    if (!day) continue
    const pulls = document.pulls.filter((p) => p.dynoDayId === day.id && p.points && p.points.length > 1)
    const standing = pulls.some((p) => p.standsForStage) ? pulls.filter((p) => p.standsForStage) : pulls
    const curves = standing.flatMap((p) => {
      const curve = observedFromPrintout(p.points ?? [], day.sheetCorrection, airAt(day.air, p.time))
      return curve ? [curve] : []
    })
    const curve = meanCurve(curves)
    if (curve.length > 1) return { curve, day, stageId }
  }
  return null
}
