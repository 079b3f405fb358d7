import { JOB_KIND, JOB_PLACE } from '@bold-ballast/contract'
import type { JobLine } from '@bold-ballast/model'
import { hoursOf } from '@bold-ballast/words'

/** What was understood of a line, said back. */
export function understood(line: JobLine): string {
  const time =
    line.workTime === null
      ? 'no hours guessed'
      : line.shortTime !== null && line.longTime !== null
        ? `${hoursOf(line.workTime)}, from ${hoursOf(line.shortTime)} to ${hoursOf(line.longTime)}`
        : hoursOf(line.workTime)
  return [
    JOB_KIND[line.kind],
    time,
    line.who.length > 0 ? line.who.join(' and ') : 'whoever can',
    line.hands > 1 && `${line.hands} pairs of hands`,
    line.after.length > 0 && `after ${line.after.map((job) => `“${job.name}”`).join(' and ')}`,
    line.parts.length > 0 && `needs ${line.parts.map((part) => `“${part.name}”`).join(' and ')}`,
    line.said.length > 0 && `in its note: ${line.said.map((one) => `“${one}”`).join(', ')}`,
    line.place !== 'anywhere' && JOB_PLACE[line.place],
  ]
    .filter(Boolean)
    .join(' · ')
}
