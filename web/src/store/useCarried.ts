import {
  partsOf,
  withoutVersion,
  type CarriedKind,
  type RecordOf,
  type Stage,
  type Stored,
} from '@bold-ballast/contract'
import { carriedAt } from '@bold-ballast/model'
import { useMemo } from 'react'
import { useBuild } from './useBuild'

/**
 * The record of a kind that holds at this stage. Where it was carried on from another it comes as a copy under a
 * new id, so that what is saved is this stage's own from then on.
 */
export function useCarried<K extends CarriedKind>(
  kind: K,
): { readonly record: RecordOf<K> | null; readonly carriedFrom: Stage | null } {
  const { view, stage, ledger } = useBuild()
  const records = partsOf(view, kind)
  return useMemo(() => {
    const found = carriedAt(records, ledger.stages, stage.id) as Stored<K> | null
    if (!found) return { record: null, carriedFrom: null }
    const isOwn = found.stageId === stage.id
    const record = withoutVersion(found) as RecordOf<K>
    if (!isOwn) Object.assign(record, { id: crypto.randomUUID(), stageId: stage.id })
    return { record, carriedFrom: isOwn ? null : (ledger.stages.find((s) => s.id === found.stageId) ?? null) }
  }, [records, ledger.stages, stage.id])
}
