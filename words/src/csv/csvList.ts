import { bareSchema, isLiteral, isObject, metaOf, type FieldMeta } from '@bold-ballast/contract'
import {
  fromSi,
  parseQuantity,
  preferredUnit,
  readNumber,
  toSi,
  unitNamed,
  type Quantity,
  type Unit,
} from '@bold-ballast/core'
import Papa from 'papaparse'
import type * as z from 'zod'
import type { Around } from '../describeValue'
import type { Wording } from '../wording'
import { csvOf, unguarded } from './csvText'

/** A column of a list: what its title is, and how others may call it. */
export interface CsvColumn {
  readonly title: string
  readonly reads: RegExp
  /** Symbol of the unit it is written in, and read in where neither cell nor title say one; left out, each cell says its own. */
  readonly unit?: string
  /** A share that is written from 0 to 1; per cent only where a cell says so. */
  readonly isFraction?: true
  /** A file without it is no such list. */
  readonly isWanted?: true
}
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

const YES = /^(yes|true|1)$/i
const NO = /^(no|false|0)$/i

/** The schema of a field, by its path. */
function schemaAt(schema: z.core.$ZodType, path: string): z.core.$ZodType {
  let at = schema
  for (const name of path.split('.')) {
    const bare = bareSchema(at)
    const inner = isObject(bare) ? bare._zod.def.shape[name] : undefined
    if (!inner) throw new TypeError(`No field ${path} in this record`)
    at = inner
  }
  return at
}

const valueAt = (record: unknown, path: string): unknown =>
  path
    .split('.')
    .reduce<unknown>(
      (at, name) =>
        typeof at === 'object' && at !== null ? new Map(Object.entries(at)).get(name) : undefined,
      record,
    )

const quantityOf = (meta: FieldMeta, around: Around) =>
  typeof meta.quantity === 'function' ? meta.quantity(around) : meta.quantity

const isUnitless = (quantity: ReturnType<typeof quantityOf>) =>
  quantity === undefined || quantity === 'number' || quantity === 'money'

/** The unit that a title says in brackets. */
const unitInTitle = (title: string, quantity: Quantity): Unit | undefined => {
  const symbol = /\(([^)]+)\)\s*$/.exec(title)?.[1]
  return symbol === undefined ? undefined : unitNamed(quantity, symbol)
}

/**
 * A value in a unit, in as few digits as bring the same value back: at the ends of what a field takes, one more or less
 * would be refused.
 */
function figure(si: number, unit: Unit): number {
  const exact = fromSi(si, unit)
  for (let digits = 6; digits < 18; digits += 1) {
    const shown = Number(exact.toPrecision(digits))
    if (toSi(shown, unit) === si) return shown
  }
  return exact
}

/** A value as read, without what its unit's factor left in the last digits: it may be the end of a range. */
const snapped = (si: number) => Number(si.toPrecision(15))

/** Free text, and not a date or an id. */
const isText = (bare: z.core.$ZodType) => bare._zod.def.type === 'string' && !('format' in bare._zod.def)

const choicesOf = (bare: z.core.$ZodType): readonly unknown[] | null => {
  if (bare._zod.def.type === 'enum') return Object.values((bare as z.core.$ZodEnum)._zod.def.entries)
  return isLiteral(bare) ? bare._zod.def.values : null
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
  const all = Object.entries(columns).map(([path, column]) => {
    const inner = schemaAt(schema, path)
    return { path, column, meta: metaOf(inner), bare: bareSchema(inner) }
  })
  type Entry = (typeof all)[number]

  const written = (entry: Entry, record: T, wording: Wording): unknown => {
    const value = valueAt(record, entry.path)
    if (value === null || value === undefined) return ''
    if (typeof value === 'boolean') return value ? 'yes' : 'no'
    if (typeof value === 'string') return entry.meta.words?.[value] ?? value
    if (typeof value !== 'number') return ''
    const quantity = quantityOf(entry.meta, aroundOf(record, entry.path))
    if (isUnitless(quantity) || entry.column.isFraction) return value
    const fixed = entry.column.unit
    const wanted = preferredUnit(
      quantity as Quantity,
      fixed ? { [quantity as Quantity]: fixed } : wording.units,
    )
    // Nothing at all has no figure in kilograms for each horsepower.
    const unit = wanted.reciprocal && value === 0 ? preferredUnit(quantity as Quantity, {}) : wanted
    const shown = figure(value, unit)
    return fixed ? shown : `${shown} ${unit.symbol}`
  }

  const write: CsvList<T>['write'] = (records, wording, more) =>
    csvOf(
      [...all.map(({ column }) => column.title), ...(more?.titles ?? [])],
      records.map((record) => [
        ...all.map((entry) => written(entry, record, wording)),
        ...(more?.cells(record) ?? []),
      ]),
    )

  const read: CsvList<T>['read'] = (text, wording, whole) => {
    const rows = Papa.parse<string[]>(text.replace(/^[\ufeff\s]+/, ''), { delimiter: delimiterOf(text) }).data
    const header = (rows[0] ?? []).map((title) => title.trim())
    const placed = all.map((entry) => ({
      ...entry,
      at: header.findIndex((title) => entry.column.reads.test(title)),
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
      const unread: string[] = []
      const unknown: string[] = []
      const values = new Map<string, unknown>()
      for (const { path, column, meta, bare, at } of placed) {
        const raw = at < 0 ? '' : unguarded(cells[at] ?? '')
        const cell = raw.trim()
        const title = header[at] ?? ''
        const choices = choicesOf(bare)
        const { type } = bare._zod.def
        // A note may be of blanks alone; anything else that is blank says nothing.
        if (cell === '' && (raw === '' || !isText(bare))) continue
        if (choices) {
          const called = (one: unknown) => meta.words?.[String(one)] ?? String(one)
          const found = choices.find((one) =>
            [String(one), called(one)].some((word) => word.toLowerCase() === cell.toLowerCase()),
          )
          if (found === undefined) unknown.push(sayUnknown(title, cell, choices.map(called)))
          values.set(path, found ?? cell)
        } else if (type === 'boolean') {
          if (!YES.test(cell) && !NO.test(cell)) unknown.push(sayUnknown(title, cell, ['yes', 'no']))
          values.set(path, YES.test(cell))
        } else if (type === 'number' || meta.quantity) {
          const quantity = quantityOf(meta, aroundOf(whole(foundIn(values), records.length), path))
          const read = isUnitless(quantity)
            ? readBare(cell)
            : parseQuantity(cell, quantity as Quantity, unitFor(title, column, quantity as Quantity, wording))
          if (read.ok) values.set(path, snapped(read.si))
          else unread.push(`${title}: ${read.problem}`)
        } else values.set(path, isText(bare) ? raw : cell)
      }
      const made = schema.safeParse(whole(foundIn(values), records.length))
      if (unread.length + unknown.length === 0 && made.success) return void records.push(made.data)
      const said = made.success || unread.length > 0 ? [] : [sayIssue(made.error.issues[0]!, placed, header)]
      bad.push({ line: i + 2, problem: [...unread, ...said, ...unknown].join('; ') })
    })
    return { records, bad }
  }
  return { write, read }
}

const foundIn = (values: ReadonlyMap<string, unknown>): Found => ({
  get: <V>(path: string) => values.get(path) as V | undefined,
  fields: nested(values),
})

/** The fields around the one at a path: those beside it, and those further out. */
const aroundOf = (record: unknown, path: string): Around => {
  const above = path.split('.').slice(0, -1).join('.')
  const beside = above === '' ? undefined : valueAt(record, above)
  return { ...(record as object), ...(typeof beside === 'object' ? beside : null) }
}

const readBare = (cell: string): { ok: true; si: number } | { ok: false; problem: string } => {
  const si = readNumber(cell)
  return si === null ? { ok: false, problem: `“${cell}” is not a number` } : { ok: true, si }
}

/** The unit of a bare number: what its title says, else the column's own, else the person's. */
const FRACTION: Unit = { ...preferredUnit('share', {}), factor: 1 }

const unitFor = (
  title: string,
  { unit, isFraction }: CsvColumn,
  quantity: Quantity,
  { units }: Wording,
): Unit =>
  unitInTitle(title, quantity) ??
  (isFraction ? FRACTION : preferredUnit(quantity, unit ? { [quantity]: unit } : units))

const sayUnknown = (title: string, cell: string, known: readonly string[]) =>
  `${title}: “${cell}” is not known. Known are ${[...new Set(known)].map((word) => `“${word}”`).join(', ')}`

/** What the schema says of a row, under the title that its column has in the file. */
function sayIssue(
  issue: z.core.$ZodIssue,
  placed: readonly { path: string; at: number }[],
  header: readonly string[],
): string {
  const path = issue.path.map(String).join('.')
  const at = placed.find((entry) => entry.path === path)?.at ?? -1
  return `${header[at] ?? issue.path.join(' ')}: ${issue.message}`
}

/** What stands between the cells: the sign of those in use that the first line has most of. */
function delimiterOf(text: string): string {
  const first = text.trimStart().split(/\r?\n|\r/, 1)[0] ?? ''
  const count = (sign: string) => first.split(sign).length
  return [',', ';', '\t'].reduce((best, sign) => (count(sign) > count(best) ? sign : best))
}
