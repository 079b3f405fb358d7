import type { RecordOf } from '../records/kinds'

type PartRecord = RecordOf<'part'>

/**
 * A part to come of which only its name is known: one new piece, wanted, and nobody has asked what it costs.
 *
 * @example newPart({ id, stageId, name: 'Fuel cell', system: 'fuel', order: 0 })
 */
export const newPart = (
  own: Pick<PartRecord, 'id' | 'stageId' | 'name' | 'system' | 'order'> & Partial<PartRecord>,
): PartRecord => ({
  purpose: 'other',
  state: 'wanted',
  quantity: 1,
  came: null,
  supplier: '',
  condition: 'new',
  price: null,
  priceGrade: 'guess',
  orderedOn: null,
  promisedFor: null,
  promisedFirst: null,
  arrivedOn: null,
  lead: null,
  lineId: null,
  componentId: null,
  findings: [],
  note: '',
  ...own,
})
