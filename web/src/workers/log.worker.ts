import {
  gpxLog,
  isGpx,
  joinLogs,
  LogText,
  orWhy,
  type LogJoin,
  type LogTable,
  type RunLog,
} from '@bold-ballast/core'
import { expose, transfer } from 'comlink'

/** GPX is looked at as a whole: no receiver writes more of a day. */
const LARGEST_GPX = 100e6

const api = {
  /** A logger's file, read piece by piece; what is wrong with it in words. */
  async read(file: File, onDone: (share: number) => void): Promise<LogTable | { problem: string }> {
    const decoder = new TextDecoder()
    let done = 0
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
      const table = tableOf(reader)
      return transfer(
        table,
        table.values.map((v) => v.buffer),
      )
    } catch (error) {
      return { problem: (error as Error).message }
    }
  },
  /** Two loggers of one run as one; in words why they can't be. */
  join: (first: RunLog, second: RunLog): LogJoin | string =>
    orWhy(
      () => joinLogs(first, second),
      (why) => why,
    ),
}

function tableOf(reader: LogText | string[] | null): LogTable {
  if (!reader) throw new RangeError('that file is empty')
  return Array.isArray(reader) ? gpxLog(reader.join('')) : reader.end()
}

export type LogApi = typeof api
expose(api)
