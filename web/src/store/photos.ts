import { useEffect, useState } from 'react'
import { toast } from '../ui/toast'
import { fileAt, keepFile, waitingFile } from './keptFiles'
import { useAppSelector, type Dispatch, type RootState } from './store'

/** Longest side that is kept, pixels: enough to tell a part by. */
const LONGEST = 1024

export const photoOf = (buildId: string, lineId: string) => fileAt('photo', buildId, lineId)

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

/** Keeps a photograph of a line's part, on this device until the server has it. */
export const keepPhoto =
  (buildId: string, lineId: string, file: Blob) =>
  async (dispatch: Dispatch, getState: () => RootState): Promise<void> => {
    let picture: Blob
    try {
      picture = await shrink(file)
    } catch {
      return void toast.error('That file is no picture. The part is kept without one.')
    }
    await keepFile('photo', buildId, lineId, picture)(dispatch, getState)
  }

/** The address of a line's photograph that is on its way; null where none is. */
export function useWaitingPhoto(lineId: string): string | null {
  const files = useAppSelector((state) => state.outbox.files)
  const [address, setAddress] = useState<string | null>(null)
  useEffect(() => {
    let made: string | null = null
    let isGone = false
    const look = async () => {
      const picture = await waitingFile('photo', lineId, new Set(files.map((f) => f.id)))
      if (isGone) return
      made = picture ? URL.createObjectURL(picture) : null
      setAddress(made)
    }
    look().catch(() => undefined)
    return () => {
      isGone = true
      if (made) URL.revokeObjectURL(made)
    }
  }, [lineId, files])
  return address
}
