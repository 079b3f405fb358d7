import { putEdit, type Sizing, type Stage } from '@bold-ballast/contract'
import { useMemo } from 'react'
import { useBuild } from '../../store/useBuild'
import { useCarried } from '../../store/useCarried'

type SizingRecord = Omit<Sizing, 'version'>

/** The sizing that holds at this stage, and how to change it: a change made here is this stage's from then on. */
export function useSizing(): {
  sizing: SizingRecord
  /** The stage it was carried on from, when it isn't this one's own. */
  carriedFrom: Stage | null
  saveSizing: (label: string, change: Partial<SizingRecord>) => string | null
} {
  const { view, stage, save } = useBuild()
  const { record, carriedFrom } = useCarried('sizing')
  const sizing = useMemo<SizingRecord>(
    () =>
      record ?? {
        id: crypto.randomUUID(),
        stageId: stage.id,
        engine: null,
        fuel: null,
        air: null,
        cooling: null,
        electrics: null,
        note: '',
      },
    [record, stage.id],
  )
  return {
    sizing,
    carriedFrom,
    saveSizing: (label, change) =>
      save(label, [putEdit(view, 'sizing', { ...sizing, ...change })])?.[0]?.problem ?? null,
  }
}
