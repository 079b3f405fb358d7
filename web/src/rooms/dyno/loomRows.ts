import { RECORDS, type Sizing, USE } from '@bold-ballast/contract'
import { unitNamed, USES } from '@bold-ballast/core'
import { readTable, type CsvRead } from '../../ui/csvTable'

export type LoomCircuit = NonNullable<Sizing['electrics']>['circuits'][number]

const AMPERE = unitNamed('current', 'A')!
const METRE = unitNamed('length', 'm')!
const SQUARE = unitNamed('area', 'mm²')!

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

/**
 * Reads a loom from a CSV: the room's own, or one with a name, a current and a length on each row.
 *
 * @param newId makes an id for each circuit
 * @returns the circuits, and each bad row with its line and what would be right
 */
export const loomRows = (text: string, newId: () => string): CsvRead<LoomCircuit> =>
  readTable(
    text,
    COLUMNS,
    { name: 'circuit', current: 'draws (A)', length: 'one way (m)' },
    RECORDS.sizing.shape.electrics.unwrap().shape.circuits.element,
    ({ cell, figure, choice, yes }) => {
      const current = figure('current', 'current', AMPERE)
      const share = cell('duty').replace('%', '').trim()
      return {
        ...{ id: newId(), name: cell('name'), current },
        inrush: figure('inrush', 'current', AMPERE) ?? current,
        duty: share === '' ? 1 : Number(share.replace(',', '.')) / (cell('duty').includes('%') ? 100 : 1),
        use: choice('use', USES, USE) ?? 'running',
        length: figure('length', 'length', METRE),
        returnWire: yes('returnWire') ?? false,
        ...{ wireArea: figure('wireArea', 'area', SQUARE), fuse: figure('fuse', 'current', AMPERE) },
        channel: cell('channel') || null,
      }
    },
  )
