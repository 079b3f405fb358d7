import { cornerMarks, lapTrace, type LogLaps, type RunLog } from '@bold-ballast/core'
import type { DayLine } from './dayLine'

const STEP = 5

/**
 * Least speeds of the quickest whole lap of a log by corner, m/s.
 *
 * @returns in the order of the line's corners, null for one that doesn't show; nothing for a log without a whole lap
 * @example leastSpeeds(line, logged) // []
 */
export function leastSpeeds(
  line: DayLine,
  { log, found }: { readonly log: RunLog; readonly found: LogLaps },
): (number | null)[] {
  const whole = found.laps.flatMap((lap, i) => (lap.torn ? [] : [{ i, time: lap.to - lap.from }]))
  const [first] = whole
  if (!first) return []
  const best = whole.reduce((a, b) => (b.time < a.time ? b : a), first)
  const trace = lapTrace(log, found, best.i, line.lap.length, STEP)
  return line.corners.map(({ from, to }) => cornerMarks(trace, [from, to])?.least ?? null)
}
