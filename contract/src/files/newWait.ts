import type { RecordOf } from '../records/kinds'

type WaitRecord = RecordOf<'wait'>

/**
 * Something that is waited for and hasn't begun: for nobody knows how long.
 *
 * @example newWait({ id, stageId, name: 'Paint', kind: 'shop', order: 0 })
 */
export const newWait = (
  own: Pick<WaitRecord, 'id' | 'stageId' | 'name' | 'kind' | 'order'> & Partial<WaitRecord>,
): WaitRecord => ({
  supplier: '',
  after: [],
  givenOn: null,
  lasts: null,
  short: null,
  long: null,
  promisedFor: null,
  promisedFirst: null,
  backOn: null,
  cost: null,
  note: '',
  ...own,
})
