import { useEffect, useState } from 'react'
import { toast } from '../ui/toast'
import { fileAt, keepFile, waitingFile } from './keptFiles'
import type { FileKind } from './device'
import { useAppSelector, type Dispatch, type RootState } from './store'

/** Longest side that is kept, pixels: enough to tell a part by. */
const LONGEST = 1024

/** What a photograph hangs from: a line, for its part, or a picture of a job. */
export type PhotoKind = Exclude<FileKind, 'log'>

/** Where the photograph of a record is kept. */
export const photoOf = (kind: PhotoKind, buildId: string, recordId: string) => fileAt(kind, buildId, recordId)

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

/**
 * Keeps a photograph of a record, on this device until the server has it; the record itself may still be on its way.
 *
 * @param name what it is of, in words
 * @param makeRecord makes the record, where it is only made for this photograph: not for a file that is no picture
 */
export const keepPhoto =
  (kind: PhotoKind, buildId: string, recordId: string, file: Blob, name: string, makeRecord?: () => void) =>
  async (dispatch: Dispatch, getState: () => RootState): Promise<void> => {
    let picture: Blob
    try {
      picture = await shrink(file)
    } catch {
      return void toast.error(`That file is no picture. ${WITHOUT[kind]}`)
    }
    makeRecord?.()
    await keepFile(kind, buildId, recordId, picture, name, makeRecord !== undefined)(dispatch, getState)
  }

const WITHOUT: Readonly<Record<PhotoKind, string>> = {
  photo: 'The part is kept without one.',
  picture: 'The job has its pictures as before.',
}

/** The address of a record's photograph that is on its way; null where none is. */
export function useWaitingPhoto(kind: PhotoKind, recordId: string): string | null {
  const files = useAppSelector((state) => state.outbox.files)
  const [address, setAddress] = useState<string | null>(null)
  useEffect(() => {
    let made: string | null = null
    let isGone = false
    const look = async () => {
      const picture = await waitingFile(kind, recordId, new Set(files.map((f) => f.id)))
      if (isGone) return
      made = picture ? URL.createObjectURL(picture) : null
      setAddress(made)
    }
    look().catch(() => undefined)
    return () => {
      isGone = true
      if (made) URL.revokeObjectURL(made)
    }
  }, [kind, recordId, files])
  return address
}
