import {
  removalOf,
  type Branch,
  type BuildDocument,
  type Edit,
  type PartKind,
  type Stage,
} from '@bold-ballast/contract'
import type { Car, LedgerIndex } from '@bold-ballast/model'
import {
  preferredUnit,
  type Quantity,
  type StageSummary,
  type Unit,
  type UnitPreferences,
} from '@bold-ballast/core'
import { createContext, useCallback, useContext } from 'react'
import { toast } from '../ui/toast'
import { commit, type Faults } from './commit'
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
  /** The build as the stage has it: its wheelbase, tracks, tank, seat and springs. Never to be saved. */
  readonly built: Car['build']
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

/** What a room asks of the build that it is about. */
export interface BuildHand extends OpenBuild {
  readonly unit: (quantity: Quantity) => Unit
  /** Saves; what is wrong, where it doesn't fit. */
  readonly save: (label: string, edits: readonly Edit[]) => Faults | null
  /** Saves, and says what was done and that it can be taken back, or else what is wrong. */
  readonly saveSaying: (label: string, edits: readonly Edit[], says: string) => void
  /** Takes a record away with what hangs from it; says so, or else what keeps it. */
  readonly removeSaying: (kind: PartKind, id: string, name: string, says?: string) => void
}

export function useBuild(): BuildHand {
  const open = useContext(OpenBuildContext)
  if (!open) throw new Error('useBuild stands inside a build')
  const dispatch = useAppDispatch()
  const { buildId, units, view } = open
  const save = useCallback(
    (label: string, edits: readonly Edit[]) => dispatch(commit(buildId, label, edits)),
    [buildId, dispatch],
  )
  const saveSaying = useCallback(
    (label: string, edits: readonly Edit[], says: string) => {
      const faults = save(label, edits)
      if (faults) toast.error(faults[0].problem)
      else toast(`${says} Ctrl+Z takes it back.`)
    },
    [save],
  )
  const removeSaying = useCallback(
    (kind: PartKind, id: string, name: string, says = `${name} removed.`) => {
      const faults = save(`Remove ${name}`, removalOf(view, kind, id))
      if (faults) toast.error(faults[0].problem)
      else toast(`${says} Ctrl+Z brings it back.`)
    },
    [save, view],
  )
  const unit = useCallback((quantity: Quantity) => preferredUnit(quantity, units), [units])
  return { ...open, unit, save, saveSaying, removeSaying }
}
