import { toast } from 'sonner'

/** Longest side that is kept, pixels: enough to tell a part by. */
const LONGEST = 1024
const TRIES = 20
const WAIT_MS = 1500

export const photoOf = (buildId: string, lineId: string) => `/api/v1/builds/${buildId}/lines/${lineId}/photo`

/** A picture made small, as JPEG. */
async function shrink(file: Blob): Promise<Blob> {
  const picture = await createImageBitmap(file)
  const scale = Math.min(1, LONGEST / Math.max(picture.width, picture.height))
  const canvas = new OffscreenCanvas(Math.round(picture.width * scale), Math.round(picture.height * scale))
  canvas.getContext('2d')!.drawImage(picture, 0, 0, canvas.width, canvas.height)
  return canvas.convertToBlob({ type: 'image/jpeg', quality: 0.8 })
}

/**
 * Keeps a photograph of a line's part. The line itself may still be on its way to the server, or the server away:
 * it is tried again until both are there.
 */
export async function keepPhoto(buildId: string, lineId: string, file: Blob): Promise<void> {
  let body: Blob
  try {
    body = await shrink(file)
  } catch {
    return void toast.error('That file is no picture. The part is kept without one.')
  }
  for (let i = 0; i < TRIES; i += 1) {
    const answer = await fetch(photoOf(buildId, lineId), {
      method: 'PUT',
      body,
      headers: { 'content-type': 'image/jpeg' },
    }).catch(() => null)
    if (answer?.ok) return
    await new Promise((done) => setTimeout(done, WAIT_MS))
  }
  toast.error('The photograph could not be saved. The part is; take the picture again from its sheet.')
}
