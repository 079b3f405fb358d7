import type { Course, Outing } from '@bold-ballast/contract'
import { isOn } from '../days/timedOutings'

/** Days with a best lap on a course, the quickest first: a day names its course, or is called after it. */
export const lapsDriven = (
  outings: readonly Outing[],
  course: Pick<Course, 'id' | 'name'>,
): (Outing & { readonly bestLap: number })[] =>
  outings
    .filter((o): o is Outing & { bestLap: number } => o.bestLap !== null && !o.planned && isOn(o, course))
    .sort((a, b) => a.bestLap - b.bestLap)
