import { applyEdits, ledgerIndex, stageInputs, type BuildDocument } from '@bold-ballast/contract'
import { stageSummaries } from '@bold-ballast/core'
import { createSelector } from '@reduxjs/toolkit'
import { api } from './api'
import type { RootState } from './store'

const selectSaved = (state: RootState, buildId: string): BuildDocument | undefined =>
  api.endpoints.build.select(buildId)(state).data

/** A build as the person has left it: the server's records with everything unsaved laid over them. */
export const selectView = createSelector(
  [selectSaved, (state: RootState) => state.outbox.pending, (_state: RootState, buildId: string) => buildId],
  (saved, pending, buildId) =>
    saved &&
    applyEdits(
      saved,
      pending.filter((p) => p.buildId === buildId).flatMap((p) => p.batch.edits),
    ),
)

/** The same with what is being typed right now. */
export const selectLive = createSelector(
  [selectView, (state: RootState) => state.draft, (_s: RootState, id: string) => id],
  (view, draft, id) =>
    view && draft.buildId === id && draft.edits.length > 0 ? applyEdits(view, draft.edits) : view,
)

/** The ledger in order, as it was last committed: rows keep their identity while somebody types. */
export const selectLedger = createSelector([selectView], (view) => view && ledgerIndex(view))

export const selectLiveLedger = createSelector([selectLive], (live) => live && ledgerIndex(live))

/** A summary a stage, live. */
export const selectSummaries = createSelector([selectLive, selectLiveLedger], (live, index) =>
  live && index ? stageSummaries(stageInputs(live, index)) : [],
)
