import type { BuildDocument, Outing, Run } from '@bold-ballast/contract'

/** Laps of a run that count, with their sectors: timed, and neither in-lap, out-lap, traffic nor error. */
export const lapsThatCount = ({
  laps,
  planned,
}: Pick<Run, 'laps' | 'planned'>): { readonly time: number; readonly sectors: readonly number[] }[] =>
  planned
    ? []
    : laps.flatMap(({ is, time, sectors }) => (is === 'counts' && time !== null ? [{ time, sectors }] : []))

/** Their times, s. */
export const timesThatCount = (run: Pick<Run, 'laps' | 'planned'>): number[] =>
  lapsThatCount(run).map((lap) => lap.time)

const kept = new WeakMap<
  readonly Outing[],
  { readonly runs: readonly Run[]; readonly timed: readonly Outing[] }
>()

/**
 * Days with the best lap that their runs show, where one of these is quicker than what was typed for the day.
 *
 * @example timedOutings(document)[0].bestLap // 41.2
 */
export function timedOutings({ outings, runs }: Pick<BuildDocument, 'outings' | 'runs'>): readonly Outing[] {
  const before = kept.get(outings)
  if (before?.runs === runs) return before.timed
  const best = new Map<string, number>()
  for (const run of runs)
    for (const time of timesThatCount(run))
      best.set(run.outingId, Math.min(time, best.get(run.outingId) ?? Infinity))
  const timed = outings.map((outing) => {
    const driven = best.get(outing.id)
    return driven === undefined
      ? outing
      : { ...outing, bestLap: Math.min(driven, outing.bestLap ?? Infinity) }
  })
  kept.set(outings, { runs, timed })
  return timed
}

/** Whether a day was on a course: it names it, or is called after it. */
export const isOn = (
  { courseId, name }: Pick<Outing, 'courseId' | 'name'>,
  course: { readonly id: string; readonly name: string },
): boolean =>
  courseId === null ? name.toLowerCase().includes(course.name.toLowerCase()) : courseId === course.id
