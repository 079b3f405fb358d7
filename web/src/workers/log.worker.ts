import { LogText, type LogTable } from '@bold-ballast/core'
import { expose, transfer } from 'comlink'

const api = {
  /** A logger's file, read piece by piece; what is wrong with it in words. */
  async read(file: File, onDone: (share: number) => void): Promise<LogTable | { problem: string }> {
    const reader = new LogText()
    const decoder = new TextDecoder()
    let done = 0
    try {
      const stream = file.stream().getReader()
      for (;;) {
        const { value, done: isEnd } = await stream.read()
        if (isEnd) break
        reader.push(decoder.decode(value, { stream: true }))
        done += value.length
        onDone(done / file.size)
      }
      reader.push(decoder.decode())
      const table = reader.end()
      return transfer(
        table,
        table.values.map((v) => v.buffer),
      )
    } catch (error) {
      return { problem: (error as Error).message }
    }
  },
}
export type LogApi = typeof api
expose(api)
