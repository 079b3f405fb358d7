import { logLaps, orWhy, type RunLog } from '@bold-ballast/core'
import { runsOf } from '@bold-ballast/model'
import { useEffect, useMemo, useState } from 'react'
import { useBuild } from '../../../store/useBuild'
import { useRunLogs } from '../../../store/runLogs'
import { ChooseDay } from '../ChooseDay'
import { NoDay } from '../NoDay'
import { useChosenDay } from '../useChosenDay'
import { lapLineOf, shiftOnto } from './lapLineOf'
import { Overlay, type LoggedRun } from './Overlay'
import { ReadLog } from './ReadLog'
import { RunLogRow } from './RunLogRow'

/** What loggers recorded of a day: what is wrong with it first, its laps, and two of them laid over each other. */
export function LogsView({ onDay }: { onDay: () => void }) {
  const { view, buildId } = useBuild()
  const { day } = useChosenDay()
  const logs = useRunLogs(buildId)
  const [reading, setReading] = useState<string | null>(null)
  const runs = useMemo(() => (day ? runsOf(view, day.id).filter((run) => !run.planned) : []), [view, day])
  const course = view.courses.find((c) => c.id === day?.courseId) ?? null
  const { load, runIds } = logs
  useEffect(() => {
    for (const run of runs) if (runIds.has(run.id)) void load(run.id)
  }, [runs, runIds, load])
  const withLog = runs.flatMap((run) => {
    const log = runIds.has(run.id) ? (logs.loaded.get(run.id) ?? null) : null
    return log ? [{ run, log }] : []
  })
  const first = withLog[0]?.log ?? null
  const line = first ? lapLineOf(course, first) : null
  const logged = withLog.flatMap(({ run, log }): LoggedRun[] => {
    const found = line && typeof line !== 'string' ? lapsOf(log, line) : null
    return found ? [{ run, log, found }] : []
  })
  if (!day) return <NoDay onDay={onDay} />
  return (
    <section aria-label="Logs" className="max-w-[1040px]">
      <div className="flex">
        <ChooseDay />
      </div>
      {runs.length === 0 ? (
        <p className="mt-3 text-muted">No run of this day was driven yet: a log belongs to a run.</p>
      ) : (
        <ul className="mt-3" data-testid="logs">
          {runs.map((run) => (
            <RunLogRow
              key={run.id}
              run={run}
              log={logs.loaded.get(run.id) ?? null}
              hasLog={runIds.has(run.id)}
              found={logged.find((l) => l.run.id === run.id)?.found ?? null}
              isReading={reading === run.id}
              onRead={() => setReading(reading === run.id ? null : run.id)}
              onRemove={() => void logs.remove(run.id)}
            >
              <ReadLog
                course={course}
                onKeep={async (log) => {
                  if (await logs.keep(run.id, log)) setReading(null)
                }}
              />
            </RunLogRow>
          ))}
        </ul>
      )}
      {typeof line === 'string' && (
        <p role="alert" className="mt-3 text-oxide">
          No laps: {line}.
        </p>
      )}
      {line && typeof line !== 'string' && logged.length > 0 && (
        <Overlay key={day.id} line={line} logged={logged} />
      )}
    </section>
  )
}

const lapsOf = (log: RunLog, line: Exclude<ReturnType<typeof lapLineOf>, string>) =>
  orWhy(
    () => logLaps(log, line.lap, shiftOnto(line, log)),
    () => null,
  )
