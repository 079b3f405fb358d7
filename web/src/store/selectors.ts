import {
  applyEdits,
  recordOf,
  triedDocument,
  type Branch,
  type BuildDocument,
  type Edit,
} from '@bold-ballast/contract'
import type { StageSummary } from '@bold-ballast/core'
import { foldBuild } from '@bold-ballast/model'
import { createSelector } from '@reduxjs/toolkit'
import { api } from './api'
import type { RootState } from './store'

const selectSaved = (state: RootState, buildId: string): BuildDocument | undefined =>
  api.endpoints.build.select(buildId)(state).data

/** The build itself as the person has left it: the server's records with everything unsaved laid over them. */
export const selectBuild = createSelector(
  [selectSaved, (state: RootState) => state.outbox.pending, (_state: RootState, buildId: string) => buildId],
  (saved, pending, buildId) =>
    saved &&
    applyEdits(
      saved,
      pending.filter((p) => p.buildId === buildId).flatMap((p) => p.batch.edits),
    ),
)

/** The branch that is open on a build, if one is. */
export const selectOpenBranch = createSelector(
  [selectBuild, (state: RootState) => state.trying.open, (_state: RootState, buildId: string) => buildId],
  (build, open, buildId): Branch | null =>
    (open?.buildId === buildId &&
      build?.branches.find((b) => b.id === open.branchId && b.adoptedAt === null)) ||
    null,
)

/** What every room shows: the build, or what it would be in the branch that is open. */
export const selectView = createSelector([selectBuild, selectOpenBranch], (build, branch) =>
  build && branch ? triedDocument(build, branch) : build,
)

/** What is typed of a record that somebody has removed meanwhile doesn't count. */
const isOfNow = (view: BuildDocument, edit: Edit): boolean =>
  edit.op !== 'put' || edit.record.version === 0 || recordOf(view, edit.kind, edit.record.id) !== undefined

/** The same with what is being typed right now. */
export const selectLive = createSelector(
  [selectView, (state: RootState) => state.draft, (_s: RootState, id: string) => id],
  (view, draft, id) =>
    view && draft.buildId === id && draft.edits.length > 0
      ? applyEdits(
          view,
          draft.edits.filter((edit) => isOfNow(view, edit)),
        )
      : view,
)

/** The ledger in order, as it was last committed: rows keep their identity while somebody types. */
export const selectLedger = createSelector([selectView], (view) => view && foldBuild(view).ledger)

const NONE: readonly StageSummary[] = []

/** A summary a stage, live. */
export const selectSummaries = createSelector([selectLive], (live) =>
  live ? foldBuild(live).summaries : NONE,
)
