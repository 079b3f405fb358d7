import { channelOf, type RunLog } from './RunLog'

/** What two pressures say of the brakes while they are on hard, Pa. */
export interface BrakesLogged {
  readonly front: number
  readonly rear: number
  /** s of hard braking that it is from. */
  readonly lasted: number
}

/** On hard is over such a part of the highest front pressure. */
const HARD = 0.6
/** Below that nobody brakes, Pa; less of it says nothing, s. */
const ON = 5e5
const LEAST = 1

/**
 * The two pressures of a log under hard braking: the middle of each.
 *
 * @returns null where one of them is missing, or nobody braked hard for a second
 * @source definition
 * @example brakesLogged(log) // null
 */
export function brakesLogged(log: RunLog): BrakesLogged | null {
  const [front, rear] = [channelOf(log, 'brakeFront'), channelOf(log, 'brakeRear')]
  if (!front || !rear) return null
  const most = front.reduce((m, p) => (p > m ? p : m), 0)
  const hard: number[] = []
  let lasted = 0
  front.forEach((pressure, i) => {
    if (pressure < Math.max(ON, HARD * most) || Number.isNaN(rear[i]!)) return
    hard.push(i)
    lasted += Math.min(1, Math.max(0, (log.time[i] ?? 0) - (log.time[i - 1] ?? log.time[i] ?? 0)))
  })
  if (lasted < LEAST) return null
  const middle = (values: Float32Array) =>
    hard.map((i) => values[i]!).sort((a, b) => a - b)[Math.floor(hard.length / 2)]!
  return { front: middle(front), rear: middle(rear), lasted }
}
