import type { BuildFile, Edit } from '@bold-ballast/contract'

/** Something that was done to a build, when and by whom. */
export interface DemoBatch {
  readonly at: string
  readonly author: string
  readonly label: string
  readonly edits: readonly Edit[]
}

const HOUR = 3_600_000
const EVENING = 18
/** Who weighs what: engine and electrics are one person's, the rest is the fabricator's. */
const OF_THE_ENGINE: ReadonlySet<string> = new Set([
  'engine',
  'exhaust',
  'cooling',
  'fuel',
  'wiring',
  'electrics',
  'driveline',
])

/** When a stage's parts stood on the bench scale: the evening before the car was first weighed or pulled at it. */
function weighedOn(file: BuildFile, stageId: string): number | null {
  const [first] = [...file.weighIns, ...file.dynoDays]
    .filter((day) => day.stageId === stageId)
    .map((day) => day.date)
    .sort()
  return first ? Date.parse(`${first}T${EVENING}:00:00Z`) - 24 * HOUR : null
}

/**
 * A build as it was before its parts were weighed and its stages signed, and what was done then: so that the demo has a
 * history, made the way a person makes one.
 *
 * @returns the file to begin with, and the batches in order that lead from it to the build as it is given
 */
export function demoHistory(file: BuildFile): {
  readonly before: BuildFile
  readonly batches: readonly DemoBatch[]
} {
  const batches: DemoBatch[] = []
  const stageOf = new Map(file.swaps.map((swap) => [swap.id, swap.stageId]))
  const count = new Map<string, number>()
  const lines = file.lines.map((line) => {
    const stageId = stageOf.get(line.swapId)!
    const evening = weighedOn(file, stageId)
    if (!line.said || evening === null) return line
    const nth = count.get(stageId) ?? 0
    count.set(stageId, nth + 1)
    batches.push({
      at: new Date(evening + nth * 0.2 * HOUR).toISOString(),
      author: OF_THE_ENGINE.has(line.system) ? 'Tomasz' : 'Ines',
      label: `Weigh ${line.name}`,
      edits: [{ op: 'put', kind: 'line', record: { ...line, version: 1 } }],
    })
    const { mass, grade, source } = line.said
    return { ...line, mass, grade, source, said: null }
  })
  for (const seal of file.seals)
    batches.push({
      at: seal.at,
      author: seal.author,
      label: `Freeze ${file.stages.find((s) => s.id === seal.stageId)!.name}`,
      edits: [{ op: 'put', kind: 'seal', record: { ...seal, version: 0 } }],
    })
  return {
    before: { ...file, lines, seals: [] },
    batches: batches.sort((a, b) => a.at.localeCompare(b.at)),
  }
}
