import type { BuildDocument } from '@bold-ballast/contract'
import {
  aboardByWhat,
  basePoint,
  doubtName,
  itemAt,
  massDoubts,
  NO_DOUBTS,
  pointOf,
  pointsOf,
  sumDoubts,
  type Doubts,
  type Known,
  type LedgerLine,
  type StageSummary,
} from '@bold-ballast/core'
import { foldBuild, type FoldedBuild } from './foldBuild'
import { stageInputs } from './stageInputs'
import type { CountedLine } from './countedLines'

/** Which of a stage's masses: the books' with every line done, the car as it stands, or when its stage is finished. */
export type MassMoment = 'planned' | 'standing' | 'finished'

/**
 * A mass of a stage with all that it is in doubt by, by name: the weighing and its scale, or the car as bought; each line;
 * what lines share; what is aboard. The fold names what several masses share and leaves each line's own doubt to itself;
 * this is worked out where somebody asks why, or holds two masses of one car side by side.
 *
 * @throws {RangeError} where the document has no such stage
 * @example Object.keys(namedMass(document, stageId, 'planned').doubts ?? {}).length > 0 // true
 */
export function namedMass(document: BuildDocument, stageId: string, moment: MassMoment): Known {
  const folded = foldBuild(document)
  const at = folded.stages.findIndex((stage) => stage.id === stageId)
  if (at < 0) throw new RangeError('A mass is of a stage, and the build has no such stage.')
  const summary = itemAt(folded.summaries, at)
  const mass = moment === 'planned' ? summary.planned.mass : summary[moment].mass
  const lines = folded.stages
    .slice(0, at + 1)
    .flatMap((stage) => folded.ledger.swapsOf(stage.id))
    .flatMap(({ counted }) => counted)
  const open = moment === 'standing' ? [] : lines.filter((line) => !line.fitted)
  if (moment === 'planned' || !summary.onScales)
    return {
      ...mass,
      doubts: booksDoubts(folded, stageId, moment === 'standing' ? lines.filter((l) => l.fitted) : lines),
    }
  return { ...mass, doubts: scalesDoubts(folded, summary.onScales, open) }
}

function booksDoubts(
  { document, ledger, geometry }: FoldedBuild,
  stageId: string,
  lines: readonly CountedLine[],
): Doubts {
  const { build: asBought, buildOf } = stageInputs(document, ledger, geometry)
  const build = buildOf?.(stageId) ?? asBought
  return massDoubts([
    { name: doubtName.bought, points: [basePoint(build)] },
    ...lines.map((line) => ({ name: doubtName.line(line.id), points: pointsOf(line) })),
    ...aboardByWhat(build.reference, build).map(({ what, point }) => ({
      name: doubtName.aboard(what),
      points: [point],
    })),
  ])
}

function scalesDoubts(
  { stages, ledger }: FoldedBuild,
  { weighed, added, taken }: NonNullable<StageSummary['onScales']>,
  open: readonly CountedLine[],
): Doubts {
  const named = new Map<LedgerLine, string>(
    stages.flatMap((stage) =>
      ledger.swapsOf(stage.id).flatMap(({ counted }) => counted.map((line) => [line, line.id] as const)),
    ),
  )
  const sources = (list: readonly LedgerLine[]) =>
    list.map((line) => ({ name: doubtName.line(named.get(line) ?? ''), points: [pointOf(line)] }))
  return sumDoubts([
    { doubts: weighed.doubts ?? NO_DOUBTS, slope: 1 },
    { doubts: massDoubts([...sources(added), ...sources(open)]), slope: 1 },
    { doubts: massDoubts(sources(taken)), slope: -1 },
  ])
}
