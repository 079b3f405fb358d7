import type { Course } from '@bold-ballast/contract'
import {
  formatNumber,
  LOG_COLUMNS,
  logFaults,
  logOf,
  orWhy,
  type LogColumn,
  type LogTable,
  type RunLog,
} from '@bold-ballast/core'
import { proxy, wrap } from 'comlink'
import { useEffect, useRef, useState } from 'react'
import { Button } from '../../../ui/Button'
import type { LogApi } from '../../../workers/log.worker'
import { knownColumns, keepColumns } from './knownColumns'
import { lapLineOf } from './lapLineOf'
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
  onKeep,
}: {
  course: Course | null
  onKeep: (log: RunLog) => Promise<void>
}) {
  const [read, setRead] = useState<Read | null>(null)
  const [progress, setProgress] = useState<number | null>(null)
  const [problem, setProblem] = useState<string | null>(null)
  const worker = useRef<Worker | null>(null)
  useEffect(() => () => worker.current?.terminate(), [])
  const open = async (file: File) => {
    worker.current?.terminate()
    const started = new Worker(new URL('../../../workers/log.worker.ts', import.meta.url), { type: 'module' })
    worker.current = started
    setRead(null)
    setProblem(null)
    setProgress(0)
    const table = await wrap<LogApi>(started).read(file, proxy(setProgress))
    setProgress(null)
    started.terminate()
    if ('problem' in table) return setProblem(table.problem)
    return setRead({ name: file.name, table, columns: knownColumns(table.titles) ?? table.columns })
  }
  const made = read
    ? orWhy(
        () => logOf(read.name, read.table, read.columns),
        (why) => why,
      )
    : null
  const log = typeof made === 'string' ? null : made
  const line = log && lapLineOf(course, log)
  const faults = log ? logFaults(log.time, log.channels) : []
  const keep = async () => {
    if (!read || !log) return
    keepColumns(read.table.titles, read.columns)
    await onKeep(log)
  }
  return (
    <div className="rounded-[3px] border border-edge bg-panel p-3">
      <label className="flex flex-col gap-1 text-[13px] text-muted">
        A logger’s file, CSV
        <input
          type="file"
          accept=".csv,.txt,text/csv,text/plain"
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
                  onChange={(event) =>
                    setRead({
                      ...read,
                      columns: read.columns.map((c, k) =>
                        k === i ? ((event.target.value || null) as LogColumn) : c,
                      ),
                    })
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
          <Button look="main" className="mt-2" disabled={!log} onClick={() => void keep()}>
            Keep it with the run
          </Button>
        </>
      )}
    </div>
  )
}
