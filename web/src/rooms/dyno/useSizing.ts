import { sizingAt, withoutVersion, type Sizing, type Stage } from '@bold-ballast/contract'
import { useMemo } from 'react'
import { put } from '../../store/commit'
import { useBuild } from '../../store/useBuild'

type SizingRecord = Omit<Sizing, 'version'>

/** The sizing that holds at this stage, and how to change it: a change made here is this stage's from then on. */
export function useSizing(): {
  sizing: SizingRecord
  /** The stage it was carried on from, when it isn't this one's own. */
  carriedFrom: Stage | null
  saveSizing: (label: string, change: Partial<SizingRecord>) => string | null
} {
  const { view, stage, ledger, save } = useBuild()
  const found = useMemo(
    () => sizingAt(view.sizings, ledger.stages, stage.id),
    [view.sizings, ledger.stages, stage.id],
  )
  const isOwn = found?.stageId === stage.id
  const sizing = useMemo<SizingRecord>(
    () =>
      found
        ? { ...withoutVersion(found), ...(!isOwn && { id: crypto.randomUUID(), stageId: stage.id }) }
        : {
            ...{ id: crypto.randomUUID(), stageId: stage.id, engine: null, fuel: null, air: null },
            ...{ cooling: null, electrics: null, note: '' },
          },
    [found, isOwn, stage.id],
  )
  return {
    sizing,
    carriedFrom: found && !isOwn ? (ledger.stages.find((s) => s.id === found.stageId) ?? null) : null,
    saveSizing: (label, change) =>
      save(label, [put(view, 'sizing', { ...sizing, ...change })])?.[0]?.problem ?? null,
  }
}
