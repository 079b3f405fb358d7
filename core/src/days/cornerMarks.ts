import type { LoggedTrace } from './lapTrace'

/** What a driver did at a corner: speeds in m/s, places in m along the lap; null where it doesn't show. */
export interface CornerMarks {
  /** Where the car began to slow for it, and how fast it was there. */
  readonly braking: number | null
  readonly entry: number
  readonly least: number
  readonly leastAt: number
  /** s from where the corner begins to where it ends. */
  readonly time: number
}

/** It slows for a corner where it loses more than that, m/s². */
const SLOWS = 2

/**
 * Braking point, least and top speed at a corner of a logged lap.
 *
 * @param corner from and to, m along the lap
 * @returns null for a log without speeds
 * @source common practice: braking begins where the car slows by more than 0.2 g before the corner
 * @example cornerMarks(trace, [100, 150])?.least // 20
 */
export function cornerMarks(trace: LoggedTrace, [from, to]: readonly [number, number]): CornerMarks | null {
  const speed = trace.channels.get('speed')
  if (!speed) return null
  const { step, time } = trace
  const place = (at: number) => Math.min(speed.length - 1, Math.max(0, Math.round(at / step)))
  const [first, last] = [place(from), place(to)]
  let least = first
  for (let i = first; i <= last; i += 1) if (speed[i]! < speed[least]!) least = i
  // From the least speed back to where it last gained: there the slowing began.
  let begun: number | null = null
  for (let i = least; i > 0; i -= 1) {
    const lost = (speed[i - 1]! ** 2 - speed[i]! ** 2) / (2 * step)
    if (lost > SLOWS) begun = i - 1
    else if (begun !== null && lost < 0) break
  }
  return {
    braking: begun === null ? null : begun * step,
    entry: speed[begun ?? first]!,
    least: speed[least]!,
    leastAt: least * step,
    time: time[last]! - time[first]!,
  }
}
