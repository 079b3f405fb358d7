import { valueAt, itemAt } from '@bold-ballast/core'
import { applyEdits, type Edit } from '@bold-ballast/contract'
import {
  createListenerMiddleware,
  isAnyOf,
  original,
  type ThunkDispatch,
  type UnknownAction,
} from '@reduxjs/toolkit'
import { QueryStatus } from '@reduxjs/toolkit/query'
import { api, problemOf } from './api'
import { isOwn } from './me'
import { outbox, type Pending } from './outbox'
import type { RootState } from './store'

const WAITS_MS = [500, 1000, 2000, 4000, 8000]
/** Failures that pass by themselves. */
const PASSING = new Set([0, 401, 408, 429, 502, 503, 504])

/** What is sent next: of what waits the first that is this person's, and nobody else's. */
const nextOf = (state: RootState): Pending | undefined =>
  state.outbox.pending.find((waiting) => isOwn(state, waiting))

/** Between two looks whether files have gone out. */
const LOOK_MS = 150

/**
 * Whether a signature has to wait for a file of its build that is to go first: what was photographed before a stage was
 * frozen belongs to it. One whose record is still on its way waits itself, and is not waited for.
 */
function waitsForFiles(state: RootState, { buildId, batch }: Pending): boolean {
  if (!batch.edits.some((edit) => edit.kind === 'seal')) return false
  return state.outbox.files.some(
    (file) =>
      file.buildId === buildId &&
      isOwn(state, file) &&
      !state.outbox.pending.some((waiting) =>
        waiting.batch.edits.some((edit) => edit.op === 'put' && edit.record.id === file.recordId),
      ),
  )
}

/**
 * Sends the outbox, one batch after the other. A server that is away is tried again, ever more slowly; a
 * refusal takes the batch out and shows it to the person with what they typed.
 */
export function makeSender() {
  const sender = createListenerMiddleware()
  let isSending = false
  sender.startListening({
    matcher: isAnyOf(
      outbox.actions.enqueued,
      outbox.actions.nudged,
      outbox.actions.found,
      api.endpoints.me.matchFulfilled,
    ),
    effect: async (_action, listener) => {
      if (isSending) return
      isSending = true
      const dispatch = listener.dispatch as ThunkDispatch<RootState, unknown, UnknownAction>
      let attempt = 0
      try {
        for (;;) {
          const head = nextOf(listener.getState() as RootState)
          if (!head) break
          if (waitsForFiles(listener.getState() as RootState, head)) {
            await listener.delay(LOOK_MS)
            continue
          }
          const sending = dispatch(api.endpoints.sendBatch.initiate(head))
          const answer = await sending
          sending.reset()
          if (answer.data) {
            attempt = 0
            const versions = new Map(answer.data.versions.map((v) => [v.id, v.version]))
            const saved = head.batch.edits.map((edit) =>
              edit.op === 'put'
                ? { ...edit, record: { ...edit.record, version: valueAt(versions, edit.record.id) } }
                : edit,
            ) as Edit[]
            dispatch(
              api.util.updateQueryData('build', head.buildId, (document) =>
                applyEdits(original(document) ?? document, saved),
              ),
            )
            dispatch(outbox.actions.delivered(answer.data))
            // What is being asked for meanwhile may have been read before this was written.
            const { status } = api.endpoints.build.select(head.buildId)(listener.getState() as RootState)
            if (status === QueryStatus.pending)
              dispatch(api.util.invalidateTags([{ type: 'Build', id: head.buildId }]))
            continue
          }
          const problem = problemOf(answer.error)
          if (PASSING.has(problem.status)) {
            dispatch(outbox.actions.waiting(problem.detail))
            const wait = itemAt(WAITS_MS, Math.min(attempt, WAITS_MS.length - 1))
            attempt += 1
            await Promise.race([listener.delay(wait), listener.condition(outbox.actions.nudged.match)])
            continue
          }
          dispatch(outbox.actions.refused({ ...head, problem }))
          if (problem.status === 409 || problem.status === 404) {
            dispatch(api.util.invalidateTags([{ type: 'Build', id: head.buildId }]))
          }
        }
      } finally {
        isSending = false
      }
    },
  })
  return sender
}
