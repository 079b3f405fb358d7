import type { BuildDocument } from '@bold-ballast/contract'
import { runsOf } from './runsOf'
import { timesThatCount } from './timedOutings'

/** What a set of tyres has been through, and what it gave as it went. */
export interface TyreSet {
  readonly name: string
  readonly laps: number
  /** Runs on it: each is once from cold to hot and back. */
  readonly cycles: number
  /** Laps on it before each run, and the median lap of that run, s, by course; in the order in which they were driven. */
  readonly runs: readonly {
    readonly date: string
    readonly courseId: string | null
    readonly before: number
    readonly median: number
  }[]
}

/**
 * Sets of tyres by their names, over all days that were driven. Laps before the first run are what somebody said were on
 * them then.
 *
 * @example tyreSets(document)[0].cycles // 1
 */
export function tyreSets(document: Pick<BuildDocument, 'outings' | 'runs'>): TyreSet[] {
  const sets = new Map<string, { laps: number; cycles: number; runs: TyreSet['runs'][number][] }>()
  for (const day of [...document.outings].sort((a, b) => a.date.localeCompare(b.date)))
    for (const run of runsOf(document, day.id)) {
      if (run.planned || run.tyres === '') continue
      const set = sets.get(run.tyres) ?? { laps: 0, cycles: 0, runs: [] }
      sets.set(run.tyres, set)
      const before = run.tyreLaps ?? set.laps
      const times = timesThatCount(run).sort((a, b) => a - b)
      const median = times[Math.floor(times.length / 2)]
      if (median !== undefined) set.runs.push({ date: day.date, courseId: day.courseId, before, median })
      set.laps = before + run.laps.length
      set.cycles += 1
    }
  return [...sets].map(([name, set]) => ({ name, ...set }))
}
