import type { RecordOf } from '@bold-ballast/contract'
import type { JobLine } from '@bold-ballast/model'

/** What a line says of a job, with the promise that it makes. */
export const jobOfLine = (
  { name, kind, workTime, shortTime, longTime, who, hands, after, parts, place }: JobLine,
  author: string,
): Pick<RecordOf<'job'>, 'name'> & Partial<RecordOf<'job'>> => ({
  name: name.slice(0, 120),
  kind,
  workTime,
  shortTime,
  longTime,
  who: [...who],
  hands,
  place,
  after: after.map((one) => one.id),
  parts: parts.map((one) => one.id),
  promised: workTime === null ? null : { time: workTime, by: who[0] ?? author },
})
