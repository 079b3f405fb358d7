import { useState } from 'react'
import { Link } from 'react-router'
import { api, problemOf, useBuildsQuery } from '../store/api'
import type { FileKind } from '../store/device'
import { isOwn } from '../store/me'
import type { WaitingFile } from '../store/outbox'
import { useAppDispatch, useAppSelector } from '../store/store'
import { Button } from '../ui/Button'
import { toast } from '../ui/toast'
import { agoSaid, timeSaid } from './agoSaid'
import { MOST_BYTES } from './AnswerKeeper'
import { buildAsked, MOST_PHOTOGRAPHS } from './kept'
import { reach } from './reach'
import { useOnDevice } from './useOnDevice'

/** Below a tenth of a megabyte in kilobytes. */
/** What waits, in words. */
function waitsSaid(changes: number, files: readonly WaitingFile[]): string {
  const of = (kind: FileKind) => files.filter((file) => file.kind === kind).length
  const some = (n: number, one: string, more: string) => (n === 1 ? `one ${one}` : `${n} ${more}`)
  const [photos, logs] = [of('photo'), of('log')]
  const said = [
    some(changes, 'change', 'changes'),
    some(photos, 'photograph', 'photographs'),
    ...(logs > 0 ? [some(logs, 'log', 'logs')] : []),
  ]
  const list = `${said.slice(0, -1).join(', ')} and ${said.at(-1)} wait to be sent.`
  return list.replace(/^./, (c) => c.toUpperCase())
}

const sizeSaid = (bytes: number): string =>
  bytes < 1e5
    ? `${Math.max(1, Math.round(bytes / 1e3))} kB`
    : `${Number((bytes / 1e6).toPrecision(bytes < 1e7 ? 2 : 3))} MB`

/** Opened from the home screen, rather than as a page of a browser. */
const isInstalled = () => matchMedia('(display-mode: standalone)').matches

/** What this device keeps for when there is no network: what it opens with, what waits on it, and how much room it takes. */
export function OnThisDevice() {
  const { kept, forget, keepForSure } = useOnDevice()
  const { data: builds } = useBuildsQuery()
  const waits = useAppSelector((state) => state.outbox.pending.filter((w) => isOwn(state, w)).length)
  const files = useAppSelector((state) => state.outbox.files)
  const dispatch = useAppDispatch()
  const [now] = useState(() => Date.now())
  const keep = async (ids: readonly string[]) => {
    dispatch(reach.actions.wanted(ids.map(buildAsked)))
    for (const id of ids) {
      const { error } = await dispatch(
        api.endpoints.build.initiate(id, { subscribe: false, forceRefetch: true }),
      )
      if (error) return toast.error(problemOf(error).detail)
    }
  }
  if (!kept) return null
  const known = new Map(
    kept.answers.filter(({ endpoint }) => endpoint === 'build').map((a) => [a.buildId, a] as const),
  )
  const missing = (builds ?? []).filter(({ id }) => !known.has(id))
  const taken = kept.answers.reduce((sum, { size }) => sum + size, 0)
  return (
    <section aria-label="This device" className="max-w-[980px]">
      <h2 className="text-[19px]">Without network</h2>
      {kept.opens ? (
        <p className="mt-1">
          Bold Ballast opens on this device without network. It shows what it last knew, and what you enter
          waits here until the workshop can be reached.
          {!isInstalled() &&
            ' To have it among your other applications, add it to the home screen from the browser’s menu.'}
        </p>
      ) : (
        <p className="mt-1">
          This browser doesn’t open Bold Ballast without network: it keeps an application only from a server
          whose certificate it trusts.{' '}
          <Link to="/trust" className="text-blued underline">
            How to trust it
          </Link>
          . What you enter while the page is open is kept all the same.
        </p>
      )}
      <p className="mt-2" data-testid="waits-here">
        {waits + files.length === 0 ? 'Nothing waits to be sent.' : waitsSaid(waits, files)}
      </p>
      <div className="mt-6 flex items-baseline gap-4">
        <h2 className="flex-1 text-[19px]">Builds on this device</h2>
        {missing.length > 0 && (
          <Button onClick={() => void keep(missing.map(({ id }) => id))}>
            {missing.length === builds?.length ? 'Keep all' : 'Keep the others too'}
          </Button>
        )}
      </div>
      <p className="text-[13.5px] text-muted">
        A build that is opened is kept by itself, in your role’s view of it, until you sign out.
      </p>
      <ul className="mt-1">
        {builds?.map(({ id, name }) => {
          const answer = known.get(id)
          return (
            <li
              key={id}
              data-testid="on-device"
              className="flex min-h-10 flex-wrap items-baseline gap-x-4 border-b border-line py-1.5"
            >
              <span className="flex-1">{name}</span>
              <span className="text-[13px] text-muted">
                {answer
                  ? `as of ${timeSaid(answer.at, now)}, ${agoSaid(now - answer.at)} · ${sizeSaid(answer.size)}`
                  : 'not here'}
              </span>
              {answer ? (
                <Button look="quiet" className="!px-1" onClick={() => forget(id)}>
                  Forget<span className="sr-only"> {name} on this device</span>
                </Button>
              ) : (
                <Button look="quiet" className="!px-1" onClick={() => void keep([id])}>
                  Keep<span className="sr-only"> {name} on this device</span>
                </Button>
              )}
            </li>
          )
        })}
      </ul>
      <h2 className="mt-6 text-[19px]">Room</h2>
      <p className="mt-1" data-testid="room-taken">
        {sizeSaid(taken)} of at most {sizeSaid(MOST_BYTES)} for builds and lists, packed;{' '}
        {kept.photographs === 1 ? 'one photograph' : `${kept.photographs} photographs`} of at most{' '}
        {MOST_PHOTOGRAPHS}.
        {kept.used !== null && ` All in all, with the application itself, ${sizeSaid(kept.used)}.`}
      </p>
      <p className="mt-1 text-[13.5px] text-muted">
        What hasn’t been wanted for longest makes room for what is new. What waits to be sent is never cleared
        for it.
      </p>
      {!kept.isForSure && (
        <p className="mt-2 flex flex-wrap items-center gap-x-3 gap-y-1">
          <span className="flex-1">
            A browser that runs out of room may clear all of this, what waits too. It can be asked not to.
          </span>
          <Button onClick={keepForSure}>Ask it to keep this</Button>
        </p>
      )}
    </section>
  )
}
