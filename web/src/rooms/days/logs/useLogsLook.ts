import type { Course, Run } from '@bold-ballast/contract'
import type { RunLog } from '@bold-ballast/core'
import type { LogLook, LogsLook } from '@bold-ballast/model'
import { useEffect, useState } from 'react'
import type { RunLogs } from '../../../store/runLogs'
import { useBuild } from '../../../store/useBuild'

/** A log with what was found in it. */
export type LookedAt = LogLook & { readonly log: RunLog }

interface Looked {
  /** What was looked at, in words. */
  readonly key: string
  readonly line: LogsLook['line']
  readonly byRun: ReadonlyMap<string, LookedAt>
  readonly alike: LogsLook['alike']
}
const NONE: Looked = { key: '', line: null, byRun: new Map(), alike: [] }

/** Logs of a day looked through beside the page: the line, laps, faults, and what other rooms can use. */
export function useLogsLook(
  { loaded, runIds, worker }: Pick<RunLogs, 'loaded' | 'runIds' | 'worker'>,
  runs: readonly Run[],
  besideRuns: readonly Run[],
  course: Course | null,
  startAt: number,
) {
  const { view } = useBuild()
  const { limits } = view
  const [looked, setLooked] = useState<Looked>(NONE)
  // As words: an array is another one each time.
  const there = (list: readonly Run[]) =>
    list.flatMap((run) => (runIds.has(run.id) && loaded.has(run.id) ? [run.id] : [])).join(' ')
  const [own, beside] = [there(runs), there(besideRuns)]
  const drivers = JSON.stringify([...runs, ...besideRuns].map((run) => [run.id, run.driver]))
  const key = `${own}|${beside}|${startAt}`
  useEffect(() => {
    let isOld = false
    const ids = `${own} ${beside}`.split(' ').filter(Boolean)
    const driverOf = new Map(JSON.parse(drivers) as [string, string][])
    const logs = ids.flatMap((id) => loaded.get(id) ?? [])
    const ofDay = own.split(' ').filter(Boolean).length
    void worker()
      .look(course, logs, ofDay, {
        limits,
        startAt,
        drivers: ids.map((id) => driverOf.get(id) ?? ''),
      })
      .then(({ line, each, alike }) => {
        if (isOld) return
        const byRun = new Map(
          ids.flatMap((id, i): [string, LookedAt][] => {
            const [log, one] = [logs[i], each[i]]
            return log && one ? [[id, { ...one, log }]] : []
          }),
        )
        setLooked({ key: `${own}|${beside}|${startAt}`, line, byRun, alike })
      })
      .catch(() => undefined)
    return () => {
      isOld = true
    }
  }, [own, beside, loaded, course, limits, startAt, worker, drivers])
  return {
    line: looked.line,
    alike: looked.alike,
    of: (runId: string): LookedAt | null => looked.byRun.get(runId) ?? null,
    isLooking: key !== looked.key && own !== '',
  }
}
