import type { Course } from '@bold-ballast/contract'
import {
  gpxLog,
  isGpx,
  joinLogs,
  logOf,
  LogText,
  orWhy,
  packLog,
  unpackLog,
  type LogColumn,
  type LogFault,
  type LogJoin,
  type LogTable,
  type RunLog,
} from '@bold-ballast/core'
import { dayLine, faultsOf, lookAtLogs, type LogsLook } from '@bold-ballast/model'
import { expose, transfer } from 'comlink'

/** GPX is looked at as a whole: no receiver writes more of a day. */
const LARGEST_GPX = 100e6

/** A file that was read, without its figures: these stay in the worker. */
export type LogHead = Omit<LogTable, 'values'> & { readonly samples: number }
/** What a file is as a log, by what its columns are said to be. */
export interface LogMade {
  readonly faults: readonly LogFault[]
  /** Whether the course’s line is there for its laps; in words why there is none. */
  readonly line: { readonly isCourse: boolean } | string
}

let table: LogTable | null = null

/** The table that was read as a log. */
function made(name: string, columns: readonly LogColumn[]): RunLog {
  if (!table) throw new RangeError('no file was read')
  return logOf(name, table, columns)
}

const through = async (bytes: Uint8Array<ArrayBuffer>, stream: CompressionStream | DecompressionStream) =>
  new Uint8Array(await new Response(new Blob([bytes]).stream().pipeThrough(stream)).arrayBuffer())
const handed = (log: RunLog): RunLog =>
  transfer(
    log,
    [log.time, ...log.channels.map((c) => c.values)].map((v) => v.buffer),
  )
const why = (reason: string) => reason

const api = {
  /** A logger's file, read piece by piece; what is wrong with it in words. */
  async read(file: File, onDone: (share: number) => void): Promise<LogHead | { problem: string }> {
    const decoder = new TextDecoder()
    let done = 0
    table = null
    try {
      const stream = file.stream().getReader()
      let reader: LogText | string[] | null = null
      const take = (text: string) => {
        reader ??= isGpx(text) ? [] : new LogText()
        reader.push(text)
      }
      for (;;) {
        const { value, done: isEnd } = await stream.read()
        if (isEnd) break
        take(decoder.decode(value, { stream: true }))
        if (Array.isArray(reader) && file.size > LARGEST_GPX)
          return { problem: 'that GPX is over 100 MB: no day of a receiver is' }
        done += value.length
        onDone(done / file.size)
      }
      take(decoder.decode())
      table = tableOf(reader)
      const { values, ...head } = table
      return { ...head, samples: values[0]?.length ?? 0 }
    } catch (error) {
      return { problem: (error as Error).message }
    }
  },
  /** What the file is by what its columns are said to be; in words what is wrong with that. */
  make: (name: string, columns: readonly LogColumn[], course: Course | null): LogMade | string =>
    orWhy(() => {
      const log = made(name, columns)
      const line = dayLine(course, [log])
      return { faults: faultsOf(log), line: typeof line === 'string' ? line : { isCourse: line.isCourse } }
    }, why),
  log: (name: string, columns: readonly LogColumn[]): RunLog | string =>
    orWhy(() => handed(made(name, columns)), why),
  /** The file beside what another logger has of the run; in words why they can't be one. */
  join: (first: RunLog, name: string, columns: readonly LogColumn[]): LogJoin | string =>
    orWhy(() => joinLogs(first, made(name, columns)), why),
  /** Logs of a day looked through. */
  look: (...given: Parameters<typeof lookAtLogs>): LogsLook => lookAtLogs(...given),
  async pack(log: RunLog): Promise<Uint8Array<ArrayBuffer>> {
    const bytes = await through(packLog(log), new CompressionStream('gzip'))
    return transfer(bytes, [bytes.buffer])
  },
  /** A packed log; in words what is wrong with it. */
  async unpack(packed: ArrayBuffer): Promise<RunLog | string> {
    const bytes = await through(new Uint8Array(packed), new DecompressionStream('gzip'))
    return orWhy(() => handed(unpackLog(bytes)), why)
  },
}

function tableOf(reader: LogText | string[] | null): LogTable {
  if (!reader) throw new RangeError('that file is empty')
  return Array.isArray(reader) ? gpxLog(reader.join('')) : reader.end()
}

export type LogApi = typeof api
expose(api)
