import { toast } from '../ui/toast'
import { deviceStore, type KeptPhoto } from './device'
import type { RootState } from './store'

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

/** Whether a line is still on its way to the server. */
const isOnItsWay = ({ outbox: { pending } }: RootState, lineId: string) =>
  pending.some(({ batch }) => batch.edits.some((e) => e.op === 'put' && e.record.id === lineId))

type Thunk = (dispatch: unknown, getState: () => RootState) => Promise<void>

/** Sends a photograph once its line is there; tried until the server has it. */
const send =
  ({ id, buildId, lineId, picture }: KeptPhoto): Thunk =>
  async (_dispatch, getState) => {
    const forget = () =>
      deviceStore().then(
        (store) => store.delete('photos', id),
        () => undefined,
      )
    for (let missing = 0; missing < TRIES;) {
      while (isOnItsWay(getState(), lineId)) await pause(LOOK_MS)
      const answer = await fetch(photoOf(buildId, lineId), {
        method: 'PUT',
        body: picture,
        headers: { 'content-type': 'image/jpeg' },
      }).catch(() => null)
      if (answer?.ok) return forget()
      if (answer && answer.status < 500) missing += 1
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
    const photo = { id: crypto.randomUUID(), buildId, lineId, picture }
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
