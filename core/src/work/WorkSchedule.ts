import { crewsOf, type Crew } from './crewsOf'
import { goToStart, lookedUp, teamsOf, type Clock, type Looked, type Teams } from './lookedUpTime'
import { meanLasting } from './lastsOf'
import { inOrder } from './priorities'
import { heapPush } from './rankedHeap'
import type { WorkItem, WorkNetwork, WorkPlan } from './WorkNetwork'

/** Lists of numbers as one, with the place at which each begins. */
interface Packed {
  readonly begins: Int32Array
  readonly all: Int32Array
}

/**
 * One way that the work may go, while it is worked out: what stays the same in all of them, and what becomes of each item and
 * hand. It stands in arrays that are written over, and is handed to functions, not closed over by them: this runs a hundred
 * million times, and what a browser has compiled for one network is then as good for the next.
 */
export interface WorkSchedule {
  readonly from: number
  /** Items that nothing comes before. */
  readonly first: Int32Array
  readonly before: Packed
  readonly follow: Packed
  /** What comes before each item, counted. */
  readonly beforeCount: Int32Array
  readonly cures: Float64Array
  readonly earliest: Float64Array
  /** How long each lasts on the average, s. */
  readonly means: Float64Array
  readonly urgency: Float64Array
  readonly isPatient: boolean
  readonly crews: readonly Crew[]
  /** Of each item the place of its crew; -1 for none. */
  readonly crewOf: Int32Array
  readonly hands: readonly Looked[]
  readonly teams: Teams

  /** How long each item lasts this time, s. */
  readonly lasting: Float64Array
  readonly ready: Float64Array
  readonly start: Float64Array
  readonly end: Float64Array
  /** The item that each one waited for last; -1 for none. */
  readonly cause: Int32Array
  /** How much of what comes before each item isn't done. */
  readonly left: Int32Array
  /** When each hand is done with what it is at, and when it is at work again. */
  readonly free: Float64Array
  readonly freeStart: Float64Array
  /** What each hand was at last; -1 for nothing. */
  readonly lastOf: Int32Array
  /** Who would do what is looked at; and while teams are compared, the best yet, when they begin, and when so many are free. */
  readonly team: Int32Array
  readonly bestTeam: Int32Array
  readonly found: Float64Array
  readonly moments: Float64Array
  readonly clock: Clock
  /** How many items wait for hands. */
  open: number
}

const MOST_HANDS = 24

/** How many hands an item lacks; none, or less, where it can be done. */
const shortOf = ({ hands, named, able }: WorkItem): number =>
  hands - Math.max(named.length, new Set([...named, ...able]).size)

function packed(lists: readonly (readonly number[])[]): Packed {
  const begins = new Int32Array(lists.length + 1)
  lists.forEach((list, i) => (begins[i + 1] = begins[i]! + list.length))
  return { begins, all: Int32Array.from(lists.flat()) }
}

/**
 * A network made ready to be worked through again and again.
 *
 * @throws {RangeError} where jobs wait for each other in a ring, or one needs more hands than there are
 * @example workSchedule(fourJobs, usualPlan(fourJobs)).first.length // 1
 */
export function workSchedule(network: WorkNetwork, { urgency, isPatient }: WorkPlan): WorkSchedule {
  const { items, records, from, hands } = network
  const count = items.length
  const order = inOrder(items.map((i) => i.after))
  if (hands) {
    if (hands.length > MOST_HANDS) throw new RangeError(`at most ${MOST_HANDS} hands can be planned with`)
    const short = items.findIndex((item) => shortOf(item) > 0)
    if (short >= 0) throw new RangeError(`item ${short} needs more hands than there are who can do it`)
  }
  const followers: number[][] = items.map(() => [])
  items.forEach((item, at) => item.after.forEach((one) => followers[one]!.push(at)))
  const ready = new Float64Array(count)
  const { crews, crewOf } = crewsOf(network, ready, urgency)
  const there = hands ?? []
  return {
    from,
    first: Int32Array.from(order.filter((at) => items[at]!.after.length === 0)),
    before: packed(items.map((item) => item.after)),
    follow: packed(followers),
    beforeCount: Int32Array.from(items, (item) => item.after.length),
    cures: Float64Array.from(items, (item) => item.cure),
    earliest: Float64Array.from(items, (item) => Math.max(from, item.notBefore)),
    means: Float64Array.from(items, (item) => meanLasting(item.lasts, records)),
    urgency,
    isPatient,
    crews,
    crewOf,
    hands: Array.from(there, (time) => lookedUp(time, from)),
    teams: teamsOf(there, from),
    lasting: new Float64Array(count),
    ready,
    start: new Float64Array(count),
    end: new Float64Array(count),
    cause: new Int32Array(count),
    left: new Int32Array(count),
    free: new Float64Array(there.length),
    freeStart: new Float64Array(there.length),
    lastOf: new Int32Array(there.length),
    team: new Int32Array(MOST_HANDS),
    bestTeam: new Int32Array(MOST_HANDS),
    found: new Float64Array(1),
    moments: new Float64Array(MOST_HANDS + 1),
    clock: new Float64Array(1),
    open: 0,
  }
}

/** When all that comes before an item is done, and which of it was last. */
function makeReady({ before, earliest, end, cures, ready, cause }: WorkSchedule, at: number) {
  let moment = earliest[at]!
  let last = -1
  for (let i = before.begins[at]!; i < before.begins[at + 1]!; i += 1) {
    const one = before.all[i]!
    const done = end[one]! + cures[one]!
    if (done > moment) {
      moment = done
      last = one
    }
  }
  ready[at] = moment
  cause[at] = last
}

/**
 * An item of which all that comes before it is done: it waits for its crew; what passes by itself passes.
 *
 * @example const so = workSchedule(fourJobsAlone, usualPlan(fourJobsAlone)); arrive(so, 0); so.open // 1
 */
export function arrive(schedule: WorkSchedule, at: number): void {
  makeReady(schedule, at)
  const crew = schedule.crewOf[at]!
  if (crew >= 0) {
    heapPush(schedule.crews[crew]!.waiting, at)
    schedule.open += 1
    return
  }
  schedule.start[at] = schedule.ready[at]!
  schedule.end[at] = schedule.ready[at]! + schedule.lasting[at]!
  allowFollowers(schedule, at)
}

/**
 * What comes after an item that is done: each arrives once nothing else is left before it.
 *
 * @example const so = workSchedule(fourJobs, usualPlan(fourJobs)); allowFollowers(so, 0); so.left[2] // -1
 */
export function allowFollowers(schedule: WorkSchedule, at: number): void {
  const { follow, left } = schedule
  for (let i = follow.begins[at]!; i < follow.begins[at + 1]!; i += 1) {
    const next = follow.all[i]!
    left[next]! -= 1
    if (left[next] === 0) arrive(schedule, next)
  }
}

/**
 * A hand that is done with something: when it is at work again.
 *
 * @example const so = workSchedule(fourJobsAlone, usualPlan(fourJobsAlone)); freeAgain(so, 0, 60, -1); so.freeStart[0] // 60
 */
export function freeAgain(
  { free, freeStart, lastOf, clock, hands }: WorkSchedule,
  hand: number,
  moment: number,
  item: number,
): void {
  free[hand] = moment
  clock[0] = moment
  goToStart(clock, hands[hand]!)
  freeStart[hand] = clock[0]!
  lastOf[hand] = item
}

/**
 * Nothing is begun, everybody is free.
 *
 * @example const so = workSchedule(fourJobsAlone, usualPlan(fourJobsAlone)); startAnew(so); so.open // 1
 */
export function startAnew(schedule: WorkSchedule): void {
  const { left, beforeCount, crews, first, hands, from } = schedule
  left.set(beforeCount)
  for (let hand = 0; hand < hands.length; hand += 1) freeAgain(schedule, hand, from, -1)
  for (const crew of crews) {
    crew.free = NaN
    crew.ready.size = 0
    crew.waiting.size = 0
  }
  schedule.open = 0
  for (let i = 0; i < first.length; i += 1) arrive(schedule, first[i]!)
}
