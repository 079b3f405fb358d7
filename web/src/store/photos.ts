import { useEffect, useState } from 'react'
import { toast } from '../ui/toast'
import { deviceStore, type KeptPhoto } from './device'
import { isOwn, selectIsOut, selectPerson } from './me'
import { outbox } from './outbox'
import { useAppSelector, type Dispatch, type RootState } from './store'

/** Longest side that is kept, pixels: enough to tell a part by. */
const LONGEST = 1024
/** Of a line that isn't there; a server that is away is tried for as long as it takes. */
const TRIES = 20
const WAIT_MS = 1500
const LOOK_MS = 150

export const photoOf = (buildId: string, lineId: string) => `/api/v1/builds/${buildId}/lines/${lineId}/photo`

/** A picture made small, as JPEG. */
async function shrink(file: Blob): Promise<Blob> {
  const picture = await createImageBitmap(file)
  const scale = Math.min(1, LONGEST / Math.max(picture.width, picture.height))
  const canvas = new OffscreenCanvas(Math.round(picture.width * scale), Math.round(picture.height * scale))
  const pen = canvas.getContext('2d')
  if (!pen) throw new Error('The picture can’t be made small here.')
  pen.drawImage(picture, 0, 0, canvas.width, canvas.height)
  return canvas.convertToBlob({ type: 'image/jpeg', quality: 0.8 })
}

const pause = (ms: number) => new Promise((done) => setTimeout(done, ms))

/** Whether it can be sent: its line has arrived, and whoever took it is here. */
function canGo(state: RootState, photo: KeptPhoto): boolean {
  const isLineOnItsWay = state.outbox.pending.some(({ batch }) =>
    batch.edits.some((edit) => edit.op === 'put' && edit.record.id === photo.lineId),
  )
  return !isLineOnItsWay && isOwn(state, photo) && !selectIsOut(state)
}

type Thunk = (dispatch: Dispatch, getState: () => RootState) => Promise<void>

/** Sends a photograph once its line is there; tried until the server has it. */
const send =
  (photo: KeptPhoto): Thunk =>
  async (dispatch, getState) => {
    const { id, buildId, lineId, picture } = photo
    dispatch(outbox.actions.photoWaits(id))
    const forget = async () => {
      await deviceStore()
        .then((store) => store.delete('photos', id))
        .catch(() => undefined)
      dispatch(outbox.actions.photoDone(id))
    }
    for (let missing = 0; missing < TRIES;) {
      while (!canGo(getState(), photo)) await pause(LOOK_MS)
      const answer = await fetch(photoOf(buildId, lineId), {
        method: 'PUT',
        body: picture,
        headers: { 'content-type': 'image/jpeg' },
      }).catch(() => null)
      if (answer?.ok) return forget()
      // Whoever has to sign in first loses nothing by it.
      if (answer && answer.status < 500 && answer.status !== 401) missing += 1
      await pause(WAIT_MS)
    }
    await forget()
    toast.error(
      'The photograph could not be saved: its part isn’t there. Take it again from the part’s sheet.',
    )
  }

/**
 * Keeps a photograph of a line's part: on this device until the server has it, so that neither a reload nor a server that
 * is away loses it. The line itself may still be on its way.
 */
export const keepPhoto =
  (buildId: string, lineId: string, file: Blob): Thunk =>
  async (dispatch, getState) => {
    let picture: Blob
    try {
      picture = await shrink(file)
    } catch {
      return void toast.error('That file is no picture. The part is kept without one.')
    }
    const by = selectPerson(getState())?.id ?? null
    const photo: KeptPhoto = { id: crypto.randomUUID(), buildId, lineId, picture, by }
    // Where the device has no room it is sent all the same, as long as the tab is open.
    await deviceStore()
      .then((store) => store.put('photos', photo))
      .catch(() => undefined)
    await send(photo)(dispatch, getState)
  }

/** Goes on with photographs that a closed tab or a reload left behind; sent twice, they are the same. */
export const sendKeptPhotos = (): Thunk => async (dispatch, getState) => {
  const left = await deviceStore()
    .then((store) => store.getAll('photos'))
    .catch(() => [])
  await Promise.all(left.map((photo) => send(photo)(dispatch, getState)))
}

/** The address of a line's photograph that is on its way; null where none is. */
export function useWaitingPhoto(lineId: string): string | null {
  const waiting = useAppSelector((state) => state.outbox.photos)
  const [address, setAddress] = useState<string | null>(null)
  useEffect(() => {
    let made: string | null = null
    let isGone = false
    const look = async () => {
      const kept = waiting.length > 0 ? await (await deviceStore()).getAll('photos') : []
      const latest = kept.findLast((photo) => photo.lineId === lineId && waiting.includes(photo.id))
      if (isGone) return
      made = latest ? URL.createObjectURL(latest.picture) : null
      setAddress(made)
    }
    look().catch(() => undefined)
    return () => {
      isGone = true
      if (made) URL.revokeObjectURL(made)
    }
  }, [lineId, waiting])
  return address
}
