import type { Course, Outing } from '@bold-ballast/contract'

/** Days with a best lap on a course, the quickest first: days and courses go together by their names. */
export const lapsDriven = (
  outings: readonly Outing[],
  course: Pick<Course, 'name'>,
): (Outing & { readonly bestLap: number })[] =>
  outings
    .filter(
      (o): o is Outing & { bestLap: number } =>
        o.bestLap !== null && !o.planned && o.name.toLowerCase().includes(course.name.toLowerCase()),
    )
    .sort((a, b) => a.bestLap - b.bestLap)
