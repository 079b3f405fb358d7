import { format } from 'date-fns'
import { useEffect, useState } from 'react'
import { useBuildsQuery } from '../store/api'
import { dropFile, refusedFile, sendFileAgain } from '../store/keptFiles'
import type { RefusedFile } from '../store/outbox'
import { useAppDispatch } from '../store/store'
import { Button } from '../ui/Button'

const NAMED = { photo: 'Photograph', picture: 'Picture', log: 'Log' } as const
const ENDING = { photo: 'jpg', picture: 'jpg', log: 'log.gz' } as const

/** The address of what is in a refused file, for as long as it is shown; null where it is gone. */
function useKeptAddress(id: string): string | null {
  const [address, setAddress] = useState<string | null>(null)
  useEffect(() => {
    let made: string | null = null
    let isGone = false
    void refusedFile(id).then((file) => {
      if (isGone || !file) return
      made = URL.createObjectURL(file.body)
      setAddress(made)
    })
    return () => {
      isGone = true
      if (made) URL.revokeObjectURL(made)
    }
  }, [id])
  return address
}

/** A file that the server would not take: what it is, why, and what may become of it. */
export function RefusedFileRow({ file }: { file: RefusedFile }) {
  const { id, kind, name, buildId, at, problem } = file
  const dispatch = useAppDispatch()
  const { data: builds } = useBuildsQuery()
  const address = useKeptAddress(id)
  const build = builds?.find((one) => one.id === buildId)?.name
  const made = at === undefined ? null : `made ${format(at, 'd MMM yyyy, HH:mm')}`
  const what = `${NAMED[kind]}${name ? ` of ${name}` : ''}`
  return (
    <li className="border-t border-line py-3" data-testid="refused-file">
      <div className="flex gap-3">
        {address && kind !== 'log' && (
          <img
            src={address}
            alt={what}
            className="h-[72px] w-[96px] shrink-0 rounded-[3px] border border-line object-cover"
          />
        )}
        <div className="min-w-0">
          <p className="font-medium">{what}</p>
          <p className="text-[13px] text-muted">{[build, made].filter(Boolean).join(', ')}</p>
          <p className="text-muted">{problem.detail}</p>
        </div>
      </div>
      <p className="mt-2 flex flex-wrap gap-2">
        <Button look="main" onClick={() => void dispatch(sendFileAgain(id))}>
          {problem.status === 409 ? 'Put mine there' : 'Try again'}
        </Button>
        {address && (
          <a
            href={address}
            download={`${what}.${ENDING[kind]}`}
            className="inline-flex min-h-8 items-center rounded-[3px] border border-edge bg-panel px-3 pointer-coarse:min-h-11"
          >
            Save to this device
          </a>
        )}
        <Button onClick={() => void dispatch(dropFile(id))}>
          {problem.status === 409 ? 'Leave theirs' : 'Drop it'}
        </Button>
      </p>
    </li>
  )
}
