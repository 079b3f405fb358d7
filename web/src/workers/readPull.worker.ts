import { guessColumns, pullReader, type PullMapping, type ReadPull } from '@bold-ballast/core'
import { expose } from 'comlink'
import Papa from 'papaparse'

export interface Peek {
  readonly header: string[]
  /** The first rows of figures. */
  readonly rows: string[][]
  readonly mapping: PullMapping
  /** Lines above the first row of figures. */
  readonly linesBefore: number
}

const PEEK_BYTES = 64 * 1024
const isNumber = (cell: string) => /^\s*[-+]?\d[\d.,\s]*([eE][-+]?\d+)?\s*$/.test(cell)
const figuresIn = (row: readonly string[]) => row.filter(isNumber).length

const api = {
  /** The top of a file: its columns and a guess at what they hold. */
  async peek(file: File): Promise<Peek> {
    const text = await file.slice(0, PEEK_BYTES).text()
    const rows = Papa.parse<string[]>(text, {}).data
    const first = rows.findIndex((row) => figuresIn(row) >= 2)
    if (first < 0) throw new Error('No row with two numbers was found. Is this a table of a pull?')
    const header = first === 0 ? rows[0]!.map((_, i) => `Column ${i + 1}`) : rows[first - 1]!
    const body = rows.slice(first, first + 50)
    return { header, rows: body, mapping: guessColumns(header, body), linesBefore: first }
  },

  /** Reads the whole file, saying how far it is. */
  async read(
    file: File,
    mapping: PullMapping,
    linesBefore: number,
    onProgress: (share: number) => void,
  ): Promise<ReadPull> {
    const reader = pullReader(mapping, linesBefore)
    let skip = linesBefore
    await new Promise<void>((resolve, reject) => {
      Papa.parse<string[]>(file, {
        chunkSize: 512 * 1024,
        chunk: ({ data, meta }) => {
          reader.add(skip > 0 ? data.slice(skip) : data)
          skip = 0
          onProgress(Math.min(1, meta.cursor / file.size))
        },
        complete: () => resolve(),
        error: reject,
      })
    })
    return reader.finish()
  },
}
export type ReadPullApi = typeof api
expose(api)
