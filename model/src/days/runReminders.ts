import type { Run } from '@bold-ballast/contract'

export type RunCheck = Run['checks'][number]

/** Something to do after a run, by running time. */
export interface RunReminder {
  readonly check: RunCheck
  readonly why: string
}

/** Running after which wheel nuts are tightened, and levels looked at, s (common practice). */
const NUTS = 3600
const LEVELS = 1800
/** Shorter than that nothing gets hot, s. */
const HOT = 240

/** How long a run was, s: its laps, or else what was planned for it. */
export const ranFor = ({ laps, lasts }: Pick<Run, 'laps' | 'lasts'>): number => {
  const timed = laps.reduce((sum, lap) => sum + (lap.time ?? 0), 0)
  return timed > 0 ? timed : (lasts ?? 0)
}

/**
 * What is to be done after the last of some runs of a day, that wasn't yet: cooled down, nuts to torque after the first run
 * and each hour, what was undone for the change, levels each half hour.
 *
 * @param runs of the day that were driven, in their order; the last is the one that just ended
 * @source common practice
 * @example runReminders([]).length // 0
 */
export function runReminders(runs: readonly Run[]): RunReminder[] {
  const last = runs.at(-1)
  if (!last) return []
  const minutes = (seconds: number) => `${Math.round(seconds / 60)} min`
  /** Running since something was done last. */
  const since = (check: RunCheck): number => {
    const from = runs.findLastIndex((run) => run.checks.includes(check)) + 1
    return runs.slice(from).reduce((sum, run) => sum + ranFor(run), 0)
  }
  const isOpen = (check: RunCheck) => !last.checks.includes(check)
  const nuts = since('nuts')
  const isFirst = runs.length === 1
  const isNever = runs.every((run) => !run.checks.includes('nuts'))
  const all: (RunReminder | false)[] = [
    isOpen('cooledDown') &&
      ranFor(last) >= HOT && {
        check: 'cooledDown',
        why: `after ${minutes(ranFor(last))} on it: a slow lap, then the fan on and the handbrake off`,
      },
    isOpen('nuts') &&
      (isNever || nuts >= NUTS) && {
        check: 'nuts',
        why: isFirst
          ? 'after the first run of the day'
          : isNever
            ? 'nobody did today'
            : `after ${minutes(nuts)} since they were tightened`,
      },
    isOpen('touched') &&
      last.change !== '' && { check: 'touched', why: `it was undone for this run: ${last.change}` },
    isOpen('levels') &&
      since('levels') >= LEVELS && {
        check: 'levels',
        why: `after ${minutes(since('levels'))} since they were looked at`,
      },
  ]
  return all.filter((one): one is RunReminder => one !== false)
}
