import type { RecordOf } from '../records/kinds'

type JobRecord = RecordOf<'job'>

/**
 * A job of which only its name is known: nobody has guessed, and it waits for nothing.
 *
 * @example newJob({ id, stageId, name: 'Drop the rear subframe', order: 0 })
 */
export const newJob = (
  own: Pick<JobRecord, 'id' | 'stageId' | 'name' | 'order'> & Partial<JobRecord>,
): JobRecord => ({
  kind: 'work',
  state: 'toDo',
  doneOn: null,
  workTime: null,
  shortTime: null,
  longTime: null,
  promised: null,
  hands: 1,
  who: [],
  after: [],
  waits: [],
  parts: [],
  cure: null,
  notBefore: null,
  canWait: false,
  place: 'anywhere',
  tools: '',
  group: '',
  operation: '',
  swapId: null,
  markId: null,
  spells: [],
  from: '',
  note: '',
  ...own,
})
