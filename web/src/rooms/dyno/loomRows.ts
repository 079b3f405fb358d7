import { RECORDS, type Sizing } from '@bold-ballast/contract'
import { parseQuantity, unitNamed, USES, type Quantity, type Unit } from '@bold-ballast/core'
import Papa from 'papaparse'
import { USE } from '../../words/names'

export type LoomCircuit = NonNullable<Sizing['electrics']>['circuits'][number]
export interface LoomRead {
  readonly circuits: LoomCircuit[]
  readonly bad: { readonly line: number; readonly problem: string }[]
}

const unitOf = (quantity: Quantity, symbol: string) => unitNamed(quantity, symbol)!
const AMPERE = unitOf('current', 'A')
const METRE = unitOf('length', 'm')
const SQUARE = unitOf('area', 'mm²')

/** What a column is called: its own name in the CSV that the room writes comes first. */
const COLUMNS = {
  name: /circuit|load|name/i,
  current: /^draws|^current|^running|\bamps?\b/i,
  inrush: /start|inrush|peak/i,
  duty: /share|duty/i,
  use: /when|use/i,
  length: /one way|length/i,
  returnWire: /return/i,
  wireArea: /^wire(?!.*advised)/i,
  fuse: /^fuse(?!.*advised)/i,
  channel: /output|channel/i,
} as const
type Column = keyof typeof COLUMNS

/**
 * Reads a loom from a CSV: the room's own, or one with a name, a current and a length on each row.
 *
 * @param newId makes an id for each circuit
 * @returns the circuits, and each bad row with its line and what would be right
 */
export function loomRows(text: string, newId: () => string): LoomRead {
  const rows = Papa.parse<string[]>(text.trim(), {}).data
  const header = rows[0] ?? []
  const at = Object.fromEntries(
    (Object.keys(COLUMNS) as Column[]).map((column) => [
      column,
      header.findIndex((t) => COLUMNS[column].test(t.trim())),
    ]),
  ) as Record<Column, number>
  const missing = (['name', 'current', 'length'] as const).filter((column) => at[column] < 0)
  if (missing.length > 0) {
    const words = { name: 'circuit', current: 'draws (A)', length: 'one way (m)' }
    const problem = `the first line lacks ${missing.map((m) => `“${words[m]}”`).join(' and ')}`
    return { circuits: [], bad: [{ line: 1, problem }] }
  }
  const circuits: LoomCircuit[] = []
  const bad: LoomRead['bad'][number][] = []
  rows.slice(1).forEach((cells, i) => {
    const line = i + 2
    if (cells.every((c) => c.trim() === '')) return
    const cell = (column: Column) => (at[column] < 0 ? '' : (cells[at[column]] ?? '').trim())
    const problems: string[] = []
    const figure = (column: Column, quantity: Quantity, unit: Unit): number | null => {
      if (cell(column) === '') return null
      const read = parseQuantity(cell(column), quantity, unit)
      if (!read.ok) problems.push(`${header[at[column]]}: ${read.problem}`)
      return read.ok ? read.si : null
    }
    const current = figure('current', 'current', AMPERE)
    const share = cell('duty').replace('%', '').trim()
    const duty = share === '' ? 1 : Number(share.replace(',', '.')) / (cell('duty').includes('%') ? 100 : 1)
    const record = {
      ...{
        id: newId(),
        name: cell('name'),
        current,
        inrush: figure('inrush', 'current', AMPERE) ?? current,
        duty,
      },
      use: USES.find((u) => u === cell('use') || USE[u] === cell('use')) ?? 'running',
      ...{
        length: figure('length', 'length', METRE),
        returnWire: /^(yes|true|1)$/i.test(cell('returnWire')),
      },
      ...{ wireArea: figure('wireArea', 'area', SQUARE), fuse: figure('fuse', 'current', AMPERE) },
      channel: cell('channel') || null,
    }
    if (problems.length === 0) {
      const whole = RECORDS.sizing.shape.electrics.unwrap().shape.circuits.element.safeParse(record)
      if (whole.success) return void circuits.push(whole.data)
      const [issue] = whole.error.issues
      problems.push(`${String(issue!.path[0])}: ${issue!.message}`)
    }
    bad.push({ line, problem: problems.join('; ') })
  })
  return { circuits, bad }
}
