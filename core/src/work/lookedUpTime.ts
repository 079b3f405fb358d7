import { inCommon, type WorkingTime } from './workingTime'

const HOUR = 3600

/** Working time with a table that finds the stretch of any hour at once. */
export interface Looked {
  readonly time: WorkingTime
  readonly origin: number
  readonly byHour: Int32Array
}

/** A table is the same for all networks with the same hands: while a job is dragged, and for each plan that is tried. */
const TABLES = new WeakMap<WorkingTime, Looked>()
const TEAMS = new WeakMap<
  readonly WorkingTime[],
  { readonly from: number; readonly byTeam: Map<number, Looked> }
>()

/** When all of the first so many of a team are at work, by the bits of who they are. */
export function teamsOf(
  hands: readonly WorkingTime[],
  from: number,
): (team: Int32Array, size: number) => Looked {
  const known = TEAMS.get(hands)
  const { byTeam } = known?.from === from ? known : { byTeam: new Map<number, Looked>() }
  TEAMS.set(hands, { from, byTeam })
  return (team, size) => {
    let key = 0
    for (let i = 0; i < size; i += 1) key |= 1 << team[i]!
    const found = byTeam.get(key)
    if (found) return found
    const made = lookedUp(inCommon([...team.subarray(0, size)].map((hand) => hands[hand]!)), from)
    byTeam.set(key, made)
    return made
  }
}

export function lookedUp(time: WorkingTime, from: number): Looked {
  const known = TABLES.get(time)
  if (known?.origin === from) return known
  const { ends } = time
  const last = ends.at(-1) ?? from
  const hours = Math.max(1, Math.ceil((last - from) / HOUR) + 1)
  const byHour = new Int32Array(hours)
  let at = 0
  for (let hour = 0; hour < hours; hour += 1) {
    while (at < ends.length && ends[at]! <= from + hour * HOUR) at += 1
    byHour[hour] = at
  }
  const made = { time, origin: from, byHour }
  TABLES.set(time, made)
  return made
}

function stretchOf({ time: { ends }, origin, byHour }: Looked, moment: number): number {
  const hour = Math.floor((moment - origin) / HOUR)
  let at = hour < 0 ? 0 : hour < byHour.length ? byHour[hour]! : ends.length
  while (at < ends.length && ends[at]! <= moment) at += 1
  return at
}

/** As `workStart`. */
export function startOf(looked: Looked, ready: number): number {
  const at = stretchOf(looked, ready)
  const { starts } = looked.time
  return at === starts.length ? Infinity : Math.max(ready, starts[at]!)
}

/** As `workEnd`, of work that begins while somebody is there. */
export function endOf(looked: Looked, start: number, work: number): number {
  if (start === Infinity) return Infinity
  const { starts, ends } = looked.time
  let at = stretchOf(looked, start)
  if (at === ends.length) return Infinity
  // Array patterns are slow where they run a hundred million times.
  let left = work
  let from = start
  while (left > ends[at]! - from) {
    left -= ends[at]! - from
    at += 1
    if (at === ends.length) return Infinity
    from = starts[at]!
  }
  return from + left
}
