import { meanLasting } from './lastsOf'
import { stretchAt } from './workingTime'
import type { WorkNetwork, WorkPlan } from './WorkNetwork'

const WEEKS_LOOKED_AT = 8
const WEEK = 604_800

/** By how much longer than an hour an hour of work takes by the clock, over the next weeks. */
function clockPerWork({ hands, from }: WorkNetwork): number {
  if (!hands || hands.length === 0) return 1
  const until = from + WEEKS_LOOKED_AT * WEEK
  const worked = hands.reduce((sum, time) => {
    let here = 0
    for (let i = stretchAt(time, from); i < time.ends.length && time.starts[i]! < until; i += 1)
      here += Math.min(until, time.ends[i]!) - Math.max(from, time.starts[i]!)
    return sum + here
  }, 0)
  return worked > 0 ? Math.min(50, (hands.length * (until - from)) / worked) : 1
}

/** What lies ahead of each item up to the end of some, its own time included, s by the clock; -Infinity where they don't need it. */
function tailsTo(
  { items, records }: WorkNetwork,
  ends: readonly number[],
  order: readonly number[],
  factor: number,
) {
  const tails = new Float64Array(items.length).fill(-Infinity)
  const isEnd = new Set(ends)
  for (let i = order.length - 1; i >= 0; i -= 1) {
    const at = order[i]!
    const item = items[at]!
    if (isEnd.has(at)) tails[at] = Math.max(tails[at]!, 0)
    if (tails[at] === -Infinity) continue
    tails[at]! += meanLasting(item.lasts, records) * (item.hands > 0 ? factor : 1)
    for (const before of item.after)
      tails[before] = Math.max(tails[before]!, tails[at]! + items[before]!.cure)
  }
  return tails
}

/**
 * When each item has to be begun at the latest so that every date that needs it is made, all at its average, by hands that do
 * nothing else: what is due first goes first, and of that what has the longest way ahead of it.
 *
 * @returns s; what no date needs comes after everything that one does
 * @throws {RangeError} where jobs wait for each other in a ring
 * @source Kelley, “The critical-path method: resources planning and scheduling”, in Muth and Thompson, Industrial Scheduling
 *   (1963): latest start first
 * @example latestStarts({ items: [], hands: null, records: [], from: 0, targets: [], dues: [] }).length // 0
 */
export function latestStarts(network: WorkNetwork): Float64Array {
  const { items, from, targets, dues } = network
  const factor = clockPerWork(network)
  const order = inOrder(items.map((i) => i.after))
  const all = tailsTo(network, order, order, factor)
  const last = Math.max(from, ...dues.filter((due) => due < Infinity))
  const longest = Math.max(0, ...all)
  const latest = Float64Array.from(all, (tail) => last + longest - tail)
  targets.forEach((ends, target) => {
    const due = dues[target]!
    if (due === Infinity) return
    tailsTo(network, ends, order, factor).forEach((tail, at) => {
      if (tail > -Infinity) latest[at] = Math.min(latest[at]!, due - tail)
    })
  })
  return latest
}

/**
 * Items so that each stands behind all that come before it; those that could stand anywhere as they are listed.
 *
 * @param after of each item, the places of those that come before it
 * @throws {RangeError} where items wait for each other in a ring
 * @source Kahn, Comm. ACM 5 (1962) 558
 * @example inOrder([[1], [2], []]) // [2, 1, 0]
 */
export function inOrder(after: readonly (readonly number[])[]): number[] {
  const left = after.map((before) => new Set(before).size)
  const follow: number[][] = after.map(() => [])
  after.forEach((before, at) => new Set(before).forEach((one) => follow[one]!.push(at)))
  const found = left.flatMap((count, at) => (count === 0 ? [at] : []))
  // What is found while it is walked through is walked through too.
  for (const at of found)
    for (const next of follow[at]!) {
      left[next]! -= 1
      if (left[next] === 0) found.push(next)
    }
  if (found.length < after.length) throw new RangeError('some jobs wait for each other in a ring')
  return found
}

/**
 * What has to be begun first goes first, and nobody waits who could work.
 *
 * @throws {RangeError} where jobs wait for each other in a ring
 * @example usualPlan({ items: [], hands: null, records: [], from: 0, targets: [], dues: [] }).isPatient // false
 */
export const usualPlan = (network: WorkNetwork): WorkPlan => ({
  urgency: latestStarts(network),
  isPatient: false,
})
