import { inCommon, type WorkingTime } from './workingTime'

const HOUR = 3600

/** Working time with a table that finds the stretch of any hour at once. */
export interface Looked {
  readonly starts: Float64Array
  readonly ends: Float64Array
  readonly origin: number
  readonly byHour: Int32Array
}

/** A table is the same for all networks with the same hands: while a job is dragged, and for each plan that is tried. */
const TABLES = new WeakMap<WorkingTime, Looked>()
const TEAMS = new WeakMap<readonly WorkingTime[], Teams>()

/** When some are at work together, by the bits of who they are. */
export interface Teams {
  readonly hands: readonly WorkingTime[]
  readonly from: number
  readonly byTeam: (Looked | undefined)[]
}

export function teamsOf(hands: readonly WorkingTime[], from: number): Teams {
  const known = TEAMS.get(hands)
  if (known?.from === from) return known
  const made = { hands, from, byTeam: [] }
  TEAMS.set(hands, made)
  return made
}

/** When all of the first so many of a team are at work. */
export function teamTime({ hands, from, byTeam }: Teams, team: Int32Array, size: number): Looked {
  let key = 0
  for (let i = 0; i < size; i += 1) key |= 1 << team[i]!
  const found = byTeam[key]
  if (found) return found
  const made = lookedUp(inCommon([...team.subarray(0, size)].map((hand) => hands[hand]!)), from)
  byTeam[key] = made
  return made
}

export function lookedUp(time: WorkingTime, from: number): Looked {
  const known = TABLES.get(time)
  if (known?.origin === from) return known
  const { starts, ends } = time
  const last = ends.at(-1) ?? from
  const hours = Math.max(1, Math.ceil((last - from) / HOUR) + 1)
  const byHour = new Int32Array(hours)
  let at = 0
  for (let hour = 0; hour < hours; hour += 1) {
    while (at < ends.length && ends[at]! <= from + hour * HOUR) at += 1
    byHour[hour] = at
  }
  const made = { starts, ends, origin: from, byHour }
  TABLES.set(time, made)
  return made
}

function stretchOf({ ends, origin, byHour }: Looked, moment: number): number {
  const hour = Math.floor((moment - origin) / HOUR)
  let at = hour < 0 ? 0 : hour < byHour.length ? byHour[hour]! : ends.length
  while (at < ends.length && ends[at]! <= moment) at += 1
  return at
}

/** A moment that is handed to and fro: a number that a function takes or returns is wrapped anew each time. */
export type Clock = Float64Array

/** As `workStart`: the clock goes on from when something is ready to when it begins. */
export function goToStart(clock: Clock, looked: Looked): void {
  const at = stretchOf(looked, clock[0]!)
  const { starts } = looked
  if (at === starts.length) clock[0] = Infinity
  else if (starts[at]! > clock[0]!) clock[0] = starts[at]!
}

/**
 * As `workEnd`: the clock goes on from when something begins, while somebody is there, to when it is done.
 *
 * @param lasting of each item, s of work
 */
export function goToEnd(clock: Clock, looked: Looked, lasting: Float64Array, item: number): void {
  if (clock[0] === Infinity) return
  const { starts, ends } = looked
  let at = stretchOf(looked, clock[0]!)
  if (at === ends.length) {
    clock[0] = Infinity
    return
  }
  let left = lasting[item]!
  let from = clock[0]!
  while (left > ends[at]! - from) {
    left -= ends[at]! - from
    at += 1
    if (at === ends.length) {
      clock[0] = Infinity
      return
    }
    from = starts[at]!
  }
  clock[0] = from + left
}
