import {
  guessColumns,
  pullReader,
  recallColumns,
  seriesIn,
  type KnownColumns,
  type PullMapping,
  type ReadPulls,
  itemAt,
} from '@bold-ballast/core'
import { expose } from 'comlink'
import Papa from 'papaparse'

export interface Peek {
  readonly header: string[]
  /** The first rows of figures. */
  readonly rows: string[][]
  readonly mapping: PullMapping
  /** True when the mapping is that of this dyno's last file. */
  readonly isRecalled: boolean
  /** Lines above the first row of figures. */
  readonly linesBefore: number
}

const PEEK_BYTES = 64 * 1024
const isNumber = (cell: string) => /^\s*[-+]?\d[\d.,\s]*([eE][-+]?\d+)?\s*$/.test(cell)
const figuresIn = (row: readonly string[]) => row.filter(isNumber).length

/** Reads one set of columns of a file, saying how far it is. */
async function readColumns(
  file: File,
  mapping: PullMapping,
  linesBefore: number,
  overalls: readonly { name: string; ratio: number }[],
  onProgress: (share: number) => void,
): Promise<ReadPulls> {
  const reader = pullReader(mapping, linesBefore, overalls)
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
}

const api = {
  /** The top of a file: its columns, and a guess at what they hold unless this dyno's last file says so. */
  async peek(file: File, known: KnownColumns | null): Promise<Peek> {
    const text = await file.slice(0, PEEK_BYTES).text()
    const rows = Papa.parse<string[]>(text, {}).data
    const first = rows.findIndex((row) => figuresIn(row) >= 2)
    if (first < 0) throw new Error('No row with two numbers was found. Is this a table of a pull?')
    const header = first === 0 ? itemAt(rows, 0).map((_, i) => `Column ${i + 1}`) : itemAt(rows, first - 1)
    const body = rows.slice(first, first + 50)
    const recalled = known && recallColumns(known, header)
    const mapping = recalled ?? guessColumns(header, body)
    return { header, rows: body, mapping, isRecalled: recalled !== null, linesBefore: first }
  },

  /** Reads the whole file; pulls that stand side by side are read one after the other. */
  async read(
    file: File,
    { header, linesBefore }: Pick<Peek, 'header' | 'linesBefore'>,
    mapping: PullMapping,
    overalls: readonly { name: string; ratio: number }[],
    onProgress: (share: number) => void,
  ): Promise<ReadPulls> {
    const series = seriesIn(header, mapping)
    if (series.length === 0) return readColumns(file, mapping, linesBefore, overalls, onProgress)
    const read: { name: string; result: ReadPulls }[] = []
    for (const [i, { name, mapping: own }] of series.entries()) {
      const result = await readColumns(file, own, linesBefore, overalls, (share) =>
        onProgress((i + share) / series.length),
      )
      read.push({ name, result })
    }
    const first = itemAt(read, 0).result
    return {
      ...first,
      pulls: read.flatMap(({ name, result }) =>
        result.pulls.map((p) => ({ ...p, name: p.name ? `${name}, ${p.name}` : name })),
      ),
      notes: [`${series.length} pulls stand side by side in the file.`, ...first.notes],
    }
  },
}
export type ReadPullApi = typeof api
expose(api)
