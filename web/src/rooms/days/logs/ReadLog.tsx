import type { Course } from '@bold-ballast/contract'
import {
  formatNumber,
  LOG_COLUMNS,
  logFaults,
  logOf,
  orWhy,
  type LogColumn,
  type LogJoin,
  type LogTable,
  type RunLog,
} from '@bold-ballast/core'
import { dayLine } from '@bold-ballast/model'
import { proxy, wrap } from 'comlink'
import { useEffect, useRef, useState, type ReactNode } from 'react'
import { useLogColumnsQuery } from '../../../store/api'
import { Button } from '../../../ui/Button'
import type { LogApi } from '../../../workers/log.worker'
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
  readonly table: LogTable
  readonly columns: readonly LogColumn[]
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
  const worker = useRef<Worker | null>(null)
  useEffect(() => () => worker.current?.terminate(), [])
  const open = async (file: File) => {
    worker.current?.terminate()
    const started = new Worker(new URL('../../../workers/log.worker.ts', import.meta.url), { type: 'module' })
    worker.current = started
    setRead(null)
    setJoined(null)
    setProblem(null)
    setProgress(0)
    const table = await wrap<LogApi>(started).read(file, proxy(setProgress))
    setProgress(null)
    started.terminate()
    if ('problem' in table) return setProblem(table.problem)
    return setRead({
      name: file.name,
      table,
      columns: knownColumns(table.titles, known ?? []) ?? table.columns,
    })
  }
  const made = read
    ? orWhy(
        () => logOf(read.name, read.table, read.columns),
        (why) => why,
      )
    : null
  const log = typeof made === 'string' ? null : made
  const line = log && dayLine(course, [log])
  const faults = log ? logFaults(log.time, log.channels) : []
  const keep = async () => {
    if (!read || !log) return
    await onKeep(joined && typeof joined !== 'string' ? joined.log : log)
  }
  const join = async () => {
    if (!before || !log) return
    const started = new Worker(new URL('../../../workers/log.worker.ts', import.meta.url), { type: 'module' })
    worker.current?.terminate()
    worker.current = started
    setJoined(await wrap<LogApi>(started).join(before, log))
    started.terminate()
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
            {formatNumber(read.table.values[0]?.length ?? 0, 0)} samples of {read.table.titles.length} columns
            {read.table.thinned > 0 &&
              `, ${formatNumber(read.table.thinned, 0)} left out: 25 a second are kept`}
            {read.table.bad > 0 && `; ${read.table.bad} lines can’t be read`}
            {read.table.cutOff && '; the file ends in the middle of a line: it was cut off'}.{' '}
            {typeof line === 'string'
              ? `No laps: ${line}.`
              : line &&
                (line.isCourse
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
            {read.table.titles.map((title, i) => (
              <label key={i} className="grid grid-cols-2 items-center gap-2 text-[13.5px]">
                <span className="truncate">{title}</span>
                <select
                  aria-label={`${title} is`}
                  value={read.columns[i] ?? ''}
                  onChange={(event) => {
                    setJoined(null)
                    setRead({
                      ...read,
                      columns: read.columns.map((c, k) =>
                        k === i ? ((event.target.value || null) as LogColumn) : c,
                      ),
                    })
                  }}
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
            <Button look="main" disabled={!log} onClick={() => void keep()}>
              {joined && typeof joined !== 'string'
                ? 'Keep both as one'
                : before
                  ? 'Keep it in place of the other'
                  : 'Keep it with the run'}
            </Button>
            {before && log && (joined === null || typeof joined === 'string') && (
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
