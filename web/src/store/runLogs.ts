import { RUN_LOG_TYPE, runLogList } from '@bold-ballast/contract'
import { packLog, unpackLog, type RunLog } from '@bold-ballast/core'
import { useCallback, useEffect, useState } from 'react'
import { toast } from '../ui/toast'

const at = (buildId: string, runId: string) => `/api/v1/builds/${buildId}/runs/${runId}/log`

const through = async (bytes: Uint8Array<ArrayBuffer>, stream: CompressionStream | DecompressionStream) =>
  new Uint8Array(await new Response(new Blob([bytes]).stream().pipeThrough(stream)).arrayBuffer())

/** Logs that were looked at, by their runs, through a change of rooms: they are large, and only change by being kept anew. */
const seen = new Map<string, RunLog>()

/** What a logger recorded of each run of a build that has a log, fetched when it is asked for. */
export function useRunLogs(buildId: string) {
  const [runIds, setRunIds] = useState<ReadonlySet<string>>(new Set())
  const [loaded, setLoaded] = useState<ReadonlyMap<string, RunLog>>(() => new Map(seen))
  const hold = useCallback((runId: string, log: RunLog | null) => {
    if (log) seen.set(runId, log)
    else seen.delete(runId)
    setLoaded(new Map(seen))
  }, [])
  useEffect(() => {
    let isOld = false
    void fetch(`/api/v1/builds/${buildId}/logs`)
      .then(async (answer) => (answer.ok ? runLogList.parse(await answer.json()) : []))
      .catch(() => [])
      .then((list) => {
        if (!isOld) setRunIds(new Set(list.map((one) => one.runId)))
      })
    return () => {
      isOld = true
    }
  }, [buildId])
  const load = useCallback(
    async (runId: string): Promise<RunLog | null> => {
      const before = seen.get(runId)
      if (before) return before
      try {
        const answer = await fetch(at(buildId, runId))
        if (answer.status !== 200) return null
        const packed = new Uint8Array(await answer.arrayBuffer())
        const log = unpackLog(await through(packed, new DecompressionStream('gzip')))
        hold(runId, log)
        return log
      } catch (error) {
        toast.error(`The log can’t be read: ${(error as Error).message}.`)
        return null
      }
    },
    [buildId, hold],
  )
  const keep = useCallback(
    async (runId: string, log: RunLog): Promise<boolean> => {
      const body = await through(packLog(log), new CompressionStream('gzip'))
      const answer = await fetch(at(buildId, runId), {
        method: 'PUT',
        body,
        headers: { 'content-type': RUN_LOG_TYPE },
      }).catch(() => null)
      if (!answer?.ok) {
        toast.error(
          answer
            ? 'The log was not taken: its run may not be saved yet. Try it again.'
            : 'Nobody answers: the log stays here until you try it again.',
        )
        return false
      }
      hold(runId, log)
      setRunIds((ids) => new Set([...ids, runId]))
      return true
    },
    [buildId, hold],
  )
  const remove = useCallback(
    async (runId: string) => {
      const answer = await fetch(at(buildId, runId), { method: 'DELETE' }).catch(() => null)
      if (!answer?.ok) return toast.error('The log could not be removed: nobody answers.')
      hold(runId, null)
      setRunIds((ids) => new Set([...ids].filter((id) => id !== runId)))
      return undefined
    },
    [buildId, hold],
  )
  return { runIds, loaded, load, keep, remove }
}
export type RunLogs = ReturnType<typeof useRunLogs>
