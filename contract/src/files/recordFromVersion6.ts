import type { Kind } from '../records/kinds'

type Fields = Record<string, unknown>
const isFields = (value: unknown): value is Fields =>
  typeof value === 'object' && value !== null && !Array.isArray(value)

/** A record's group with what it lacks; left as it is where the record has no such group. */
const withGroup = (record: Fields, group: string, more: (inside: Fields) => Fields): Fields =>
  isFields(record[group]) ? { ...record, [group]: more(record[group]) } : record

const SEA_LEVEL = { pressure: 101_325, temperature: 288.15 }

/**
 * A record in the shape of version 6 of the build file, as one of version 7: what it lacks stands for what it meant
 * without it. A record that has it already is given back as it is.
 *
 * Records live on in files, in what was tried, in histories and in an outbox that waits: each comes over by this.
 *
 * @example recordFromVersion6('line', line) // { changedOn: null, …line }
 */
export function recordFromVersion6(kind: Kind, record: Fields): Fields {
  switch (kind) {
    case 'build':
      return { lean: null, ...record }
    case 'line':
      return { changedOn: null, ...record }
    case 'outing':
      return { quarterMile: null, topSpeed: null, ...record }
    case 'weighIn':
      return { scale: '', ...record }
    case 'drivetrain':
      return withGroup(record, 'drive', (drive) => ({ slide: null, ...drive }))
    case 'sizing':
      return withGroup(
        withGroup(record, 'cooling', (cooling) => ({ oilCoolerPlace: 'own', heatAhead: 0, ...cooling })),
        'air',
        (air) => withGroup(air, 'compressor', (compressor) => ({ reference: SEA_LEVEL, ...compressor })),
      )
    case 'sheetStock':
      return { coreShear: null, ...record }
    case 'seal':
      return withGroup(record, 'figures', (figures) => ({ expectedWrong: null, ...figures }))
    case 'branch':
      return Array.isArray(record['edits'])
        ? { ...record, edits: record['edits'].map((edit: unknown) => editFromVersion6(edit)) }
        : record
    default:
      return record
  }
}

/** The same for an edit, which holds a record where it puts one. */
export function editFromVersion6<T>(edit: T): T {
  if (!isFields(edit) || edit['op'] !== 'put' || !isFields(edit['record'])) return edit
  return { ...edit, record: recordFromVersion6(edit['kind'] as Kind, edit['record']) }
}
