import { MADE_AT_HEADER, problem as problemShape, RUN_LOG_TYPE, type Problem } from '@bold-ballast/contract'
import { api } from './api'
import { deviceStore, type FileKind, type KeptFile } from './device'
import { isOwn, selectIsOut, selectPerson } from './me'
import { outbox, type Pending, type WaitingFile } from './outbox'
import { digestIn, digestOf, noteSeen, seenLast } from './seenFiles'
import type { Dispatch, RootState } from './store'

/** Of a record that isn't there; it may still be on its way by another tab. */
const TRIES = 4
const WAIT_MS = 1500
const LOOK_MS = 150
/** What passes by itself, or once somebody has signed in. */
const PASSING: ReadonlySet<number> = new Set([401, 408, 429])
const NOT_THERE = 404

interface Way {
  readonly address: (buildId: string, recordId: string) => string
  readonly type: string
}
const WAYS: Readonly<Record<FileKind, Way>> = {
  photo: {
    address: (buildId, lineId) => `/api/v1/builds/${buildId}/lines/${lineId}/photo`,
    type: 'image/jpeg',
  },
  picture: {
    address: (buildId, pictureId) => `/api/v1/builds/${buildId}/pictures/${pictureId}/photo`,
    type: 'image/jpeg',
  },
  log: {
    address: (buildId, runId) => `/api/v1/builds/${buildId}/runs/${runId}/log`,
    type: RUN_LOG_TYPE,
  },
}

/** Where a file of a record is kept by the server. */
export const fileAt = (kind: FileKind, buildId: string, recordId: string): string =>
  WAYS[kind].address(buildId, recordId)

/** What is said of a file as it is put to its record: what it takes the place of, and what is sent. */
export function putHeaders(
  kind: FileKind,
  { type, replaces, sha256, at }: Partial<Pick<KeptFile, 'replaces' | 'sha256' | 'at'>> & { type?: string },
): Record<string, string> {
  const digest = sha256 && btoa(sha256.replace(/../g, (hex) => String.fromCharCode(parseInt(hex, 16))))
  return {
    'content-type': type ?? WAYS[kind].type,
    ...(replaces ? { 'if-match': `"${replaces}"` } : { 'if-none-match': '*' }),
    ...(digest ? { 'content-digest': `sha-256=:${digest}:` } : {}),
    ...(at === undefined ? {} : { [MADE_AT_HEADER]: new Date(at).toISOString() }),
  }
}

const pause = (ms: number) => new Promise((done) => setTimeout(done, ms))

/** The newest file of each record that waits: what was taken before it is not sent any more. */
const newest = new Map<string, KeptFile>()
/** Records of which one is being sent. */
const busy = new Set<string>()
/** Files that this device had no room for, as long as the tab is open; and those that were refused. */
const inMemory = new Map<string, KeptFile>()
const placeOf = ({ kind, recordId, by = null }: Pick<KeptFile, 'kind' | 'recordId' | 'by'>) =>
  `${kind} ${recordId} ${by ?? ''}`

/**
 * Whether it can be sent: its record has arrived, and whoever made it is here. What became of the entry beside it decides
 * of the file as well, so it waits while that stands under what was not taken.
 */
function canGo(state: RootState, file: KeptFile): boolean {
  const { pending, refused } = state.outbox
  const waits = pending.some((waiting) => puts(waiting, file.recordId))
  const isUndecided = refused.some((waiting) => puts(waiting, file.recordId, true))
  return !waits && !isUndecided && isOwn(state, file) && !selectIsOut(state)
}

/** Whether a batch puts a record, or adds it. */
const puts = ({ batch }: Pending, recordId: string, isNew = false): boolean =>
  batch.edits.some(
    (edit) => edit.op === 'put' && edit.record.id === recordId && (!isNew || edit.record.version === 0),
  )

type Thunk<T = void> = (dispatch: Dispatch, getState: () => RootState) => Promise<T>

/** Keeps a file on this device; where there is no room, as long as the tab is open. */
async function keepHere(file: KeptFile): Promise<boolean> {
  try {
    await (await deviceStore()).put('files', file)
    inMemory.delete(file.id)
    return true
  } catch {
    inMemory.set(file.id, file)
    return false
  }
}
async function forgetHere(id: string): Promise<void> {
  inMemory.delete(id)
  await deviceStore()
    .then((store) => store.delete('files', id))
    .catch(() => undefined)
}

const problemIn = async (answer: Response): Promise<Problem> => {
  const { success, data } = problemShape.safeParse(await answer.json().catch(() => null))
  if (success) return data
  return {
    type: '/problems/unexpected',
    title: 'Not taken',
    status: answer.status,
    detail: `The server would not take it, and said no more than ${answer.status}.`,
  }
}

const waitingOf = ({ id, kind, buildId, recordId, by = null }: KeptFile, isKept: boolean): WaitingFile => ({
  id,
  kind,
  buildId,
  recordId,
  by,
  isKept,
})

/** Sends the files of one record, one after the other, the newest only. */
const sendAll =
  (place: string): Thunk =>
  async (dispatch, getState) => {
    if (busy.has(place)) return
    busy.add(place)
    try {
      for (let missing = 0; ;) {
        const file = newest.get(place)
        if (!file) return
        if (!canGo(getState(), file)) {
          await pause(LOOK_MS)
          continue
        }
        const { id, kind, buildId, recordId, body } = file
        const answer = await fetch(fileAt(kind, buildId, recordId), {
          method: 'PUT',
          body,
          headers: putHeaders(kind, file),
        }).catch(() => null)
        const said = answer && !answer.ok ? await problemIn(answer) : null
        const isNewest = newest.get(place)?.id === id
        if (answer?.ok) {
          dispatch(outbox.actions.filesWait(null))
          noteSeen(kind, recordId, file.sha256 ?? null)
          // The list says that it is there before nothing waits any more: in between it would be gone.
          if (kind === 'log') {
            await dispatch(api.endpoints.runLogs.initiate(buildId, { forceRefetch: true, subscribe: false }))
            dispatch(api.util.invalidateTags(['RunLogs']))
          }
          const later = newest.get(place)
          if (later?.id === id) newest.delete(place)
          else if (later) await follow(place, { ...later, replaces: file.sha256 ?? null })
          await forgetHere(id)
          dispatch(outbox.actions.fileDone(id))
          continue
        }
        if (!isNewest) continue
        if (!answer || !said || answer.status >= 500 || PASSING.has(answer.status)) {
          dispatch(outbox.actions.filesWait(said?.detail ?? 'Nobody answers.'))
          await pause(WAIT_MS)
          continue
        }
        // An earlier one of ours got there though its answer was lost.
        const there = said.file?.sha256
        if (there !== undefined && file.before?.includes(there) && there !== file.replaces) {
          await follow(place, { ...file, replaces: there })
          continue
        }
        if (answer.status === NOT_THERE && missing < TRIES) {
          missing += 1
          await pause(WAIT_MS)
          continue
        }
        missing = 0
        newest.delete(place)
        await refuse(file, said)(dispatch, getState)
      }
    } finally {
      busy.delete(place)
    }
  }

/** Puts a file in the place of the one that waits for its record. */
async function follow(place: string, file: KeptFile): Promise<boolean> {
  newest.set(place, file)
  return keepHere(file)
}

/** Keeps a file that was not taken, until the person has chosen. */
const refuse =
  (file: KeptFile, problem: Problem): Thunk =>
  async (dispatch) => {
    await keepHere({ ...file, problem })
    const { id, kind, buildId, recordId, name = '', at, by = null } = file
    dispatch(
      outbox.actions.fileRefused({
        id,
        kind,
        buildId,
        recordId,
        name,
        by,
        problem,
        ...(at === undefined ? {} : { at }),
      }),
    )
  }

/** What was seen of the file that is to be replaced; asked for where nobody has looked. */
async function toReplace(
  kind: FileKind,
  buildId: string,
  recordId: string,
): Promise<string | null | undefined> {
  const seen = seenLast(kind, recordId)
  if (seen !== undefined) return seen
  const answer = await fetch(fileAt(kind, buildId, recordId)).catch(() => null)
  await answer?.body?.cancel().catch(() => undefined)
  if (!answer || (!answer.ok && answer.status !== NOT_THERE)) return undefined
  return digestIn(answer)
}

/**
 * Keeps a file of a record: on this device until the server has it, so that neither a reload nor a server that is away
 * loses it. The record itself may still be on its way. Of one record only the newest is sent.
 *
 * @param name what it is of, in words, for when it isn't taken
 * @param isNew nothing can be there yet: its record has just been made
 */
export const keepFile =
  (kind: FileKind, buildId: string, recordId: string, body: Blob, name: string, isNew = false): Thunk =>
  async (dispatch, getState) => {
    const by = selectPerson(getState())?.id ?? null
    const at = Date.now()
    const id = crypto.randomUUID()
    const sha256 = await digestOf(body)
    const asked = isNew ? null : await toReplace(kind, buildId, recordId)
    const place = placeOf({ kind, recordId, by })
    const former = newest.get(place)
    // Looked at last: one that was being sent may have arrived meanwhile, and is what this one takes the place of.
    const seen = isNew ? undefined : seenLast(kind, recordId)
    const known = seen === undefined ? asked : seen
    const replaces = former ? former.replaces : known
    const file: KeptFile = {
      id,
      kind,
      buildId,
      recordId,
      body,
      by,
      name,
      at,
      sha256,
      before: former ? [...(former.before ?? []), former.sha256 ?? ''] : [],
      ...(replaces === undefined ? {} : { replaces }),
    }
    // Said before it can be sent: what has gone already isn't to be said to wait.
    const waits = (isKept: boolean) =>
      outbox.actions.fileWaits({ ...waitingOf(file, isKept), ...(former ? { former: former.id } : {}) })
    dispatch(waits(true))
    const isKept = await follow(place, file)
    if (!isKept && getState().outbox.files.some((waiting) => waiting.id === id)) dispatch(waits(false))
    if (former) {
      await forgetHere(former.id)
      dispatch(outbox.actions.fileDone(former.id))
    }
    await sendAll(place)(dispatch, getState)
  }

/** Goes on with files that a closed tab or a reload left behind; sent twice, they are the same. */
export const sendKeptFiles = (): Thunk => async (dispatch, getState) => {
  const left = await deviceStore()
    .then((store) => store.getAll('files'))
    .catch(() => [])
  const inOrder = left.sort((a, b) => (a.at ?? 0) - (b.at ?? 0))
  for (const file of inOrder) {
    if (file.problem) {
      await refuse(file, file.problem)(dispatch, getState)
      continue
    }
    const place = placeOf(file)
    const former = newest.get(place)
    if (former) {
      await forgetHere(former.id)
      dispatch(outbox.actions.fileDone(former.id))
    }
    newest.set(place, file)
    dispatch(outbox.actions.fileWaits(waitingOf(file, true)))
  }
  await Promise.all([...newest.keys()].map((place) => sendAll(place)(dispatch, getState)))
}

/** Keeps what this device had no room for a moment ago. */
export const keepFilesAgain = (): Thunk => async (dispatch, getState) => {
  for (const file of [...inMemory.values()]) {
    if (!(await keepHere(file)) || !getState().outbox.files.some(({ id }) => id === file.id)) continue
    dispatch(outbox.actions.fileWaits(waitingOf(file, true)))
  }
}

/** A file that was not taken, with what is in it; undefined where it is gone. */
export async function refusedFile(id: string): Promise<KeptFile | undefined> {
  const here = inMemory.get(id)
  if (here) return here
  return deviceStore()
    .then((store) => store.get('files', id))
    .catch(() => undefined)
}

/**
 * Sends a refused file again: in the place of what is there by now, where that was why it wasn't taken; the other one is
 * kept in the history.
 */
export const sendFileAgain =
  (id: string): Thunk =>
  async (dispatch, getState) => {
    const found = await refusedFile(id)
    if (!found) return void dispatch(outbox.actions.fileDone(id))
    const { problem, ...file } = found
    const there = problem?.file
    const again: KeptFile = there === undefined ? file : { ...file, replaces: there?.sha256 ?? null }
    const isKept = await follow(placeOf(again), again)
    dispatch(outbox.actions.fileWaits(waitingOf(again, isKept)))
    await sendAll(placeOf(again))(dispatch, getState)
  }

/** Lets a refused file go, by choice. */
export const dropFile =
  (id: string): Thunk =>
  async (dispatch) => {
    await forgetHere(id)
    dispatch(outbox.actions.fileDone(id))
  }

/** Files of records go with the entry that would have made them, once that is dropped. */
export const dropFilesOf =
  (recordIds: ReadonlySet<string>): Thunk =>
  async (dispatch) => {
    for (const [place, file] of newest) {
      if (!recordIds.has(file.recordId)) continue
      newest.delete(place)
      await forgetHere(file.id)
      dispatch(outbox.actions.fileDone(file.id))
    }
  }

/** The newest file of a record that still waits on this device; undefined for none. */
export async function waitingFile(
  kind: FileKind,
  recordId: string,
  waiting: ReadonlySet<string>,
): Promise<Blob | undefined> {
  if (waiting.size === 0) return undefined
  const kept = await deviceStore()
    .then((store) => store.getAll('files'))
    .catch(() => [])
  return [...kept, ...inMemory.values()]
    .filter((f) => f.kind === kind && f.recordId === recordId && waiting.has(f.id))
    .sort((a, b) => (a.at ?? 0) - (b.at ?? 0))
    .at(-1)?.body
}
