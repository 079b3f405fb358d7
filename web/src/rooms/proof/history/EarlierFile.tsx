import type { HistoryEntry } from '@bold-ballast/contract'
import { useState } from 'react'
import { useBuild } from '../../../store/useBuild'
import { keepFile } from '../../../store/keptFiles'
import { useAppDispatch } from '../../../store/store'
import { Button } from '../../../ui/Button'
import { MayOnly } from '../../../ui/MayOnly'
import { toast } from '../../../ui/toast'

/** A file that another took the place of, or that was removed: seen again, and put back in the place of what is there. */
export function EarlierFile({
  id,
  label,
  file,
}: Pick<HistoryEntry, 'id' | 'label'> & { file: NonNullable<HistoryEntry['file']> }) {
  const { buildId } = useBuild()
  const dispatch = useAppDispatch()
  const [isBusy, setBusy] = useState(false)
  const { kind, recordId, isKept } = file
  if (!isKept)
    return (
      <p className="my-1 text-[13px] text-muted">
        The earlier one isn’t kept any more: of each record there are the last ten.
      </p>
    )
  const address = `/api/v1/builds/${buildId}/replaced/${id}`
  const putBack = async () => {
    setBusy(true)
    const answer = await fetch(address).catch(() => null)
    if (!answer?.ok) {
      toast.error('The earlier one can’t be fetched: nobody answers. Try again.')
    } else {
      const name = /“(.+)”/.exec(label)?.[1] ?? ''
      await dispatch(keepFile(kind, buildId, recordId, await answer.blob(), name))
    }
    setBusy(false)
  }
  return (
    <div className="my-1 flex flex-wrap items-end gap-3">
      {kind !== 'log' && (
        <img
          src={address}
          alt="As it was before"
          className="max-h-[160px] max-w-full rounded-[3px] border border-line object-contain"
        />
      )}
      <MayOnly right="plan">
        <Button disabled={isBusy} onClick={() => void putBack()}>
          Put this one back
        </Button>
      </MayOnly>
    </div>
  )
}
