import type { Crew } from './crewsOf'
import { goToStart, teamTime } from './lookedUpTime'
import type { WorkSchedule } from './WorkSchedule'

/**
 * Has the clock stand at when the hands of a crew could begin an item soonest; who they are stands in the team.
 *
 * @param item -1 for anything that is ready already
 * @source Giffler and Thompson, Operations Research 8 (1960) 487
 * @example const so = workSchedule(fourJobsAlone, usualPlan(fourJobsAlone)); startAnew(so); soonest(so, so.crews[0], 0); so.clock[0] // 0
 */
export function soonest(schedule: WorkSchedule, { need, named, able }: Crew, item: number): void {
  const { from, ready, team, free, freeStart, clock, teams, hands } = schedule
  let size = 0
  let moment = item < 0 ? from : ready[item]!
  for (let i = 0; i < named.length; i += 1) {
    const hand = named[i]!
    team[size] = hand
    size += 1
    if (free[hand]! > moment) moment = free[hand]!
  }
  while (size < need) {
    let best = -1
    let bestAt = Infinity
    for (let i = 0; i < able.length; i += 1) {
      const hand = able[i]!
      let isTaken = false
      for (let j = 0; j < size; j += 1) isTaken ||= team[j] === hand
      if (isTaken) continue
      if (size === 0 && freeStart[hand]! >= moment) clock[0] = freeStart[hand]!
      else {
        team[size] = hand
        clock[0] = free[hand]! > moment ? free[hand]! : moment
        goToStart(clock, size === 0 ? hands[hand]! : teamTime(teams, team, size + 1))
      }
      if (best < 0 || clock[0]! < bestAt) {
        best = hand
        bestAt = clock[0]!
      }
    }
    team[size] = best
    size += 1
    if (free[best]! > moment) moment = free[best]!
  }
  const hand = team[0]!
  if (size === 1 && freeStart[hand]! >= moment) clock[0] = freeStart[hand]!
  else {
    clock[0] = moment
    goToStart(clock, size === 1 ? hands[hand]! : teamTime(teams, team, size))
  }
}

/**
 * Before that moment the hands of a crew can’t be free, s.
 *
 * @example const so = workSchedule(fourJobsAlone, usualPlan(fourJobsAlone)); startAnew(so); notBefore(so, so.crews[0]) // 0
 */
export function notBefore({ from, freeStart }: WorkSchedule, { need, named, able }: Crew): number {
  let latest = from
  for (let i = 0; i < named.length; i += 1) latest = Math.max(latest, freeStart[named[i]!]!)
  if (named.length === need) return latest
  let first = Infinity
  let second = Infinity
  for (let i = 0; i < able.length; i += 1) {
    const begins = freeStart[able[i]!]!
    if (begins < first) {
      second = first
      first = begins
    } else if (begins < second) second = begins
  }
  return Math.max(latest, need - named.length === 1 ? first : second)
}
