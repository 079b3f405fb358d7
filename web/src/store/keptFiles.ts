import { RUN_LOG_TYPE } from '@bold-ballast/contract'
import { toast } from '../ui/toast'
import { api } from './api'
import { deviceStore, type FileKind, type KeptFile } from './device'
import { isOwn, selectIsOut, selectPerson } from './me'
import { outbox } from './outbox'
import type { Dispatch, RootState } from './store'

/** Of a record that isn't there; a server that is away is tried for as long as it takes. */
const TRIES = 20
const WAIT_MS = 1500
const LOOK_MS = 150

interface Way {
  readonly address: (buildId: string, recordId: string) => string
  readonly type: string
  /** What is said where its record never comes. */
  readonly lost: string
}
const WAYS: Readonly<Record<FileKind, Way>> = {
  photo: {
    address: (buildId, lineId) => `/api/v1/builds/${buildId}/lines/${lineId}/photo`,
    type: 'image/jpeg',
    lost: 'The photograph could not be saved: its part isn’t there. Take it again from the part’s sheet.',
  },
  picture: {
    address: (buildId, pictureId) => `/api/v1/builds/${buildId}/pictures/${pictureId}/photo`,
    type: 'image/jpeg',
    lost: 'The picture could not be saved: its job isn’t there. Take it again from the job’s sheet.',
  },
  log: {
    address: (buildId, runId) => `/api/v1/builds/${buildId}/runs/${runId}/log`,
    type: RUN_LOG_TYPE,
    lost: 'The log could not be saved: its run isn’t there. Read its file again under Days, Logs.',
  },
}

/** Where a file of a record is kept by the server. */
export const fileAt = (kind: FileKind, buildId: string, recordId: string): string =>
  WAYS[kind].address(buildId, recordId)

const pause = (ms: number) => new Promise((done) => setTimeout(done, ms))

/** Whether it can be sent: its record has arrived, and whoever made it is here. */
function canGo(state: RootState, file: KeptFile): boolean {
  const isOnItsWay = state.outbox.pending.some(({ batch }) =>
    batch.edits.some((edit) => edit.op === 'put' && edit.record.id === file.recordId),
  )
  return !isOnItsWay && isOwn(state, file) && !selectIsOut(state)
}

type Thunk = (dispatch: Dispatch, getState: () => RootState) => Promise<void>

/** Sends a file once its record is there; tried until the server has it. */
const send =
  (file: KeptFile): Thunk =>
  async (dispatch, getState) => {
    const { id, kind, buildId, recordId, body } = file
    const { address, type, lost } = WAYS[kind]
    dispatch(outbox.actions.fileWaits({ id, kind, recordId }))
    const forget = async () => {
      await deviceStore()
        .then((store) => store.delete('files', id))
        .catch(() => undefined)
      dispatch(outbox.actions.fileDone(id))
    }
    for (let missing = 0; missing < TRIES;) {
      while (!canGo(getState(), file)) await pause(LOOK_MS)
      const answer = await fetch(address(buildId, recordId), {
        method: 'PUT',
        body,
        headers: { 'content-type': type },
      }).catch(() => null)
      if (answer?.ok) {
        // The list says that it is there before nothing waits any more: in between it would be gone.
        if (kind === 'log')
          await dispatch(api.endpoints.runLogs.initiate(buildId, { forceRefetch: true, subscribe: false }))
        await forget()
        if (kind === 'log') dispatch(api.util.invalidateTags(['RunLogs']))
        return
      }
      // Whoever has to sign in first loses nothing by it.
      if (answer && answer.status < 500 && answer.status !== 401) missing += 1
      await pause(WAIT_MS)
    }
    await forget()
    toast.error(lost)
  }

/**
 * Keeps a file of a record: on this device until the server has it, so that neither a reload nor a server that is away
 * loses it. The record itself may still be on its way.
 */
export const keepFile =
  (kind: FileKind, buildId: string, recordId: string, body: Blob): Thunk =>
  async (dispatch, getState) => {
    const by = selectPerson(getState())?.id ?? null
    const file: KeptFile = { id: crypto.randomUUID(), kind, buildId, recordId, body, by }
    // Where the device has no room it is sent all the same, as long as the tab is open.
    await deviceStore()
      .then((store) => store.put('files', file))
      .catch(() => undefined)
    await send(file)(dispatch, getState)
  }

/** Goes on with files that a closed tab or a reload left behind; sent twice, they are the same. */
export const sendKeptFiles = (): Thunk => async (dispatch, getState) => {
  const left = await deviceStore()
    .then((store) => store.getAll('files'))
    .catch(() => [])
  await Promise.all(left.map((file) => send(file)(dispatch, getState)))
}

/** The newest file of a record that still waits on this device; undefined for none. */
export async function waitingFile(
  kind: FileKind,
  recordId: string,
  waiting: ReadonlySet<string>,
): Promise<Blob | undefined> {
  const kept = waiting.size > 0 ? await (await deviceStore()).getAll('files') : []
  return kept.findLast((f) => f.kind === kind && f.recordId === recordId && waiting.has(f.id))?.body
}
