import type { Crew } from './crewsOf'
import { goToEnd, teamTime } from './lookedUpTime'
import { heapPush, heapTake, type RankedHeap } from './rankedHeap'
import { notBefore, soonest } from './soonest'
import type { WorkSchedule } from './WorkSchedule'

/** Looks anew when the hands of a crew are free, and what is ready by then. */
function lookAt(schedule: WorkSchedule, crew: Crew) {
  if (Number.isNaN(crew.free)) {
    soonest(schedule, crew, -1)
    crew.free = schedule.clock[0]!
    crew.hand = schedule.team[0]!
  }
  const { ready } = schedule
  const { waiting } = crew
  while (waiting.size > 0 && ready[waiting.held[0]!]! <= crew.free) heapPush(crew.ready, heapTake(waiting))
}

/**
 * Where the most urgent stands of what waits and can begin as soon as what is ready first, at the clock: who begins then can
 * begin then with anything that is ready by then.
 */
function mostUrgentOf({ ready, urgency, clock }: WorkSchedule, { waiting: { held, size } }: Crew): number {
  let best = 0
  for (let place = 1; place < size; place += 1) {
    const at = held[place]!
    if (ready[at]! <= clock[0]! && urgency[at]! < urgency[held[best]!]!) best = place
  }
  return best
}

/**
 * The next item to be begun, taken from its crew: what can begin soonest, of that the most urgent; or, by a patient plan, what
 * is more urgent still and can begin before that would be done.
 *
 * @example const so = workSchedule(fourJobsAlone, usualPlan(fourJobsAlone)); startAnew(so); takeNext(so) // 0
 */
export function takeNext(schedule: WorkSchedule): number {
  const { crews, ready, urgency, clock } = schedule
  let best: Crew | null = null
  let bestAt = -1
  let bestPlace = -1
  let bestStart = Infinity
  for (let i = 0; i < crews.length; i += 1) {
    const crew = crews[i]!
    if (crew.ready.size + crew.waiting.size === 0) continue
    if (crew.need > 1 && Number.isNaN(crew.free) && notBefore(schedule, crew) > bestStart) continue
    lookAt(schedule, crew)
    const isReady = crew.ready.size > 0
    const heap = isReady ? crew.ready : crew.waiting
    let place = 0
    if (isReady) clock[0] = crew.free
    else {
      if (ready[heap.held[0]!]! > bestStart) continue
      soonest(schedule, crew, heap.held[0]!)
      place = mostUrgentOf(schedule, crew)
    }
    const at = heap.held[place]!
    const begins = clock[0]!
    if (!best || begins < bestStart || (begins === bestStart && urgency[at]! < urgency[bestAt]!)) {
      best = crew
      bestAt = at
      bestPlace = place
      bestStart = begins
    }
  }
  const crew = best!
  if (schedule.isPatient && bestStart < Infinity) {
    soonest(schedule, crew, bestAt)
    goToEnd(clock, teamTime(schedule.teams, schedule.team, crew.need), schedule.means, bestAt)
    const urgent = takeUrgent(schedule, bestAt)
    if (urgent >= 0) return urgent
  }
  return heapTake(crew.ready.size > 0 ? crew.ready : crew.waiting, bestPlace)
}

/** What is more urgent than an item, and can begin before the clock, when that is likely to be done; -1 for nothing. */
function takeUrgent(schedule: WorkSchedule, now: number): number {
  const { crews, ready, urgency, clock } = schedule
  const until = clock[0]!
  let heap: RankedHeap | null = null
  let bestPlace = -1
  let best = now
  for (let i = 0; i < crews.length; i += 1) {
    const crew = crews[i]!
    if (crew.ready.size + crew.waiting.size === 0) continue
    if (Number.isNaN(crew.free) && notBefore(schedule, crew) >= until) continue
    lookAt(schedule, crew)
    if (crew.free >= until) continue
    // What is ready can all begin when its hands are free: the most urgent of it stands first.
    if (crew.ready.size > 0 && urgency[crew.ready.held[0]!]! < urgency[best]!) {
      heap = crew.ready
      bestPlace = 0
      best = crew.ready.held[0]!
    }
    const { held, size } = crew.waiting
    for (let place = 0; place < size; place += 1) {
      const at = held[place]!
      if (urgency[at]! >= urgency[best]! || ready[at]! >= until) continue
      soonest(schedule, crew, at)
      if (clock[0]! < until) {
        heap = crew.waiting
        bestPlace = place
        best = at
      }
    }
  }
  return heap ? heapTake(heap, bestPlace) : -1
}
