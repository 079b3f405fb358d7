import {
  bareSchema,
  choicesOf,
  formatOf,
  metaOf,
  quantityAt,
  schemaAt,
  valueAt,
  type FieldMeta,
  type FieldQuantity,
} from '@bold-ballast/contract'
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
import type { Wording } from '../wording'
import { unguarded } from './csvText'

/** A column of a list: what its title is, and how others may call it. */
export interface CsvColumn {
  readonly title: string
  readonly reads: RegExp
  /** Symbol of the unit it is written in, and read in where neither cell nor title say one; left out, each cell says its own. */
  readonly unit?: string
  /** A share that is written from 0 to 1; per cent only where a cell says so. */
  readonly isFraction?: true
  /** Of names in one cell: what each stands for; undefined for a name that isn’t known. */
  readonly finds?: (name: string) => string | undefined
  /** A file without it is no such list. */
  readonly isWanted?: true
}

/** A column with the field that it holds. */
export interface CsvField {
  readonly path: string
  readonly column: CsvColumn
  readonly meta: FieldMeta
  readonly bare: z.core.$ZodType
}

export function csvField(schema: z.core.$ZodType, path: string, column: CsvColumn): CsvField {
  const inner = schemaAt(schema, path)
  return { path, column, meta: metaOf(inner), bare: bareSchema(inner) }
}

/** What a cell says: a value, or what keeps it from being one; a word that isn't known is both. */
export interface CellRead {
  readonly value?: unknown
  /** No figure of its kind. */
  readonly unread?: string
  /** None of the words there are. */
  readonly unknown?: string
}

const YES = /^(yes|true|1)$/i
const NO = /^(no|false|0)$/i

const isUnit = (quantity: FieldQuantity | undefined): quantity is Quantity =>
  quantity !== undefined && quantity !== 'number' && quantity !== 'money'

/** Free text, and not a date or an id. */
const isText = (bare: z.core.$ZodType) => bare._zod.def.type === 'string' && formatOf(bare) === undefined

const FRACTION: Unit = { ...preferredUnit('share', {}), factor: 1 }

/** A column's own unit, else the person's. */
const ownUnit = ({ unit }: CsvColumn, quantity: Quantity, { units }: Wording): Unit =>
  preferredUnit(quantity, unit ? { [quantity]: unit } : units)

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

/** Names in one cell, quoted where one of them has a semicolon of its own. */
const namesIn = (cell: string): string[] =>
  (Papa.parse<string[]>(cell, { delimiter: ';' }).data[0] ?? []).map((name) => name.trim()).filter(Boolean)
const sayNames = (names: readonly unknown[]): string =>
  Papa.unparse([[...names]], { delimiter: ';', escapeFormulae: false })

/** What stands in a record's cell of a column. */
export function writeCell(
  { path, column, meta }: CsvField,
  record: object,
  wording: Wording,
): string | number {
  const value = valueAt(record, path)
  if (typeof value === 'boolean') return value ? 'yes' : 'no'
  if (Array.isArray(value)) return sayNames(value)
  if (typeof value === 'string') return meta.words?.[value] ?? value
  if (typeof value !== 'number') return ''
  const quantity = quantityAt(meta, record, path)
  if (!isUnit(quantity) || column.isFraction) return value
  const wanted = ownUnit(column, quantity, wording)
  // Nothing at all has no figure in kilograms for each horsepower.
  const unit = wanted.reciprocal && value === 0 ? preferredUnit(quantity, {}) : wanted
  const shown = figure(value, unit)
  return column.unit ? shown : `${shown} ${unit.symbol}`
}

const unknown = (title: string, cell: string, known: readonly string[]) =>
  `${title}: “${cell}” is not known. Known are ${[...new Set(known)].map((word) => `“${word}”`).join(', ')}`

function readChoice(
  title: string,
  cell: string,
  choices: readonly unknown[],
  { words }: FieldMeta,
): CellRead {
  const called = (one: unknown) => words?.[String(one)] ?? String(one)
  const found = choices.find((one) =>
    [String(one), called(one)].some((word) => word.toLowerCase() === cell.toLowerCase()),
  )
  if (found !== undefined) return { value: found }
  return { value: cell, unknown: unknown(title, cell, choices.map(called)) }
}

function readNames(title: string, cell: string, { finds = (name) => name }: CsvColumn): CellRead {
  const names = namesIn(cell)
  const lost = names.filter((name) => finds(name) === undefined)
  return {
    value: names.flatMap((name) => finds(name) ?? []),
    ...(lost.length > 0 && { unknown: `${title}: nothing is called “${lost.join('” or “')}”` }),
  }
}

function readYes(title: string, cell: string): CellRead {
  const value = YES.test(cell)
  return value || NO.test(cell) ? { value } : { value, unknown: unknown(title, cell, ['yes', 'no']) }
}

function readFigure(
  title: string,
  cell: string,
  { column, meta, path }: CsvField,
  wording: Wording,
  record: () => object,
): CellRead {
  // What most figures count doesn't hang on the rest of the row, which then needn't be put together for it.
  const quantity = quantityAt(meta, typeof meta.quantity === 'function' ? record() : {}, path)
  if (!isUnit(quantity)) {
    const value = readNumber(cell)
    return value === null ? { unread: `${title}: “${cell}” is not a number` } : { value: snapped(value) }
  }
  const unit =
    unitInTitle(title, quantity) ?? (column.isFraction ? FRACTION : ownUnit(column, quantity, wording))
  const read = parseQuantity(cell, quantity, unit)
  return read.ok ? { value: snapped(read.si) } : { unread: `${title}: ${read.problem}` }
}

/**
 * What a cell says.
 *
 * @param title of its column in the file
 * @param record the row as far as it is known, for what hangs on other fields
 * @returns null where it says nothing
 */
export function readCell(
  field: CsvField,
  title: string,
  text: string,
  wording: Wording,
  record: () => object,
): CellRead | null {
  const { bare, meta } = field
  const raw = unguarded(text)
  const cell = raw.trim()
  // A note may be of blanks alone; anything else that is blank says nothing.
  if (isText(bare) ? raw === '' : cell === '') return null
  const choices = choicesOf(bare)
  if (choices) return readChoice(title, cell, choices, meta)
  const { type } = bare._zod.def
  if (type === 'boolean') return readYes(title, cell)
  if (type === 'array') return readNames(title, cell, field.column)
  if (type === 'number' || meta.quantity) return readFigure(title, cell, field, wording, record)
  return { value: isText(bare) ? raw : cell }
}
