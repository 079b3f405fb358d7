import { workshopExport, type WorkshopExport } from '@bold-ballast/contract'
import { useCallback, useEffect, useRef, useState } from 'react'
import { useInWorkshop } from '../../store/me'
import { Button } from '../../ui/Button'

/** Between two looks at how far it is. */
const LOOK_MS = 500

const sizeSaid = (bytes: number) => `${(bytes / 1e6).toFixed(bytes < 1e7 ? 1 : 0)} MB`

/** The whole workshop as one file: packed while one watches, fetched once it is there, and again where that broke off. */
export function TakeOutWorkshop() {
  const url = useInWorkshop('/workshop/exports')
  const [state, setState] = useState<WorkshopExport | null>(null)
  const [fault, setFault] = useState<string | null>(null)
  const link = useRef<HTMLAnchorElement>(null)
  const fetched = useRef<string | null>(null)
  const id = state?.id ?? null
  const isPacking = state !== null && state.bytes === null && state.problem === null
  const ask = useCallback(
    async (path: string, method: string): Promise<WorkshopExport | null> => {
      const answer = await fetch(`${url}${path}`, {
        method,
        headers: method === 'POST' ? { 'content-type': 'application/json' } : {},
        ...(method === 'POST' ? { body: '{}' } : {}),
      }).catch(() => null)
      const said: unknown = await answer?.json().catch(() => null)
      const found = workshopExport.safeParse(said)
      if (answer?.ok && found.success) return found.data
      const { detail } = (said ?? {}) as { readonly detail?: string }
      setFault(detail ?? 'Nobody answers. Nothing was taken out; try again.')
      return null
    },
    [url],
  )
  const begin = async () => {
    setFault(null)
    setState(await ask('', 'POST'))
  }
  const stop = () => {
    if (id) void fetch(`${url}/${id}`, { method: 'DELETE' }).catch(() => undefined)
    setState(null)
  }
  useEffect(() => {
    if (!id || !isPacking) return
    const looking = setInterval(() => void ask(`/${id}`, 'GET').then(setState), LOOK_MS)
    return () => clearInterval(looking)
  }, [ask, id, isPacking])
  useEffect(() => {
    if (state === null || state.bytes === null || fetched.current === state.id) return
    fetched.current = state.id
    link.current?.click()
  }, [state])
  return (
    <div className="my-3" data-testid="take-out">
      {!state && <Button onClick={() => void begin()}>Take the workshop out</Button>}
      {isPacking && (
        <p role="status" className="flex flex-wrap items-center gap-3">
          {state.of > 0 ? `Packing: ${state.done} of ${state.of} builds and files` : 'Packing …'}
          <progress className="accent-blued" max={Math.max(1, state.of)} value={state.done} />
          <Button onClick={stop}>Stop</Button>
        </p>
      )}
      {state && state.bytes !== null && (
        <p role="status" className="flex flex-wrap items-center gap-3">
          <span>
            Packed, {sizeSaid(state.bytes)}, and on its way to this device. Where that breaks off, fetch it
            again within a quarter of an hour: it goes on from there.
          </span>
          <a
            ref={link}
            href={`${url}/${state.id}/file`}
            download
            className="inline-flex min-h-8 items-center text-blued underline pointer-coarse:min-h-11"
          >
            Fetch it again
          </a>
          <Button look="quiet" onClick={stop}>
            Done
          </Button>
        </p>
      )}
      {(fault ?? state?.problem) && (
        <p role="alert" className="mt-1 flex flex-wrap items-center gap-3 text-oxide">
          {fault ?? state?.problem}
          {state?.problem && <Button onClick={stop}>Begin anew</Button>}
        </p>
      )}
    </div>
  )
}
