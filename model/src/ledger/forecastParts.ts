import { aboard, basePoint, lineAfterCuts, pointsOf, type ForecastPart } from '@bold-ballast/core'
import type { BuildDocument } from '@bold-ballast/contract'
import { carFacts } from '../car/carFacts'
import { geometryOf } from '../car/geometryOf'
import { stagesUpTo } from '../car/stagesUpTo'
import { ledgerIndex, type LedgerIndex } from './stageInputs'

/**
 * Everything that makes up the car at the end of a stage, for the forecast: the car as bought, all lines up to
 * the stage, and what is aboard in the reference condition. What is still to come may grow.
 */
export function forecastParts(
  document: BuildDocument,
  stageId: string,
  index: LedgerIndex = ledgerIndex(document),
): ForecastPart[] {
  const upTo = stagesUpTo(index.stages, stageId)
  const carried = geometryOf(document, index.stages)
  const build = carried?.buildOf(stageId) ?? carFacts(document)
  const cuts = upTo.map((stage) => carried?.cutOf(stage.id) ?? null)
  const lines = upTo.flatMap((stage, at) =>
    index.swapsOf(stage.id).flatMap((swap) =>
      swap.counted.map((line) =>
        lineAfterCuts(
          line,
          cuts.slice(at + 1).filter((cut) => cut !== null),
        ),
      ),
    ),
  )
  return [
    { ...basePoint(build), id: document.build.id, grows: false },
    ...lines.flatMap((line) =>
      pointsOf(line).map((point): ForecastPart => ({
        ...point,
        id: line.id,
        grows: line.kind === 'on' && !line.fitted,
      })),
    ),
    ...aboard(document.build.reference, build).map((point, i): ForecastPart => ({
      ...point,
      id: `aboard-${i}`,
      grows: false,
    })),
  ]
}
