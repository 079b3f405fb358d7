import { upgradeEdit, type EditBatch, type EditResult, type Problem } from '@bold-ballast/contract'
import { createSlice, type PayloadAction } from '@reduxjs/toolkit'
import type { KeptFile } from './device'

export interface Pending {
  readonly buildId: string
  readonly batch: EditBatch
  /** Whose it is: nobody else's session sends it. Null without accounts. */
  readonly by: string | null
}
export interface Refused extends Pending {
  readonly problem: Problem
}
/** A file that is on its way, without what is in it. */
export interface WaitingFile extends Pick<KeptFile, 'id' | 'kind' | 'buildId' | 'recordId' | 'by'> {
  /** False where this device has no room for it: it would be lost with the tab. */
  readonly isKept: boolean
  /** The one that waited before, and whose place it took. */
  readonly former?: string
}
/** A file that the server would not take, without what is in it. */
export type RefusedFile = Pick<KeptFile, 'id' | 'kind' | 'buildId' | 'recordId' | 'name' | 'at' | 'by'> & {
  readonly problem: Problem
}
export interface OutboxState {
  /** Batches in the order they were made; the first is being sent, or waits for the server. */
  readonly pending: readonly Pending[]
  /** Batches that the server would not take. They are kept until the person has chosen. */
  readonly refused: readonly Refused[]
  /** Why the head waits, when it does. */
  readonly away: string | null
  /** False where this device has no room for what waits: it would be lost with the tab. */
  readonly isKept: boolean
  /** Files beside records that are on their way. */
  readonly files: readonly WaitingFile[]
  /** Why files wait, when they do. */
  readonly filesAway: string | null
  /** Files that the server would not take. They are kept until the person has chosen. */
  readonly refusedFiles: readonly RefusedFile[]
}

const initialState: OutboxState = {
  pending: [],
  refused: [],
  away: null,
  isKept: true,
  files: [],
  filesAway: null,
  refusedFiles: [],
}

/** The format that the oldest outbox may be of that a tab still holds. */
const OLDEST_KEPT = 6

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
    /** What another tab has left, or this one before it was loaded again: it was done before all that is here. */
    found: (state, { payload }: PayloadAction<Pick<OutboxState, 'pending' | 'refused'>>) => {
      const here = new Set([...state.pending, ...state.refused].map((w) => w.batch.id))
      const fresh = <T extends Pending>(list: readonly T[]) => list.filter((w) => !here.has(w.batch.id))
      // The first is being sent: nothing comes before it any more.
      const [head, ...rest] = state.pending
      const pending = fresh(payload.pending)
      state.pending = (head ? [head, ...pending, ...rest] : pending) as never
      state.refused.unshift(...(fresh(payload.refused) as never[]))
    },
    kept: (state, { payload }: PayloadAction<boolean>) => {
      state.isKept = payload
    },
    fileWaits: (state, { payload }: PayloadAction<WaitingFile>) => {
      state.refusedFiles = state.refusedFiles.filter(({ id }) => id !== payload.id)
      state.files = [...state.files.filter(({ id }) => id !== payload.id), payload]
    },
    fileDone: (state, { payload }: PayloadAction<string>) => {
      state.files = state.files.filter(({ id }) => id !== payload)
      state.refusedFiles = state.refusedFiles.filter(({ id }) => id !== payload)
      if (state.files.length === 0) state.filesAway = null
    },
    /** Why files wait; null once one has got through. */
    filesWait: (state, { payload }: PayloadAction<string | null>) => {
      state.filesAway = payload
    },
    fileRefused: (state, { payload }: PayloadAction<RefusedFile>) => {
      state.files = state.files.filter(({ id }) => id !== payload.id)
      state.refusedFiles = [...state.refusedFiles.filter(({ id }) => id !== payload.id), payload] as never
    },
    /** Sends the head now instead of at the next attempt. */
    nudged: () => undefined,
  },
})

const KEY = 'bold-ballast.outbox'

/** What a version before 8 had kept for a reload of this tab; it is forgotten there. */
export function takeOldOutbox(): Pick<OutboxState, 'pending' | 'refused'> {
  try {
    const text = sessionStorage.getItem(KEY)
    sessionStorage.removeItem(KEY)
    if (!text) return { pending: [], refused: [] }
    const { pending, refused } = JSON.parse(text) as OutboxState
    const whole = <T extends Pending>(waiting: T): T => ({
      ...waiting,
      by: null,
      batch: {
        ...waiting.batch,
        edits: waiting.batch.edits.map((edit) => upgradeEdit(edit, OLDEST_KEPT, waiting.buildId)),
      },
    })
    return { pending: pending.map(whole), refused: refused.map(whole) }
  } catch {
    return { pending: [], refused: [] }
  }
}
