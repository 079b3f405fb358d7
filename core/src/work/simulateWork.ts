import { normalPair } from '../numeric/normalPair'
import { quantileOf } from '../numeric/quantileOf'
import { randomBits } from '../numeric/randomBits'
import { endOf, lookedUp, startOf, teamsOf, type Looked } from './lookedUpTime'
import { inOrder, meanLasting, usualPlan } from './priorities'
import { drawRatio } from './promiseRatio'
import { rankedHeap, type RankedHeap } from './rankedHeap'
import { triangleQuantile } from './triangle'
import type { WorkingTime } from './workingTime'
import type { WorkItem, WorkNetwork, WorkPlan } from './WorkNetwork'

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
const NOBODY: readonly WorkingTime[] = []
const UNIT = 2 ** -32
const MOST_HANDS = 24

/** Lists of numbers as one, with the place at which each begins. */
function packed(lists: readonly (readonly number[])[]): { begins: Int32Array; all: Int32Array } {
  const begins = new Int32Array(lists.length + 1)
  lists.forEach((list, i) => (begins[i + 1] = begins[i]! + list.length))
  return { begins, all: Int32Array.from(lists.flat()) }
}

/** How many hands an item lacks; none, or less, where it can be done. */
const shortOf = ({ hands, named, able }: WorkItem): number =>
  hands - Math.max(named.length, new Set([...named, ...able]).size)

/** Jobs that the same hands can do: which of them begin, and when, is the same for all that are ready. */
interface Crew {
  readonly need: number
  readonly named: Int32Array
  readonly able: Int32Array
  /** Bits of all hands that it looks at. */
  readonly mask: number
  /** What could begin as soon as there are hands, the most urgent first; and what isn't ready by then, the soonest first. */
  readonly ready: RankedHeap
  readonly waiting: RankedHeap
  /** When its hands are free next; NaN where that has to be looked at anew. */
  free: number
}

/**
 * What many ways that the work may go come to: each draws how long everything lasts, then has whoever is free begin what is
 * ready, the most urgent first, and rests where nobody is at work. Same seed, same draws: what is changed shows by itself.
 *
 * Which item decides is traced back from the end of a target: the item or the hand that each one waited for last.
 *
 * @returns finishes of each target, how often each item decides it, and when each begins and ends
 * @throws {RangeError} where jobs wait for each other in a ring, or one needs more hands than there are
 * @source Van Slyke, “Monte Carlo methods and the PERT problem”, Operations Research 11 (1963) 839; Giffler and Thompson,
 *   Operations Research 8 (1960) 487, for schedules in which nobody waits who could work
 * @example quantileOf(simulateWork(fourJobs, { draws: 4000 }).finishes[0].sort(), 0.5) / 3600 // 10.72
 */
export function simulateWork(
  network: WorkNetwork,
  { draws, seed = 1, plan = usualPlan(network), onDraws }: WorkDraws,
): WorkOutcome {
  const { urgency, isPatient } = plan
  const { items, records, from, targets, hands } = network
  const count = items.length
  const order = Int32Array.from(inOrder(items.map((i) => i.after)))
  if (hands) {
    if (hands.length > MOST_HANDS) throw new RangeError(`at most ${MOST_HANDS} hands can be planned with`)
    const short = items.findIndex((item) => shortOf(item) > 0)
    if (short >= 0) throw new RangeError(`item ${short} needs more hands than there are who can do it`)
  }

  const before = packed(items.map((item) => item.after))
  const followers: number[][] = items.map(() => [])
  items.forEach((item, at) => item.after.forEach((one) => followers[one]!.push(at)))
  const follow = packed(followers)
  const cures = Float64Array.from(items, (item) => item.cure)
  const earliest = Float64Array.from(items, (item) => Math.max(from, item.notBefore))
  const means = Float64Array.from(items, (item) => meanLasting(item.lasts, records))

  const lasting = new Float64Array(count)
  const ready = new Float64Array(count)
  const start = new Float64Array(count)
  const end = new Float64Array(count)
  const cause = new Int32Array(count)
  const left = new Int32Array(count)
  const team = new Int32Array(MOST_HANDS)

  const looked = (hands ?? []).map((time) => lookedUp(time, from))
  const free = new Float64Array(looked.length)
  const freeStart = new Float64Array(looked.length)
  const lastOf = new Int32Array(looked.length)
  const { crews, crewOf } = crewsOf(network, ready, urgency)
  const together = teamsOf(hands ?? NOBODY, from)
  /** When all of the team are at work. */
  const teamTime = (size: number): Looked => (size === 1 ? looked[team[0]!]! : together(team, size))

  const kept = Math.min(draws, KEPT)
  const starts = items.map(() => new Float64Array(kept))
  const ends = items.map(() => new Float64Array(kept))
  const finishes = targets.map(() => new Float64Array(draws))
  const critical = targets.map(() => new Float64Array(count))
  const doneBy = items.map(() => new Float64Array(looked.length))
  const bits = randomBits(seed)
  const drawn = records.map(() => ({ mean: 0, spread: 0 }))

  /** Draws how long everything lasts; every item takes as many random numbers, whatever it is. */
  const draw = () => {
    for (let i = 0; i < records.length; i += 1) drawn[i] = drawRatio(records[i]!, normalPair(bits))
    for (let at = 0; at < count; at += 1) {
      const { lasts } = items[at]!
      const one = ((bits() >>> 0) + 0.5) * UNIT
      const other = (bits() >>> 0) * UNIT
      if (lasts.by === 'guesses') lasting[at] = triangleQuantile(lasts, one)
      else {
        const { mean, spread } = drawn[lasts.record]!
        const normal = Math.sqrt(-2 * Math.log(one)) * Math.cos(2 * Math.PI * other)
        lasting[at] = lasts.promised * Math.exp(mean + spread * normal)
      }
    }
  }

  /** When all that comes before an item is done, and which of it was last. */
  const makeReady = (at: number) => {
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

  let open = 0
  /** Ends an item, and all that passes by itself behind it; what needs hands waits for its crew. */
  const finish = (at: number, begins: number, ends: number) => {
    start[at] = begins
    end[at] = ends
    for (let i = follow.begins[at]!; i < follow.begins[at + 1]!; i += 1) {
      const next = follow.all[i]!
      left[next]! -= 1
      if (left[next] === 0) arrive(next)
    }
  }
  const arrive = (at: number) => {
    makeReady(at)
    const crew = crewOf[at]
    if (crew) {
      crew.waiting.push(at)
      open += 1
    } else finish(at, ready[at]!, ready[at]! + lasting[at]!)
  }

  /** When a hand could begin together with those of the team before it. */
  const beginsWith = (hand: number, size: number, moment: number): number => {
    if (size > 0) {
      team[size] = hand
      return startOf(teamTime(size + 1), free[hand]! > moment ? free[hand]! : moment)
    }
    return free[hand]! >= moment ? freeStart[hand]! : startOf(looked[hand]!, moment)
  }

  /** When the hands of a crew could begin soonest what is ready at a moment; who they are stands in `team`. */
  const soonest = ({ need, named, able }: Crew, at: number): number => {
    let size = 0
    let moment = at
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
        const begins = beginsWith(hand, size, moment)
        if (best < 0 || begins < bestAt) {
          best = hand
          bestAt = begins
        }
      }
      team[size] = best
      size += 1
      if (free[best]! > moment) moment = free[best]!
    }
    return size === 1 && moment === free[team[0]!] ? freeStart[team[0]!]! : startOf(teamTime(size), moment)
  }

  /** The next item to be begun, taken from its crew. */
  const takeNext = (): number => {
    let best: Crew | null = null
    let bestAt = -1
    let bestStart = Infinity
    for (const crew of crews) {
      if (crew.ready.size() + crew.waiting.size() === 0) continue
      if (Number.isNaN(crew.free)) crew.free = soonest(crew, from)
      while (crew.waiting.size() > 0 && ready[crew.waiting.first()]! <= crew.free)
        crew.ready.push(crew.waiting.pop())
      const isReady = crew.ready.size() > 0
      const at = isReady ? crew.ready.first() : crew.waiting.first()
      if (!isReady && ready[at]! > bestStart) continue
      const begins = isReady ? crew.free : soonest(crew, ready[at]!)
      if (!best || begins < bestStart || (begins === bestStart && urgency[at]! < urgency[bestAt]!)) {
        best = crew
        bestAt = at
        bestStart = begins
      }
    }
    const crew = best!
    if (isPatient && bestStart < Infinity) {
      soonest(crew, ready[bestAt]!)
      const urgent = takeUrgent(bestAt, endOf(teamTime(crew.need), bestStart, means[bestAt]!))
      if (urgent >= 0) return urgent
    }
    return crew.ready.size() > 0 && crew.ready.first() === bestAt ? crew.ready.pop() : crew.waiting.pop()
  }

  /** What is more urgent than an item, and can begin before that is likely to be done; -1 for nothing. */
  const takeUrgent = (now: number, until: number): number => {
    let heap: RankedHeap | null = null
    let bestPlace = -1
    let best = now
    for (const crew of crews) {
      if (crew.free >= until) continue
      // What is ready can all begin when its hands are free: the most urgent of it stands first.
      if (crew.ready.size() > 0 && urgency[crew.ready.first()]! < urgency[best]!) {
        heap = crew.ready
        bestPlace = 0
        best = crew.ready.first()
      }
      const { waiting } = crew
      for (let place = 0; place < waiting.size(); place += 1) {
        const at = waiting.at(place)
        if (urgency[at]! < urgency[best]! && ready[at]! < until && soonest(crew, ready[at]!) < until) {
          heap = waiting
          bestPlace = place
          best = at
        }
      }
    }
    return heap ? heap.takeAt(bestPlace) : -1
  }

  for (let i = 0; i < draws; i += 1) {
    draw()
    for (let at = 0; at < count; at += 1) left[at] = before.begins[at + 1]! - before.begins[at]!
    for (let hand = 0; hand < looked.length; hand += 1) {
      free[hand] = from
      freeStart[hand] = startOf(looked[hand]!, from)
      lastOf[hand] = -1
    }
    for (const crew of crews) {
      crew.free = NaN
      crew.ready.clear()
      crew.waiting.clear()
    }
    open = 0
    for (let j = 0; j < count; j += 1) {
      const at = order[j]!
      if (before.begins[at] !== before.begins[at + 1]) break
      arrive(at)
    }
    while (open > 0) {
      const at = takeNext()
      open -= 1
      const crew = crewOf[at]!
      const begins = soonest(crew, ready[at]!)
      const ended = endOf(teamTime(crew.need), begins, lasting[at]!)
      let held = ready[at]!
      let mask = 0
      for (let j = 0; j < crew.need; j += 1) {
        const hand = team[j]!
        if (free[hand]! > held) {
          held = free[hand]!
          cause[at] = lastOf[hand]!
        }
        mask |= 1 << hand
      }
      for (let j = 0; j < crew.need; j += 1) {
        const hand = team[j]!
        free[hand] = ended
        freeStart[hand] = ended === Infinity ? Infinity : startOf(looked[hand]!, ended)
        lastOf[hand] = at
        doneBy[at]![hand]! += 1 / draws
      }
      for (const other of crews) if (other.mask & mask) other.free = NaN
      finish(at, begins, ended)
    }
    for (let target = 0; target < targets.length; target += 1) {
      let done = from
      let last = -1
      for (const at of targets[target]!)
        if (end[at]! > done) {
          done = end[at]!
          last = at
        }
      finishes[target]![i] = done
      for (let at = last; at >= 0; at = cause[at]!) critical[target]![at]! += 1 / draws
    }
    if (i < kept)
      for (let at = 0; at < count; at += 1) {
        starts[at]![i] = start[at]!
        ends[at]![i] = end[at]!
      }
    if (onDraws && (i + 1) % TOLD_EVERY === 0) onDraws(TOLD_EVERY)
  }
  return { finishes, critical, starts: starts.map(reachOf), ends: ends.map(reachOf), doneBy }
}

/** Items by who can do them; what passes by itself has no crew, and nothing has one where hands don't count. */
function crewsOf(
  { items, hands }: WorkNetwork,
  ready: Float64Array,
  urgency: Float64Array,
): { crews: Crew[]; crewOf: (Crew | null)[] } {
  // Who can do less stands first, so that whoever can do everything is left for the rest.
  const uses = new Map<number, number>()
  for (const item of items) for (const hand of item.able) uses.set(hand, (uses.get(hand) ?? 0) + 1)
  const byKey = new Map<string, Crew>()
  const crewOf = items.map((item) => {
    const need = Math.max(item.hands, item.named.length)
    if (!hands || need === 0) return null
    const able = [...new Set(item.able)]
      .filter((hand) => !item.named.includes(hand))
      .sort((a, b) => (uses.get(a) ?? 0) - (uses.get(b) ?? 0) || a - b)
    const key = `${need}|${[...item.named].sort().join()}|${able.join()}`
    const known = byKey.get(key)
    if (known) return known
    const made: Crew = {
      need,
      named: Int32Array.from(item.named),
      able: Int32Array.from(able),
      mask: [...item.named, ...able].reduce((mask, hand) => mask | (1 << hand), 0),
      ready: rankedHeap(urgency, items.length),
      waiting: rankedHeap(ready, items.length),
      free: NaN,
    }
    byKey.set(key, made)
    return made
  })
  return { crews: [...byKey.values()], crewOf }
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
