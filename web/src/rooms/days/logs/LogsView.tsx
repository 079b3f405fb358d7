import type { RunLog } from '@bold-ballast/core'
import { runsOf } from '@bold-ballast/model'
import { useEffect, useState } from 'react'
import { useRunLogs } from '../../../store/runLogs'
import { useBuild } from '../../../store/useBuild'
import { Choose } from '../../../ui/Choose'
import { ChooseDay } from '../ChooseDay'
import { NoDay } from '../NoDay'
import { useChosenDay } from '../useChosenDay'
import { DriverCorners } from './DriverCorners'
import type { LoggedRun } from './lapsLogged'
import { LiveLogger } from './LiveLogger'
import { LogGives } from './gives/LogGives'
import { Overlay } from './Overlay'
import { OwnLine } from './OwnLine'
import { ReadLog } from './ReadLog'
import { RunLogRow } from './RunLogRow'
import { useLogsLook } from './useLogsLook'

/** What loggers recorded of a day: what is wrong with it first, its laps, two of them laid over each other, what it gives. */
export function LogsView({ onDay }: { onDay: () => void }) {
  const { view, buildId } = useBuild()
  const { day, days } = useChosenDay()
  const logs = useRunLogs(buildId)
  const [reading, setReading] = useState<string | null>(null)
  const [besideId, setBeside] = useState<string | null>(null)
  const [start, setStart] = useState<{ readonly dayId: string; readonly at: number } | null>(null)
  const { load, runIds, loaded } = logs
  const runs = day ? runsOf(view, day.id).filter((run) => !run.planned) : []
  const course = view.courses.find((c) => c.id === day?.courseId) ?? null
  // Laps of another day on the same course can be laid beside those of this one.
  const others = days.filter(
    (d) =>
      d.id !== day?.id &&
      course !== null &&
      d.courseId === course.id &&
      view.runs.some((run) => run.outingId === d.id && runIds.has(run.id)),
  )
  const beside = others.find((d) => d.id === besideId) ?? null
  const besideRuns = beside ? runsOf(view, beside.id).filter((run) => !run.planned) : []
  // As words: an array is another one each time.
  const wanted = [...runs, ...besideRuns].flatMap((run) => (runIds.has(run.id) ? [run.id] : [])).join(' ')
  useEffect(() => {
    for (const id of wanted.split(' ').filter(Boolean)) void load(id)
  }, [wanted, load])
  const startAt = start?.dayId === day?.id ? (start?.at ?? 0) : 0
  const look = useLogsLook(logs, runs, besideRuns, course, startAt)
  const { line } = look
  const logged =
    !line || typeof line === 'string'
      ? []
      : [...runs, ...besideRuns].flatMap((run): LoggedRun[] => {
          const one = look.of(run.id)
          return one?.found
            ? [
                {
                  run,
                  day: run.outingId === day?.id ? null : beside,
                  log: one.log,
                  found: one.found,
                  look: one,
                },
              ]
            : []
        })
  const keep = (runId: string) => async (log: RunLog) => {
    const run = runs.find((one) => one.id === runId)
    await logs.keep(runId, log, [day?.name, run && `run ${run.order}`].filter(Boolean).join(', '))
    setReading(null)
  }
  if (!day) return <NoDay onDay={onDay} />
  const ofDay = logged.filter((one) => one.day === null)
  return (
    <section aria-label="Logs" className="max-w-[1040px]">
      <div className="flex flex-wrap items-end gap-3">
        <ChooseDay />
        {others.length > 0 && (
          <Choose
            label="Laps of another day beside"
            value={beside?.id ?? null}
            options={[['', 'none'], ...others.map((d) => [d.id, `${d.name}, ${d.date}`] as const)]}
            onChange={setBeside}
            wide={false}
          />
        )}
      </div>
      {look.isLooking && (
        <p role="status" className="mt-2 text-[14px] text-muted">
          Looking through the logs.
        </p>
      )}
      {logs.problem && (
        <p role="status" className="mt-2 text-[15px] text-ochre" data-testid="logs-problem">
          {logs.problem}
        </p>
      )}
      {runs.length === 0 ? (
        <p className="mt-3 text-muted">No run of this day was driven yet: a log belongs to a run.</p>
      ) : (
        <ul className="mt-3" data-testid="logs">
          {runs.map((run) => (
            <RunLogRow
              key={run.id}
              run={run}
              log={loaded.get(run.id) ?? null}
              hasLog={runIds.has(run.id)}
              waits={logs.waiting.has(run.id)}
              look={look.of(run.id)}
              line={line && typeof line !== 'string' ? line : null}
              isReading={reading === run.id}
              onRead={() => setReading(reading === run.id ? null : run.id)}
              onRemove={() => void logs.remove(run.id)}
            >
              <ReadLog
                course={course}
                before={runIds.has(run.id) ? (loaded.get(run.id) ?? null) : null}
                onKeep={keep(run.id)}
              >
                <LiveLogger
                  worker={logs.worker}
                  course={course}
                  name={`${day.date} run ${run.order}, live`}
                  onKeep={keep(run.id)}
                />
              </ReadLog>
            </RunLogRow>
          ))}
        </ul>
      )}
      {typeof line === 'string' && (
        <p role="alert" className="mt-3 text-oxide">
          No laps: {line}.
        </p>
      )}
      {line && typeof line !== 'string' && (
        <>
          {line.isPlaced && !line.isCourse && (
            <OwnLine
              key={day.id}
              line={line}
              day={day}
              startAt={startAt}
              onStart={(at) => setStart({ dayId: day.id, at })}
            />
          )}
          {logged.length > 0 && (
            <>
              <Overlay key={day.id} line={line} logged={logged} />
              <DriverCorners line={line} alike={look.alike} />
            </>
          )}
          {ofDay.length > 0 && (
            <LogGives key={`gives ${day.id}`} day={day} line={line} course={course} logged={ofDay} />
          )}
        </>
      )}
    </section>
  )
}
