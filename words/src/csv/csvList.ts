import Papa from 'papaparse'
import type * as z from 'zod'
import type { Wording } from '../wording'
import { csvField, readCell, writeCell, type CsvColumn, type CsvField } from './csvCell'
import { csvOf } from './csvText'

export interface CsvRead<T> {
  readonly records: readonly T[]
  readonly bad: readonly { readonly line: number; readonly problem: string }[]
}
export interface CsvList<T> {
  readonly write: (records: readonly T[], wording: Wording, more?: MoreColumns<T>) => string
  /**
   * @param whole adds what a row doesn't say to what it says; hears how many records came before
   */
  readonly read: (
    text: string,
    wording: Wording,
    whole: (found: Found, place: number) => object,
  ) => CsvRead<T>
}
/** What is written besides and never read: figures that follow from the rest. */
export interface MoreColumns<T> {
  readonly titles: readonly string[]
  readonly cells: (record: T) => readonly unknown[]
}
/** What the cells of a row say, by the path of the field; an empty cell says nothing. */
export interface Found {
  readonly get: <V>(path: string) => V | undefined
  /** As nested fields. */
  readonly fields: Readonly<Record<string, unknown>>
}

/** A row's values as nested fields. */
function nested(values: ReadonlyMap<string, unknown>): Record<string, unknown> {
  const all: Record<string, unknown> = {}
  for (const [path, value] of values) {
    const names = path.split('.')
    const last = names.pop() ?? path
    let at = all
    for (const name of names) {
      const inner: Record<string, unknown> = { ...(at[name] as object | undefined) }
      at[name] = inner
      at = inner
    }
    at[last] = value
  }
  return all
}

const foundIn = (values: ReadonlyMap<string, unknown>): Found => ({
  get: <V>(path: string) => values.get(path) as V | undefined,
  fields: nested(values),
})

/** A field with the place of its column in a file; below zero where there is none. */
type Placed = CsvField & { readonly at: number }

/** What the schema says of a row, under the title that its column has in the file. */
function sayIssue(issue: z.core.$ZodIssue, placed: readonly Placed[], header: readonly string[]): string {
  const path = issue.path.map(String).join('.')
  const at = placed.find((field) => field.path === path)?.at ?? -1
  return `${header[at] ?? issue.path.join(' ')}: ${issue.message}`
}

/** What stands between the cells: the sign of those in use that the first line has most of. */
function delimiterOf(text: string): string {
  const first = text.trimStart().split(/\r?\n|\r/, 1)[0] ?? ''
  const count = (sign: string) => first.split(sign).length
  return [',', ';', '\t'].reduce((best, sign) => (count(sign) > count(best) ? sign : best))
}

/**
 * A list that is written as CSV and read again from the same columns: what its fields are follows from their schema, so
 * that what was written comes back the same. Words that are not known are faults, never a default.
 *
 * @param columns by the path of the field; those that others go by come first
 * @example csvList(RECORDS.outing, { date: { title: 'date', reads: /^date/i, isWanted: true } })
 */
export function csvList<T extends object>(
  schema: z.ZodType<T>,
  columns: Readonly<Record<string, CsvColumn>>,
): CsvList<T> {
  const all = Object.entries(columns).map(([path, column]) => csvField(schema, path, column))

  const write: CsvList<T>['write'] = (records, wording, more) =>
    csvOf(
      [...all.map(({ column }) => column.title), ...(more?.titles ?? [])],
      records.map((record) => [
        ...all.map((field) => writeCell(field, record, wording)),
        ...(more?.cells(record) ?? []),
      ]),
    )

  const read: CsvList<T>['read'] = (text, wording, whole) => {
    const rows = Papa.parse<string[]>(text.replace(/^[\ufeff\s]+/, ''), { delimiter: delimiterOf(text) }).data
    const header = (rows[0] ?? []).map((title) => title.trim())
    const placed = all.map((field): Placed => ({
      ...field,
      at: header.findIndex((title) => field.column.reads.test(title)),
    }))
    const missing = placed.filter(({ at, column }) => column.isWanted && at < 0)
    if (missing.length > 0) {
      const problem = `the first line lacks ${missing.map(({ column }) => `“${column.title}”`).join(' and ')}`
      return { records: [], bad: [{ line: 1, problem }] }
    }
    const records: T[] = []
    const bad: { line: number; problem: string }[] = []
    rows.slice(1).forEach((cells, i) => {
      if (cells.every((c) => c.trim() === '')) return
      const values = new Map<string, unknown>()
      const record = () => whole(foundIn(values), records.length)
      const unread: string[] = []
      const unknown: string[] = []
      for (const field of placed) {
        const cell = readCell(field, header[field.at] ?? '', cells[field.at] ?? '', wording, record)
        if (cell?.unread) unread.push(cell.unread)
        else if (cell) values.set(field.path, cell.value)
        if (cell?.unknown) unknown.push(cell.unknown)
      }
      const made = schema.safeParse(record())
      if (unread.length + unknown.length === 0 && made.success) return void records.push(made.data)
      const issues = made.success || unread.length > 0 ? [] : made.error.issues.slice(0, 1)
      const said = issues.map((issue) => sayIssue(issue, placed, header))
      bad.push({ line: i + 2, problem: [...unread, ...said, ...unknown].join('; ') })
    })
    return { records, bad }
  }
  return { write, read }
}
