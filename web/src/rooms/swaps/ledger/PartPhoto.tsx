import { useCallback, useState } from 'react'
import { toast } from '../../../ui/toast'
import { keepPhoto, photoOf, useWaitingPhoto } from '../../../store/photos'
import { noteSeen } from '../../../store/seenFiles'
import { useAppDispatch } from '../../../store/store'
import { Button } from '../../../ui/Button'
import { PhotoImage } from '../../../ui/PhotoImage'

/** The photograph of a part, if there is one, and a way to take it. */
export function PartPhoto({ buildId, lineId, name }: { buildId: string; lineId: string; name: string }) {
  const dispatch = useAppDispatch()
  const [round, setRound] = useState(0)
  const waiting = useWaitingPhoto('photo', lineId)
  const [isThere, setThere] = useState(false)
  const see = useCallback((sha256: string | null) => noteSeen('photo', lineId, sha256), [lineId])
  const address = photoOf('photo', buildId, lineId)
  const keep = async (file: File | undefined) => {
    if (!file) return
    await dispatch(keepPhoto('photo', buildId, lineId, file, name))
    setRound(round + 1)
  }
  const remove = async () => {
    const answer = await fetch(address, { method: 'DELETE' }).catch(() => null)
    if (!answer?.ok)
      return void toast.error('The photograph is still there: the server doesn’t answer. Try again.')
    setThere(false)
    noteSeen('photo', lineId, null)
    setRound(round + 1)
  }
  return (
    <div className="col-span-2">
      <PhotoImage
        key={waiting ?? round}
        src={waiting ?? `${address}?${round}`}
        alt={`${name}, photographed`}
        onThere={setThere}
        // What takes its place says that it is this one that it takes the place of.
        onSeen={waiting === null ? see : undefined}
        className="mb-2 max-h-[260px] w-full"
      />
      <label className="flex flex-col gap-1 text-[13px] text-muted">
        {isThere ? 'Another photograph' : 'Photograph'}
        <input
          type="file"
          accept="image/*"
          capture="environment"
          className="rounded-[3px] border border-edge bg-panel p-1 text-ink"
          onChange={(e) => void keep(e.target.files?.[0])}
        />
      </label>
      {isThere && (
        <Button look="quiet" className="!px-0" onClick={() => void remove()}>
          Remove the photograph
        </Button>
      )}
    </div>
  )
}
