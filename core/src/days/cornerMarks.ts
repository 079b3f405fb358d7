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
/** Slowing that pauses for longer than that was for something else; so was what ended farther before the least speed, m. */
const PAUSE = 20
const BEFORE = 60
/** A corner is driven at its least speed from within that of it, m/s. */
const NEAR_LEAST = 1

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
  // Where it has come down to the least, and from there back to where it last gained: there the slowing began.
  let slowed = first
  while (slowed < least && speed[slowed]! > speed[least]! + NEAR_LEAST) slowed += 1
  let begun: number | null = null
  for (let i = slowed; i > 0; i -= 1) {
    const lost = (speed[i - 1]! ** 2 - speed[i]! ** 2) / (2 * step)
    if (lost > SLOWS) begun = i - 1
    else if ((begun === null ? (slowed - i) * step - BEFORE : (begun - i) * step - PAUSE) > 0) break
  }
  return {
    braking: begun === null ? null : begun * step,
    entry: speed[begun ?? first]!,
    least: speed[least]!,
    leastAt: least * step,
    time: time[last]! - time[first]!,
  }
}
