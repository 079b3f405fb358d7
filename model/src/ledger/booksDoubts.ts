import type { BuildDocument } from '@bold-ballast/contract'
import { aboardByWhat, basePoint, doubtName, massDoubts, pointsOf, type Doubts } from '@bold-ballast/core'
import { ledgerIndex, stageInputs, type LedgerIndex } from './stageInputs'

/**
 * What the mass by the books is in doubt by once a stage is finished, by name: the car as bought, each line, what lines
 * share, what is aboard in the reference condition. Worked out where somebody asks, and not with every fold.
 *
 * @example Object.keys(booksDoubts(document, stageId)).length > 0 // true
 */
export function booksDoubts(
  document: BuildDocument,
  stageId: string,
  ledger: LedgerIndex = ledgerIndex(document),
): Doubts {
  const { build: asBought, buildOf } = stageInputs(document, ledger)
  const build = buildOf?.(stageId) ?? asBought
  const at = ledger.stages.findIndex((stage) => stage.id === stageId)
  const lines = ledger.stages
    .slice(0, at + 1)
    .flatMap((stage) => ledger.swapsOf(stage.id))
    .flatMap(({ counted }) => counted)
  return massDoubts([
    { name: doubtName.bought, points: [basePoint(build)] },
    ...lines.map((line) => ({ name: doubtName.line(line.id), points: pointsOf(line) })),
    ...aboardByWhat(build.reference, build).map(({ what, point }) => ({
      name: doubtName.aboard(what),
      points: [point],
    })),
  ])
}
