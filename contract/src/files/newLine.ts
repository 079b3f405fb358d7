import type { RecordOf } from '../records/kinds'

type LineRecord = RecordOf<'line'>

/**
 * A line of the ledger of which only the main things are known: one piece, still to be done, at no place yet.
 *
 * @example newLine({ id, swapId, kind: 'off', name: 'Rear seat', system: 'interior', mass: 12, grade: 'guess', order: 0 })
 */
export const newLine = (
  own: Pick<LineRecord, 'id' | 'swapId' | 'kind' | 'name' | 'system' | 'mass' | 'grade' | 'order'> &
    Partial<LineRecord>,
): LineRecord => ({
  sigma: null,
  quantity: 1,
  fitted: false,
  changedOn: null,
  position: null,
  movedTo: null,
  role: 'part',
  weighing: null,
  fate: 'unsaid',
  liesAt: '',
  soldFor: null,
  fromLine: null,
  source: '',
  said: null,
  alsoAt: [],
  ...own,
})
