import type { Course } from '@bold-ballast/contract'
import { formatNumber, LOG_COLUMNS, type LogColumn, type LogJoin, type RunLog } from '@bold-ballast/core'
import { proxy } from 'comlink'
import { useState, type ReactNode } from 'react'
import { useLogColumnsQuery } from '../../../store/api'
import { startLogWorker } from '../../../store/startLogWorker'
import { useRemote } from '../../../store/useRemote'
import { Button } from '../../../ui/Button'
import type { LogApi, LogHead, LogMade } from '../../../workers/log.worker'
import { knownColumns } from './knownColumns'
import { sayFault } from './sayFault'

const WORDS: Readonly<Record<Exclude<LogColumn, null>, string>> = {
  time: 'the clock',
  latitude: 'latitude, °',
  longitude: 'longitude, °',
  x: 'east, m',
  y: 'north, m',
  speed: 'speed',
  engineSpeed: 'engine speed',
  throttle: 'throttle, %',
  brakeFront: 'front brake pressure',
  brakeRear: 'rear brake pressure',
  gear: 'gear',
  sideways: 'sideways acceleration',
  forward: 'acceleration along',
  lap: 'lap number',
}

interface Read {
  readonly name: string
  readonly head: LogHead
  readonly columns: readonly LogColumn[]
  /** What it is by these columns; in words what is wrong with them; null until that is known. */
  readonly made: LogMade | string | null
}

/** A logger's file: read in a worker with progress; what each column is, is said and can be put right before it is kept. */
export function ReadLog({
  course,
  before,
  onKeep,
  children,
}: {
  course: Course | null
  /** What another logger has of the run already. */
  before: RunLog | null
  onKeep: (log: RunLog) => Promise<void>
  /** Another way to a log, below. */
  children: ReactNode
}) {
  const { data: known } = useLogColumnsQuery()
  const [read, setRead] = useState<Read | null>(null)
  const [progress, setProgress] = useState<number | null>(null)
  const [problem, setProblem] = useState<string | null>(null)
  const [joined, setJoined] = useState<LogJoin | string | null>(null)
  const worker = useRemote<LogApi>(startLogWorker)
  const say = async (name: string, head: LogHead, columns: readonly LogColumn[]) => {
    setJoined(null)
    setRead({ name, head, columns, made: null })
    const made = await worker().make(name, columns, course)
    // What was said meanwhile counts, not this.
    setRead((now) => (now?.columns === columns ? { ...now, made } : now))
  }
  const open = async (file: File) => {
    setRead(null)
    setJoined(null)
    setProblem(null)
    setProgress(0)
    const head = await worker().read(file, proxy(setProgress))
    setProgress(null)
    if ('problem' in head) return setProblem(head.problem)
    return say(file.name, head, knownColumns(head.titles, known ?? []) ?? head.columns)
  }
  const made = read?.made ?? null
  const isLog = made !== null && typeof made !== 'string'
  const faults = isLog ? made.faults : []
  const keep = async () => {
    if (!read) return
    const log =
      joined && typeof joined !== 'string' ? joined.log : await worker().log(read.name, read.columns)
    if (typeof log !== 'string') await onKeep(log)
  }
  const join = async () => {
    if (before && read) setJoined(await worker().join(before, read.name, read.columns))
  }
  return (
    <div className="rounded-[3px] border border-edge bg-panel p-3">
      <label className="flex flex-col gap-1 text-[13px] text-muted">
        A logger’s file, CSV or GPX
        <input
          type="file"
          accept=".csv,.txt,.gpx,text/csv,text/plain,application/gpx+xml"
          className="rounded-[3px] border border-edge bg-panel px-2 py-1 text-ink"
          onChange={(event) => event.target.files?.[0] && void open(event.target.files[0])}
        />
      </label>
      {progress !== null && (
        <p role="status" className="mt-1 text-[14px] text-muted">
          Reading: {formatNumber(progress * 100, 0)} %
        </p>
      )}
      {(problem ?? (typeof made === 'string' ? made : null)) && (
        <p role="alert" className="mt-1 text-[14px] text-oxide">
          {(problem ?? String(made)).replace(/^./, (c) => c.toUpperCase())}.
        </p>
      )}
      {read && (
        <>
          <p className="mt-2 text-[14.5px]" data-testid="log-read">
            {formatNumber(read.head.samples, 0)} samples of {read.head.titles.length} columns
            {read.head.thinned > 0 &&
              `, ${formatNumber(read.head.thinned, 0)} left out: 25 a second are kept`}
            {read.head.bad > 0 && `; ${read.head.bad} lines can’t be read`}
            {read.head.cutOff && '; the file ends in the middle of a line: it was cut off'}.{' '}
            {isLog &&
              (typeof made.line === 'string'
                ? `No laps: ${made.line}.`
                : made.line.isCourse
                  ? 'Its laps are laid along the course’s line.'
                  : 'Its own first lap is the line.')}
          </p>
          {faults.length > 0 && (
            <ul className="list-disc pl-5 text-[14px] text-ochre">
              {faults.slice(0, 6).map((fault, i) => (
                <li key={i}>{sayFault(fault)}</li>
              ))}
            </ul>
          )}
          <div className="mt-2 grid gap-x-6 gap-y-1 @2xl:grid-cols-2" data-testid="log-columns">
            {read.head.titles.map((title, i) => (
              <label key={i} className="grid grid-cols-2 items-center gap-2 text-[13.5px]">
                <span className="truncate">{title}</span>
                <select
                  aria-label={`${title} is`}
                  value={read.columns[i] ?? ''}
                  onChange={(event) =>
                    void say(
                      read.name,
                      read.head,
                      read.columns.map((c, k) => (k === i ? ((event.target.value || null) as LogColumn) : c)),
                    )
                  }
                  className="rounded-[3px] border border-edge bg-panel px-2 py-1 text-ink"
                >
                  {LOG_COLUMNS.map((column) => (
                    <option key={column ?? 'none'} value={column ?? ''}>
                      {column === null ? 'kept by its name' : WORDS[column]}
                    </option>
                  ))}
                </select>
              </label>
            ))}
          </div>
          {typeof joined === 'string' && (
            <p role="alert" className="mt-2 text-[14px] text-oxide">
              They can’t be one log: {joined}.
            </p>
          )}
          {joined && typeof joined !== 'string' && <JoinSays joined={joined} />}
          <p className="mt-2 flex flex-wrap gap-2">
            <Button look="main" disabled={!isLog} onClick={() => void keep()}>
              {joined && typeof joined !== 'string'
                ? 'Keep both as one'
                : before
                  ? 'Keep it in place of the other'
                  : 'Keep it with the run'}
            </Button>
            {before && isLog && (joined === null || typeof joined === 'string') && (
              <Button onClick={() => void join()}>Lay it beside {before.name}</Button>
            )}
            {joined && typeof joined !== 'string' && (
              <Button look="quiet" onClick={() => setJoined(null)}>
                By itself after all
              </Button>
            )}
          </p>
        </>
      )}
      {children}
    </div>
  )
}

/** How two loggers of one run lie beside each other, and what they don't agree in. */
function JoinSays({ joined: { shift, by, alike, apart, log } }: { joined: LogJoin }) {
  return (
    <div className="mt-2 text-[14.5px]" data-testid="log-join">
      <p>
        Its clock is laid {formatNumber(Math.abs(shift), 1)} s {shift < 0 ? 'earlier' : 'later'}, by{' '}
        {WORDS[by]}: there the two are alike to {formatNumber(alike, 3)}. Both have {log.channels.length}{' '}
        channels together; what both have is kept as the first one has it.
      </p>
      {apart.map(({ role, times }) => (
        <p key={role} className="text-ochre">
          They don’t agree in {WORDS[role]}: the second reads {formatNumber(Math.abs(times - 1) * 100, 1)} %{' '}
          {times > 1 ? 'more' : 'less'}. One of them has another wheel size, or a wrong unit: look before a
          figure is taken from it.
        </p>
      ))}
    </div>
  )
}
