import type { Branch, BuildDocument, Edit, Stage } from '@bold-ballast/contract'
import type { Car, LedgerIndex } from '@bold-ballast/model'
import {
  preferredUnit,
  type Quantity,
  type StageSummary,
  type Unit,
  type UnitPreferences,
} from '@bold-ballast/core'
import { createContext, useCallback, useContext } from 'react'
import { commit } from './commit'
import { useAppDispatch } from './store'

/** The build and the stage that the page is about. Everything a room shows is "as of this stage". */
export interface OpenBuild {
  readonly buildId: string
  /** As committed: stable while somebody types. What it would be, while a branch is open. */
  readonly view: BuildDocument
  /** The build itself, whatever is open. */
  readonly own: BuildDocument
  readonly branch: Branch | null
  readonly ledger: LedgerIndex
  readonly stage: Stage
  readonly units: UnitPreferences
}

export const OpenBuildContext = createContext<OpenBuild | null>(null)

/** The same build with what is being typed. Apart from the other, so that a key redraws only what it moves. */
export interface LiveBuild {
  readonly ledger: LedgerIndex
  readonly summaries: readonly StageSummary[]
  /** Of the stage that the page is about. */
  readonly summary: StageSummary
  readonly car: Car
}

export const LiveBuildContext = createContext<LiveBuild | null>(null)

export function useLiveBuild(): LiveBuild {
  const live = useContext(LiveBuildContext)
  if (!live) throw new Error('useLiveBuild stands inside a build')
  return live
}

export function useBuild(): OpenBuild & {
  unit: (quantity: Quantity) => Unit
  save: (label: string, edits: readonly Edit[]) => { field: string; problem: string }[] | null
} {
  const open = useContext(OpenBuildContext)
  if (!open) throw new Error('useBuild stands inside a build')
  const dispatch = useAppDispatch()
  const { buildId, units } = open
  const save = useCallback(
    (label: string, edits: readonly Edit[]) => dispatch(commit(buildId, label, edits)),
    [buildId, dispatch],
  )
  const unit = useCallback((quantity: Quantity) => preferredUnit(quantity, units), [units])
  return { ...open, unit, save }
}
