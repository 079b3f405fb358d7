import { parseQuantity, readNumber, type Quantity, type Unit } from '@bold-ballast/core'
import Papa from 'papaparse'
import type * as z from 'zod'

export interface CsvRow<K extends string> {
  /** What stands in a column, trimmed; empty where there is no such column. */
  readonly cell: (column: K) => string
  /** The same as a quantity in SI, in the unit given where none is written; null for an empty cell. */
  readonly figure: (column: K, quantity: Quantity, unit: Unit) => number | null
  /** The same as a bare number; null for an empty cell. */
  readonly number: (column: K) => number | null
  /**
   * One of a list, by its own word or by that of the interface; null for an empty cell. A word that is not among them is
   * a fault that says which are.
   */
  readonly choice: <T extends string>(
    column: K,
    list: readonly T[],
    words: Readonly<Record<T, string>>,
  ) => T | null
  /** Yes or no; null for an empty cell. */
  readonly yes: (column: K) => boolean | null
}
export interface CsvRead<T> {
  readonly records: readonly T[]
  readonly bad: readonly { readonly line: number; readonly problem: string }[]
}

/**
 * Reads a table from CSV text into records of a schema: every row that fits, and each that doesn't with its line and
 * what is wrong.
 *
 * @param columns how the title of each column may read
 * @param wanted the words for columns that a table can't do without
 * @param record makes a record of a row, for the schema to judge
 */
export function readTable<K extends string, T>(
  text: string,
  columns: Readonly<Record<K, RegExp>>,
  wanted: Readonly<Partial<Record<K, string>>>,
  schema: z.ZodType<T>,
  record: (row: CsvRow<K>) => unknown,
): CsvRead<T> {
  const rows = Papa.parse<string[]>(text.trim(), {}).data
  const header = rows[0] ?? []
  const at = Object.fromEntries(
    (Object.keys(columns) as K[]).map((column) => [
      column,
      header.findIndex((title) => columns[column].test(title.trim())),
    ]),
  ) as Record<K, number>
  const missing = (Object.keys(wanted) as K[]).filter((column) => at[column] < 0)
  if (missing.length > 0) {
    const problem = `the first line lacks ${missing.map((column) => `“${wanted[column]}”`).join(' and ')}`
    return { records: [], bad: [{ line: 1, problem }] }
  }
  const records: T[] = []
  const bad: { line: number; problem: string }[] = []
  rows.slice(1).forEach((cells, i) => {
    if (cells.every((c) => c.trim() === '')) return
    const problems: string[] = []
    const cell = (column: K) => (at[column] < 0 ? '' : (cells[at[column]] ?? '').trim())
    const unknowns: string[] = []
    const unknown = (column: K, known: readonly string[]) =>
      unknowns.push(
        `${header[at[column]]}: “${cell(column)}” is not known. Known are ${known.map((word) => `“${word}”`).join(', ')}`,
      )
    const made = record({
      cell,
      figure: (column, quantity, unit) => {
        if (cell(column) === '') return null
        const read = parseQuantity(cell(column), quantity, unit)
        if (!read.ok) problems.push(`${header[at[column]]}: ${read.problem}`)
        return read.ok ? read.si : null
      },
      number: (column) => {
        if (cell(column) === '') return null
        const read = readNumber(cell(column))
        if (read === null) problems.push(`${header[at[column]]}: “${cell(column)}” is not a number`)
        return read
      },
      choice: (column, list, words) => {
        if (cell(column) === '') return null
        const found = among(list, words, cell(column))
        if (found === null) unknown(column, [...new Set(list.map((one) => words[one]))])
        return found
      },
      yes: (column) => {
        if (cell(column) === '') return null
        if (YES.test(cell(column))) return true
        if (!NO.test(cell(column))) unknown(column, ['yes', 'no'])
        return false
      },
    })
    const whole = schema.safeParse(made)
    if (problems.length + unknowns.length === 0 && whole.success) return void records.push(whole.data)
    if (!whole.success && problems.length === 0) {
      const [issue] = whole.error.issues
      problems.push(`${issue!.path.join(' ')}: ${issue!.message}`)
    }
    bad.push({ line: i + 2, problem: [...problems, ...unknowns].join('; ') })
  })
  return { records, bad }
}

const YES = /^(yes|true|1)$/i
const NO = /^(no|false|0)$/i

/** One of a list by its own word, or by the words that the interface uses for it. */
const among = <T extends string>(
  list: readonly T[],
  words: Readonly<Record<T, string>>,
  typed: string,
): T | null =>
  list.find(
    (one) => one.toLowerCase() === typed.toLowerCase() || words[one].toLowerCase() === typed.toLowerCase(),
  ) ?? null
