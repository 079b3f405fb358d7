import { type Edit, type InstrumentOfWorkshop, putEdit } from '@bold-ballast/contract'
import { instrumentNamed } from '@bold-ballast/model'
import type { InstrumentKind } from '@bold-ballast/core'
import { useMemo } from 'react'
import { useInstrumentsQuery } from './api'
import { useBuild } from './useBuild'

type Noted = InstrumentOfWorkshop['instrument']

export interface InstrumentChoice {
  /** All of the workshop that may be meant, this build's before the others'. */
  readonly known: readonly Noted[]
  /** The one of a name. */
  readonly named: (name: string) => Noted | null
  /** What this build used last. */
  readonly usual: Noted | null
  /** What has to be put beside a record that names an instrument which only another build has noted. */
  readonly takenOver: (name: string) => Edit[]
}

/** The scales or dynos of the workshop that a record may name. */
export function useInstruments(kinds: readonly InstrumentKind[]): InstrumentChoice {
  const { view } = useBuild()
  const { data } = useInstrumentsQuery()
  return useMemo(() => {
    const own = view.instruments.filter((i) => kinds.includes(i.kind)).sort((a, b) => a.order - b.order)
    const others = (data ?? [])
      .map(({ instrument }) => instrument)
      .filter((i) => kinds.includes(i.kind) && !instrumentNamed(own, i.name, kinds))
    const known = [...own, ...others]
    const named = (name: string) => instrumentNamed(known, name, kinds)
    return {
      known,
      named,
      usual: own[0] ?? null,
      takenOver: (name) => {
        const found = named(name)
        if (!found || instrumentNamed(own, name, kinds)) return []
        const record = { ...found, id: crypto.randomUUID(), order: view.instruments.length }
        return [putEdit(view, 'instrument', record)]
      },
    }
  }, [view, data, kinds])
}
