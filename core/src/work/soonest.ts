import type { Crew } from './crewsOf'
import { goToStart, teamTime } from './lookedUpTime'
import type { WorkSchedule } from './WorkSchedule'

/** Looks at those who are able, from a place on, as the next of a team; keeps the first of those that begin soonest. */
function widen(schedule: WorkSchedule, crew: Crew, size: number, first: number) {
  const { need, able } = crew
  const { team, bestTeam, moments, free, clock, teams } = schedule
  for (let i = first; i <= able.length - need + size; i += 1) {
    const hand = able[i]!
    team[size] = hand
    const moment = free[hand]! > moments[size]! ? free[hand]! : moments[size]!
    clock[0] = moment
    goToStart(clock, teamTime(teams, team, size + 1))
    // Whoever else joins them, they don't begin sooner.
    if (clock[0] >= schedule.found[0]!) continue
    if (size + 1 < need) {
      moments[size + 1] = moment
      widen(schedule, crew, size + 1, i + 1)
      continue
    }
    schedule.found[0] = clock[0]
    for (let j = 0; j < need; j += 1) bestTeam[j] = team[j]!
  }
}

/**
 * Has the clock stand at when the hands of a crew could begin an item soonest; who they are stands in the team.
 *
 * @param item -1 for anything that is ready already
 * @source Giffler and Thompson, Operations Research 8 (1960) 487
 * @example const so = workSchedule(fourJobsAlone, usualPlan(fourJobsAlone)); startAnew(so); soonest(so, so.crews[0], 0); so.clock[0] // 0
 */
export function soonest(schedule: WorkSchedule, crew: Crew, item: number): void {
  const { from, ready, team, bestTeam, moments, found, free, freeStart, clock, teams, hands } = schedule
  const { need, named, able } = crew
  let moment = item < 0 ? from : ready[item]!
  if (need === 1 && named.length === 0) {
    let best = -1
    let bestAt = Infinity
    for (let i = 0; i < able.length; i += 1) {
      const hand = able[i]!
      if (freeStart[hand]! >= moment) clock[0] = freeStart[hand]!
      else {
        clock[0] = moment
        goToStart(clock, hands[hand]!)
      }
      if (best < 0 || clock[0] < bestAt) {
        best = hand
        bestAt = clock[0]
      }
    }
    team[0] = best
    clock[0] = bestAt
    return
  }
  const size = named.length
  for (let i = 0; i < size; i += 1) {
    const hand = named[i]!
    team[i] = hand
    if (free[hand]! > moment) moment = free[hand]!
  }
  if (size === need) {
    clock[0] = moment
    goToStart(clock, teamTime(teams, team, size))
    return
  }
  for (let i = 0; i < need; i += 1) bestTeam[i] = i < size ? named[i]! : able[i - size]!
  found[0] = Infinity
  moments[size] = moment
  widen(schedule, crew, size, 0)
  for (let i = 0; i < need; i += 1) team[i] = bestTeam[i]!
  clock[0] = found[0]
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
