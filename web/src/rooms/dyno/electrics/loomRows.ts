import { RECORDS, type Sizing } from '@bold-ballast/contract'
import { METRIC } from '@bold-ballast/core'
import { csvList, type CsvRead, type MoreColumns } from '@bold-ballast/words'

export type LoomCircuit = NonNullable<Sizing['electrics']>['circuits'][number]

const circuit = RECORDS.sizing.shape.electrics.unwrap().shape.circuits.element
const LIST = csvList<LoomCircuit>(circuit, {
  name: { title: 'circuit', reads: /circuit|load|name/i, isWanted: true },
  current: { title: 'draws (A)', reads: /^draws|^current|^running|\bamps?\b/i, unit: 'A', isWanted: true },
  inrush: { title: 'at the start (A)', reads: /start|inrush|peak/i, unit: 'A' },
  duty: { title: 'share of the time', reads: /share|duty/i, isFraction: true },
  use: { title: 'when', reads: /when|use/i },
  length: { title: 'one way (m)', reads: /one way|length/i, unit: 'm', isWanted: true },
  returnWire: { title: 'return wire', reads: /return/i },
  wireArea: { title: 'wire (mm²)', reads: /^wire(?!.*advised)/i, unit: 'mm²' },
  fuse: { title: 'fuse (A)', reads: /^fuse(?!.*advised)/i, unit: 'A' },
  channel: { title: 'output', reads: /output|channel/i },
})

/**
 * Reads a loom from a CSV: the room's own, or one with a name, a current and a length on each row.
 *
 * @param newId makes an id for each circuit
 * @returns the circuits, and each bad row with its line and what would be right
 */
export const loomRows = (text: string, newId: () => string): CsvRead<LoomCircuit> =>
  LIST.read(text, { units: METRIC }, ({ get, fields }) => ({
    id: newId(),
    name: '',
    inrush: get('current'),
    duty: 1,
    use: 'running',
    returnWire: false,
    wireArea: null,
    fuse: null,
    channel: null,
    ...fields,
  }))

/** The same columns, written; with what follows from them. */
export const loomCsv = (circuits: readonly LoomCircuit[], more: MoreColumns<LoomCircuit>): string =>
  LIST.write(circuits, { units: METRIC }, more)
