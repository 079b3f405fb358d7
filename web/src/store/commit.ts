import {
  afterTrying,
  editsFault,
  applyEdits,
  editBatch,
  FORMAT_VERSION,
  inverseOf,
  RECORDS,
  recordIdOf,
  recordOf,
  sameRecord,
  triedEdits,
  withoutVersion,
  keptEdits,
  putEdit,
  drivenFault,
  frozenFault,
  type BuildDocument,
  type Edit,
  type RecordChange,
} from '@bold-ballast/contract'
import { areWeighty, newMassFault } from '@bold-ballast/model'
import { changesOf } from './changesOf'
import { draft } from './draft'
import { selectAuthor, selectPerson, selectRole } from './me'
import { history, type Step } from './history'
import { outbox } from './outbox'
import { describeMassFault } from '@bold-ballast/words'
import { today } from '../ui/today'
import { dayOfChange } from './dayOfChange'
import { keptSaid } from './keptSaid'
import { selectBuild, selectOpenBranch, selectSummaries, selectView } from './selectors'
import type { Dispatch, RootState } from './store'

type Thunk<T> = (dispatch: Dispatch, getState: () => RootState) => T

/** What is wrong with what was to be saved: at least one thing, by field ('' for the whole). */
export type Faults = readonly [Fault, ...Fault[]]
interface Fault {
  readonly field: string
  readonly problem: string
}

/** What is wrong with an edit, by field, or null. */
export function faultsIn(edit: Edit): Fault[] | null {
  if (edit.op === 'remove') return null
  const { version: _, ...record } = edit.record
  const parsed = RECORDS[edit.kind].safeParse(record)
  return parsed.success
    ? null
    : parsed.error.issues.map((i) => ({ field: i.path.join('.'), problem: i.message }))
}

/**
 * Carries out edits: at once on the screen, then by the outbox on the server, and into the history for undo.
 *
 * @returns the faults, by field, when the records don't fit; then nothing has happened
 */
export const commit =
  (buildId: string, label: string, typed: readonly Edit[]): Thunk<Faults | null> =>
  (dispatch, getState) => {
    const view = selectView(getState(), buildId)
    if (!view || typed.length === 0) return null
    const [fault, ...others] = typed.flatMap((edit) => faultsIn(edit) ?? [])
    if (fault) return [fault, ...others]
    const beyond = editsFault(selectRole(getState()), typed)
    if (beyond) return [{ field: '', problem: beyond }]
    const frozen = frozenFault(view, typed)
    if (frozen) return [{ field: '', problem: frozen }]
    const driven = drivenFault(view, typed)
    if (driven) return [{ field: '', problem: driven }]
    if (areWeighty(typed)) {
      const massless = newMassFault(() => view, applyEdits(view, typed))
      if (massless) return [{ field: '', problem: describeMassFault(massless, view.build.units) }]
    }
    const branch = selectOpenBranch(getState(), buildId)
    if (branch && typed.some((edit) => edit.kind === 'seal'))
      return [
        { field: '', problem: `Nothing is signed in “${branch.name}”: it is only tried. Leave it first.` },
      ]
    const day = today()
    const edits = typed.map((edit) => dayOfChange(view, keptSaid(view, edit), day))
    const inverse = inverseOf(view, edits)
    dispatch(draft.actions.cleared())
    // What was signed can't be undone.
    if (!edits.some((e) => e.kind === 'seal'))
      dispatch(history.actions.did({ buildId, label, done: edits, inverse }))
    dispatch(send(buildId, label, edits))
    return null
  }

/** While a branch is open, what is done goes into it and not into the build; branches themselves are the build's. */
const intoBranch =
  (buildId: string, edits: readonly Edit[]): Thunk<readonly Edit[]> =>
  (_dispatch, getState) => {
    const build = selectBuild(getState(), buildId)
    const branch = selectOpenBranch(getState(), buildId)
    if (!build || !branch || edits.some((edit) => edit.kind === 'branch')) return edits
    const tried = keptEdits(afterTrying(build, triedEdits(branch), edits))
    return [putEdit(build, 'branch', { ...withoutVersion(branch), edits: tried })]
  }

const send =
  (buildId: string, label: string, all: readonly Edit[]): Thunk<void> =>
  (dispatch, getState) => {
    const edits = dispatch(intoBranch(buildId, all))
    const batch = editBatch.parse({
      id: crypto.randomUUID(),
      formatVersion: FORMAT_VERSION,
      label: label.slice(0, 200),
      author: selectAuthor(getState()),
      madeAt: new Date().toISOString(),
      edits,
    })
    dispatch(outbox.actions.enqueued({ buildId, batch, by: selectPerson(getState())?.id ?? null }))
  }

/** True when what is being typed would take more off the car than it weighs. */
export const takesTooMuch =
  (buildId: string): Thunk<boolean> =>
  (_dispatch, getState) =>
    selectSummaries(getState(), buildId).some((s) => s.planned.impossible)

/** Edits stamped with the versions of now; null when somebody else has changed one of the records since. */
function stamped(view: BuildDocument, edits: readonly Edit[], expected: readonly Edit[]): Edit[] | null {
  const result: Edit[] = []
  for (const edit of edits) {
    const now = recordOf(view, edit.kind, recordIdOf(edit))
    const left = expected.find((e) => recordIdOf(e) === recordIdOf(edit))
    const leftRecord = left?.op === 'put' ? left.record : undefined
    if (!sameRecord(now, leftRecord)) return null
    const version = now?.version ?? 0
    result.push(
      edit.op === 'put' ? ({ ...edit, record: { ...edit.record, version } } as Edit) : { ...edit, version },
    )
  }
  return result
}

/** What became of a step that was to be taken back, or done again. */
export interface Travelled {
  readonly step: Step
  /** 'away' while the build's records aren't here yet; 'overtaken' where somebody else has changed them since. */
  readonly became: 'done' | 'overtaken' | 'away'
  /** What it did to records, from what they were to what they are. */
  readonly changes: readonly RecordChange[]
}

const travel =
  (way: 'undo' | 'redo', buildId: string): Thunk<Travelled | null> =>
  (dispatch, getState) => {
    const { past, future } = getState().history
    const steps = way === 'undo' ? past : future
    const step = steps.findLast((one) => one.buildId === buildId)
    if (!step) return null
    const view = selectView(getState(), buildId)
    if (!view) return { step, became: 'away', changes: [] }
    const [edits, expected] = way === 'undo' ? [step.inverse, step.done] : [step.done, step.inverse]
    const ready = stamped(view, edits, expected)
    if (!ready) {
      dispatch(history.actions.overtaken(step))
      return { step, became: 'overtaken', changes: [] }
    }
    dispatch(way === 'undo' ? history.actions.undid(step) : history.actions.redid(step))
    dispatch(send(buildId, `${way === 'undo' ? 'Undo' : 'Redo'}: ${step.label}`, ready))
    return { step, became: 'done', changes: changesOf({ edits: ready, inverse: [...expected] }) }
  }

/** Takes back what was last done to a build. */
export const undo = (buildId: string) => travel('undo', buildId)
/** Does again what was last taken back of it. */
export const redo = (buildId: string) => travel('redo', buildId)

/** Sends a refused batch again: as it was, or over the other version where there was a conflict. */
export const sendAgain =
  (batchId: string, over: 'asItWas' | 'theirs'): Thunk<void> =>
  (dispatch, getState) => {
    const refused = getState().outbox.refused.find((r) => r.batch.id === batchId)
    if (!refused) return
    const theirs = new Map(
      (refused.problem.conflicts ?? []).map((c) => [
        c.id,
        (c.theirs as { version?: number } | null)?.version ?? 0,
      ]),
    )
    const edits = refused.batch.edits.map((edit): Edit => {
      const version = over === 'theirs' ? theirs.get(recordIdOf(edit)) : undefined
      if (version === undefined) return edit
      return edit.op === 'put'
        ? ({ ...edit, record: { ...edit.record, version } } as Edit)
        : { ...edit, version }
    })
    dispatch(outbox.actions.settled(batchId))
    dispatch(send(refused.buildId, refused.batch.label, edits))
  }
