import { quantileOf } from '../numeric/quantileOf'
import { randomBits } from '../numeric/randomBits'
import { drawDurations, durationsOf } from './durations'
import { goToEnd, teamTime } from './lookedUpTime'
import { usualPlan } from './priorities'
import { soonest } from './soonest'
import { takeNext } from './takeNext'
import type { WorkNetwork, WorkPlan } from './WorkNetwork'
import { allowFollowers, freeAgain, startAnew, workSchedule, type WorkSchedule } from './WorkSchedule'

/** Of ten cases one is earlier, half are, nine are; s, infinite for what isn't done in the time at hand. */
export interface Reach {
  readonly early: number
  readonly middle: number
  readonly late: number
}

/** What many ways that the work may go come to. */
export interface WorkOutcome {
  /** When each target is done, in each of the draws, s. */
  readonly finishes: readonly Float64Array[]
  /** Of each target, in which share of the draws each item decides when it is done. */
  readonly critical: readonly Float64Array[]
  readonly starts: readonly Reach[]
  readonly ends: readonly Reach[]
  /** Of each item, in which share of the draws each hand was at it. */
  readonly doneBy: readonly Float64Array[]
}

export interface WorkDraws {
  readonly draws: number
  readonly seed?: number
  readonly plan?: WorkPlan
  /** Told now and then how many more draws are done. */
  readonly onDraws?: (more: number) => void
}

/** Of so many draws the starts and ends of single items are kept. */
const KEPT = 300
const TOLD_EVERY = 250

/**
 * What many ways that the work may go come to: each draws how long everything lasts, then has whoever is free begin what is
 * ready, the most urgent first, and rests where nobody is at work. Same seed, same draws: what is changed shows by itself.
 *
 * Which item decides is traced back from the end of a target: the item or the hand that each one waited for last.
 *
 * @returns finishes of each target, how often each item decides it, and when each begins and ends
 * @throws {RangeError} where jobs wait for each other in a ring, or one needs more hands than there are
 * @source Van Slyke, “Monte Carlo methods and the PERT problem”, Operations Research 11 (1963) 839 (from memory); Giffler and Thompson,
 *   Operations Research 8 (1960) 487, for schedules in which nobody waits who could work
 * @example quantileOf(simulateWork(fourJobs, { draws: 4000 }).finishes[0].sort(), 0.5) / 3600 // 10.72
 */
export function simulateWork(
  network: WorkNetwork,
  { draws, seed = 1, plan = usualPlan(network), onDraws }: WorkDraws,
): WorkOutcome {
  const { items, targets, from } = network
  const schedule = workSchedule(network, plan)
  const { lasting, start, end, cause, hands } = schedule
  const durations = durationsOf(network)
  const ends = Array.from(targets, (target) => Int32Array.from(target))
  const kept = Math.min(draws, KEPT)
  const begun = rowsOf(items.length, kept)
  const done = rowsOf(items.length, kept)
  const finishes = rowsOf(targets.length, draws)
  const critical = rowsOf(targets.length, items.length)
  const doneBy = rowsOf(items.length, hands.length)
  const bits = randomBits(seed)
  for (let i = 0; i < draws; i += 1) {
    drawDurations(durations, bits, lasting)
    goThrough(schedule, doneBy, 1 / draws)
    for (let target = 0; target < targets.length; target += 1) {
      const last = doneLast(ends[target]!, end, from)
      finishes[target]![i] = last < 0 ? from : end[last]!
      for (let at = last; at >= 0; at = cause[at]!) critical[target]![at]! += 1 / draws
    }
    if (i < kept)
      for (let at = 0; at < items.length; at += 1) {
        begun[at]![i] = start[at]!
        done[at]![i] = end[at]!
      }
    if (onDraws && (i + 1) % TOLD_EVERY === 0) onDraws(TOLD_EVERY)
  }
  return { finishes, critical, starts: begun.map(reachOf), ends: done.map(reachOf), doneBy }
}

const rowsOf = (rows: number, length: number): Float64Array[] =>
  Array.from({ length: rows }, () => new Float64Array(length))

/** Which of some items is done last; -1 where none is done after a moment. */
function doneLast(items: Int32Array, end: Float64Array, moment: number): number {
  let done = moment
  let last = -1
  for (let i = 0; i < items.length; i += 1)
    if (end[items[i]!]! > done) {
      last = items[i]!
      done = end[last]!
    }
  return last
}

/** One way that the work may go: when each item begins and ends, and what it waited for; adds to who does it in which share. */
function goThrough(schedule: WorkSchedule, doneBy: readonly Float64Array[], share: number) {
  startAnew(schedule)
  const { crewOf, crews, ready, start, end, cause, team, teams, clock, free, lasting } = schedule
  while (schedule.open > 0) {
    const at = takeNext(schedule)
    schedule.open -= 1
    const crew = crews[crewOf[at]!]!
    // A crew of one that is free by then is who it was when that was looked at.
    if (crew.need === 1 && ready[at]! <= crew.free) {
      team[0] = crew.hand
      clock[0] = crew.free
    } else soonest(schedule, crew, at)
    start[at] = clock[0]!
    const { need } = crew
    goToEnd(clock, teamTime(teams, team, need), lasting, at)
    end[at] = clock[0]!
    let held = ready[at]!
    let mask = 0
    for (let j = 0; j < need; j += 1) {
      const hand = team[j]!
      if (free[hand]! > held) {
        held = free[hand]!
        cause[at] = schedule.lastOf[hand]!
      }
      mask |= 1 << hand
    }
    for (let j = 0; j < need; j += 1) {
      freeAgain(schedule, team[j]!, end[at], at)
      doneBy[at]![team[j]!]! += share
    }
    for (let j = 0; j < crews.length; j += 1) if (crews[j]!.mask & mask) crews[j]!.free = NaN
    allowFollowers(schedule, at)
  }
}

/**
 * Of ten cases one is earlier, half are, nine are.
 *
 * @example reachOf(Float64Array.of(3, 1, 2)) // { early: 1.2, middle: 2, late: 2.8 }
 */
export function reachOf(draws: Float64Array): Reach {
  const sorted = Float64Array.from(draws).sort()
  const of = (share: number) => {
    const value = quantileOf(sorted, share)
    // Between what is known and what never ends lies nothing that could be said.
    return Number.isNaN(value) ? Infinity : value
  }
  return { early: of(0.1), middle: of(0.5), late: of(0.9) }
}

/**
 * In which share of the draws a target is done by a moment.
 *
 * @example chanceBy(Float64Array.of(3, 1, 2, 5), 3) // 0.75
 */
export function chanceBy(finishes: Float64Array, moment: number): number {
  let made = 0
  for (const finish of finishes) if (finish <= moment) made += 1
  return finishes.length === 0 ? 1 : made / finishes.length
}
