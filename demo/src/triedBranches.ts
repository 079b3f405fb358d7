import {
  afterTrying,
  readAt,
  triedEdits,
  type Branch,
  type BuildDocument,
  type BuildFile,
} from '@bold-ballast/contract'
import {
  ledgerIndex,
  readBranch,
  stageInputs,
  startBranch,
  whatIfEdits,
  type Tweak,
} from '@bold-ballast/model'
import { stageSummaries } from '@bold-ballast/core'

/** Something tried, as the demo's file says it: places in millimetres, a wing by its name. */
export interface TriedData {
  readonly stage: string
  readonly name: string
  readonly tweaks: readonly (
    | Exclude<Tweak, { what: 'kilos' } | { what: 'wing' }>
    | { readonly what: 'kilos'; readonly mass: number; readonly at: readonly [number, number, number] }
    | { readonly what: 'wing'; readonly element: string; readonly angle: number }
  )[]
}

/** What the crew tried, made the way the room makes it: turned one after the other. */
export function triedBranches(
  file: BuildFile,
  tries: readonly TriedData[],
  idFor: (what: string) => string,
): Omit<Branch, 'version'>[] {
  const document = file as unknown as BuildDocument
  const { stages } = ledgerIndex(document)
  const summaries = stageSummaries(stageInputs(document))
  return tries.map(({ stage, name, tweaks }, order) => {
    const at = stages.findIndex((s) => s.name === stage)
    let count = 0
    const newId = () => idFor(`${name} ${(count += 1)}`)
    const from = { stageId: stages[at]!.id, name, reached: summaries[at]! }
    const begun = { ...startBranch(document, stages, from, newId), order }
    const edits = tweaks.reduce((before, data) => {
      const read = readBranch(document, { ...begun, edits: before as unknown as Branch['edits'] })!
      const tweak: Tweak =
        data.what === 'wing'
          ? { ...data, elementId: read.document.aeroElements.findLast((e) => e.name === data.element)!.id }
          : data.what === 'kilos'
            ? { ...data, at: { x: data.at[0] / 1000, y: data.at[1] / 1000, z: data.at[2] / 1000 } }
            : data
      const more = whatIfEdits(read.document, read.ledger.stages, readAt(begun), tweak, newId)
      return afterTrying(document, before, more)
    }, triedEdits(begun))
    return { ...begun, edits: edits as unknown as Branch['edits'] }
  })
}
