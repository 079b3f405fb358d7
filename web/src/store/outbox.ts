import { upgradeEdit, type EditBatch, type EditResult, type Problem } from '@bold-ballast/contract'
import { createSlice, type PayloadAction } from '@reduxjs/toolkit'

export interface Pending {
  readonly buildId: string
  readonly batch: EditBatch
}
export interface Refused extends Pending {
  readonly problem: Problem
}
export interface OutboxState {
  /** Batches in the order they were made; the first is being sent, or waits for the server. */
  readonly pending: readonly Pending[]
  /** Batches that the server would not take. They are kept until the person has chosen. */
  readonly refused: readonly Refused[]
  /** Why the head waits, when it does. */
  readonly away: string | null
}

const initialState: OutboxState = { pending: [], refused: [], away: null }

/**
 * What has been typed and not yet been saved. The screen shows the server's records with these laid over
 * them, so rolling back is leaving a batch out, and nothing typed is lost while the server is away.
 */
export const outbox = createSlice({
  name: 'outbox',
  initialState,
  reducers: {
    enqueued: (state, { payload }: PayloadAction<Pending>) => {
      state.pending.push(payload as never)
    },
    delivered: (state, { payload }: PayloadAction<EditResult>) => {
      state.pending = state.pending.filter((p) => p.batch.id !== payload.id)
      state.away = null
      const versions = new Map(payload.versions.map((v) => [v.id, v.version]))
      // What was typed meanwhile was based on the version that has just been replaced.
      for (const { batch } of state.pending) {
        for (const edit of batch.edits) {
          if (edit.op === 'put') edit.record.version = versions.get(edit.record.id) ?? edit.record.version
          else {
            edit.version = versions.get(edit.id) ?? edit.version
            // What comes back after this, by undo, is a new record.
            versions.delete(edit.id)
          }
        }
      }
    },
    waiting: (state, { payload }: PayloadAction<string>) => {
      state.away = payload
    },
    refused: (state, { payload }: PayloadAction<Refused>) => {
      state.pending = state.pending.filter((p) => p.batch.id !== payload.batch.id)
      state.refused.push(payload as never)
      state.away = null
    },
    settled: (state, { payload }: PayloadAction<string>) => {
      state.refused = state.refused.filter((r) => r.batch.id !== payload)
    },
    restored: (_state, { payload }: PayloadAction<OutboxState>) => ({ ...payload, away: null }) as never,
    /** Sends the head now instead of at the next attempt. */
    nudged: () => undefined,
  },
})

const KEY = 'bold-ballast.outbox'

/** Keeps the outbox through a reload of this tab. */
export function keepOutbox(state: OutboxState): void {
  try {
    if (state.pending.length + state.refused.length === 0) sessionStorage.removeItem(KEY)
    else sessionStorage.setItem(KEY, JSON.stringify(state))
  } catch {
    // A full or closed storage costs only the protection against a reload.
  }
}

/** What waited since an older version of the application gets what its records lack. */
function completed(state: OutboxState): OutboxState {
  const whole = <T extends Pending>(waiting: T): T => ({
    ...waiting,
    batch: {
      ...waiting.batch,
      edits: waiting.batch.edits.map((edit) => upgradeEdit(edit, 6, waiting.buildId)),
    },
  })
  return { ...state, pending: state.pending.map(whole), refused: state.refused.map(whole) }
}

export function keptOutbox(): OutboxState | null {
  try {
    const text = sessionStorage.getItem(KEY)
    return text ? completed(JSON.parse(text) as OutboxState) : null
  } catch {
    return null
  }
}
