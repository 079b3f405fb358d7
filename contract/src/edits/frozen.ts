import { recordIdOf, type Edit } from './edit'
import {
  COLLECTION,
  PARENT,
  type BuildDocument,
  type PartKind,
  type Seal,
  type Stored,
} from '../records/kinds'
import { REGISTRY } from '../records/registry'
import { sameRecord } from './sameRecord'

/** The seal that holds at a stage; null for a stage that was never frozen, or was opened again. */
export const sealOf = (document: Pick<BuildDocument, 'seals'>, stageId: string): Seal | null =>
  document.seals.find((s) => s.stageId === stageId && s.reopened === null) ?? null

/** As much of a document as tells whether edits touch what is frozen: seals, their stages, what the edits are about and what that hangs from. */
export type FrozenPart = Pick<BuildDocument, 'seals' | 'stages'> & Partial<BuildDocument>

const found = <K extends PartKind>(document: FrozenPart, kind: K, id: string | undefined) =>
  (document[COLLECTION[kind]] as readonly Stored<K>[] | undefined)?.find((r) => r.id === id)

/** The stage that a record belongs to, by itself or through what it hangs from. */
function stageIdOf(
  document: FrozenPart,
  edits: readonly Edit[],
  kind: PartKind,
  record: object,
): string | null {
  const fields = record as Record<string, string | undefined>
  if (kind === 'stage') return fields['id'] ?? null
  const parent = PARENT[kind]
  if (!parent) return null
  const id = fields[parent.field]
  if (parent.kind === 'stage') return id ?? null
  const added = edits.find((e) => e.op === 'put' && e.kind === parent.kind && e.record.id === id)
  const owner = added?.op === 'put' ? added.record : found(document, parent.kind, id)
  return owner ? stageIdOf(document, edits, parent.kind, owner) : null
}

/** The name of the stage where another seal holds beside a new one: its own, or one of the same edits. */
function twiceSealed(document: FrozenPart, edits: readonly Edit[], added: Seal): string | null {
  const puts = edits.flatMap((e) => (e.op === 'put' && e.kind === 'seal' ? [e.record] : []))
  const put = new Set(puts.map((s) => s.id))
  const holding = [...puts, ...document.seals.filter((s) => !put.has(s.id))].filter(
    (s) => s.stageId === added.stageId && s.reopened === null,
  )
  if (holding.length < 2) return null
  return document.stages.find((s) => s.id === added.stageId)?.name ?? 'The stage'
}

/**
 * What is wrong with edits where stages are frozen: nothing of a frozen stage changes, and a seal itself changes only
 * once, when its stage is opened again with a reason.
 *
 * @returns words for the person, or null
 * @example frozenFault(document, edits) // 'First fire is frozen: …'
 */
export function frozenFault(document: FrozenPart, edits: readonly Edit[]): string | null {
  for (const edit of edits) {
    const id = recordIdOf(edit)
    if (edit.kind === 'seal') {
      const before = document.seals.find((s) => s.id === id)
      if (!before) {
        const twice =
          edit.op === 'put' && edit.record.reopened === null && twiceSealed(document, edits, edit.record)
        if (twice)
          return `${twice} is frozen already. Open it again, with a reason, before it is signed anew.`
        continue
      }
      const opens =
        edit.op === 'put' &&
        before.reopened === null &&
        edit.record.reopened !== null &&
        sameRecord({ ...edit.record, reopened: null }, before)
      if (!opens) return 'What was signed is kept for good: a seal is only ever opened, with a reason.'
      continue
    }
    const { kind } = edit
    if (kind === 'build' || !REGISTRY[kind].isFrozen) continue
    const existing = found(document, kind, id)
    // Neither what it was nor what it becomes may lie in a frozen stage.
    for (const record of [existing, edit.op === 'put' ? edit.record : undefined]) {
      const stageId = record && stageIdOf(document, edits, kind, record)
      const stage = stageId && sealOf(document, stageId) && document.stages.find((s) => s.id === stageId)
      if (stage) return `${stage.name} is frozen: open it again in Proof, with a reason, before changing it.`
    }
  }
  return null
}
