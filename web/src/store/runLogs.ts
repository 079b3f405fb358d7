import type { RunLog } from '@bold-ballast/core'
import { transfer } from 'comlink'
import { useCallback, useMemo, useState } from 'react'
import { toast } from '../ui/toast'
import { api, problemOf, useRunLogsQuery } from './api'
import { fileAt, keepFile, waitingFile } from './keptFiles'
import { noteSeen } from './seenFiles'
import { useAppDispatch, useAppSelector } from './store'
import { startLogWorker } from './startLogWorker'
import { useRemote } from './useRemote'
import type { LogApi } from '../workers/log.worker'

/** Logs that were looked at, by their runs, with what they were kept as: they are large, and others may keep another. */
const seen = new Map<string, { readonly sha256: string | null; readonly log: RunLog }>()

/**
 * What a logger recorded of each run of a build that has a log, fetched when it is asked for. What is kept without network
 * waits on this device, as a photograph does.
 */
export function useRunLogs(buildId: string) {
  const dispatch = useAppDispatch()
  const worker = useRemote<LogApi>(startLogWorker)
  const { data, error } = useRunLogsQuery(buildId, { refetchOnMountOrArgChange: 20 })
  const files = useAppSelector((state) => state.outbox.files)
  const [loaded, setLoaded] = useState<ReadonlyMap<string, RunLog>>(
    () => new Map([...seen].map(([id, { log }]) => [id, log])),
  )
  const waiting = useMemo(() => files.filter((f) => f.kind === 'log'), [files])
  const digests = useMemo(() => new Map(data?.map(({ runId, sha256 }) => [runId, sha256])), [data])
  const runIds = useMemo(
    () => new Set([...digests.keys(), ...waiting.map((f) => f.recordId)]),
    [digests, waiting],
  )
  const hold = useCallback((runId: string, log: RunLog | null, sha256: string | null) => {
    if (log) seen.set(runId, { log, sha256 })
    else seen.delete(runId)
    setLoaded(new Map([...seen].map(([id, one]) => [id, one.log])))
  }, [])
  const load = useCallback(
    async (runId: string): Promise<void> => {
      const own = waiting.some((f) => f.recordId === runId)
      const sha256 = own ? null : (digests.get(runId) ?? null)
      const before = seen.get(runId)
      if (before && (before.sha256 === sha256 || own)) return
      try {
        const here = own ? await waitingFile('log', runId, new Set(waiting.map((f) => f.id))) : undefined
        const answer = here ?? (await fetch(fileAt('log', buildId, runId)))
        if (answer instanceof Response && answer.status !== 200) return
        const packed = await answer.arrayBuffer()
        const log = await worker().unpack(transfer(packed, [packed]))
        if (typeof log === 'string') return void toast.error(`The log can’t be read: ${log}.`)
        hold(runId, log, sha256)
      } catch {
        // Without network it is there once there is one again; that nobody answers is said by the room.
      }
    },
    [buildId, digests, hold, waiting, worker],
  )
  const keep = useCallback(
    async (runId: string, log: RunLog, name: string): Promise<void> => {
      const packed = await worker().pack(log)
      hold(runId, log, null)
      // What the list says is there is what was seen.
      if (data) noteSeen('log', runId, digests.get(runId) ?? null)
      void dispatch(keepFile('log', buildId, runId, new Blob([packed]), name))
    },
    [buildId, data, digests, dispatch, hold, worker],
  )
  const remove = useCallback(
    async (runId: string) => {
      const answer = await fetch(fileAt('log', buildId, runId), { method: 'DELETE' }).catch(() => null)
      if (!answer?.ok) return toast.error('The log could not be removed: nobody answers.')
      hold(runId, null, null)
      return void dispatch(api.util.invalidateTags(['RunLogs']))
    },
    [buildId, dispatch, hold],
  )
  return {
    runIds,
    loaded,
    load,
    /** Who looks through logs, beside the page. */
    worker,
    keep,
    remove,
    /** Of which runs a log waits on this device. */
    waiting: useMemo(() => new Set(waiting.map((f) => f.recordId)), [waiting]),
    /** Why nobody knows which runs have logs. */
    problem: error && !data ? problemOf(error).detail : null,
  }
}
export type RunLogs = ReturnType<typeof useRunLogs>
