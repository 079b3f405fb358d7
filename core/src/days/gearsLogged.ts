import { channelOf, type RunLog } from './RunLog'

/** How long a gear was in, and how fast the engine turned in it. */
export interface GearLogged {
  /** Counted from 1. */
  readonly gear: number
  /** s */
  readonly lasted: number
  /** Of the whole time in any gear, 0 to 1. */
  readonly share: number
  /** rad/s; null where it wasn't logged */
  readonly fastest: number | null
}

/** A gear is in whose ratio comes within that of what engine and road say. */
const NEAR = 0.06

/**
 * Gears that were used: as they were logged, or by engine speed over road speed where they weren't.
 *
 * @param overalls ratio of engine to wheels of each gear, the first first, and the rolling radius, m; null where nobody knows
 * @returns the lowest first; nothing for a log that says neither
 * @source definition
 * @example gearsLogged(log, null).length // 0
 */
export function gearsLogged(
  log: RunLog,
  gearing: { readonly overalls: readonly number[]; readonly radius: number } | null,
): GearLogged[] {
  const [gear, turning, speed] = (['gear', 'engineSpeed', 'speed'] as const).map((role) =>
    channelOf(log, role),
  )
  const inGear = (i: number): number | null => {
    const logged = gear?.[i]
    if (logged !== undefined) return Number.isInteger(logged) && logged > 0 ? logged : null
    const [w, v] = [turning?.[i] ?? NaN, speed?.[i] ?? NaN]
    if (!gearing || !(w > 0) || !(v > 1)) return null
    const overall = (w * gearing.radius) / v
    const nearest = gearing.overalls.reduce(
      (best, one, at) => (Math.abs(one - overall) < Math.abs(gearing.overalls[best]! - overall) ? at : best),
      0,
    )
    return Math.abs(gearing.overalls[nearest]! / overall - 1) < NEAR ? nearest + 1 : null
  }
  const found = new Map<number, { lasted: number; fastest: number | null }>()
  let all = 0
  for (let i = 1; i < log.time.length; i += 1) {
    const at = inGear(i)
    const step = log.time[i]! - log.time[i - 1]!
    if (at === null || !(step > 0) || step > 1) continue
    const one = found.get(at) ?? { lasted: 0, fastest: null }
    const w = turning?.[i] ?? NaN
    found.set(at, {
      lasted: one.lasted + step,
      fastest: Number.isNaN(w) ? one.fastest : Math.max(w, one.fastest ?? 0),
    })
    all += step
  }
  return [...found]
    .sort(([a], [b]) => a - b)
    .map(([at, one]) => ({ gear: at, ...one, share: one.lasted / all }))
}
