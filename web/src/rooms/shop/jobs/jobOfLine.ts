import type { RecordOf } from '@bold-ballast/contract'
import type { JobLine } from '@bold-ballast/model'

const SAYS = { person: 'by', part: 'needs', job: 'after' } as const

/** What a line says and nothing of it could be kept elsewhere. */
const noteOf = ({ said, unknown }: JobLine): string =>
  [...said, ...unknown.map(({ kind, name }) => `${SAYS[kind]} ${name}`)].join('; ').slice(0, 2000)

/** What a line says of a job, with the promise that it makes. */
export const jobOfLine = (
  line: JobLine,
  author: string,
): Pick<RecordOf<'job'>, 'name'> & Partial<RecordOf<'job'>> => {
  const { name, kind, workTime, shortTime, longTime, who, hands, after, parts, place } = line
  return {
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
    note: noteOf(line),
  }
}
