import { triangleMean } from './triangle'
import { stretchAt } from './workingTime'
import type { Lasts, WorkNetwork, WorkPlan } from './WorkNetwork'

/**
 * How long something lasts on the average, s.
 *
 * @example meanLasting({ by: 'promise', promised: 3600, record: 0 }, [commonRatio(2)]) // 8159
 */
export function meanLasting(lasts: Lasts, records: WorkNetwork['records']): number {
  if (lasts.by === 'guesses') return triangleMean(lasts)
  const { mean, spread } = records[lasts.record]!
  return lasts.promised * Math.exp(mean + spread ** 2 / 2)
}

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

/**
 * Whatever has the longest way behind it goes first: all that comes after it, one after the other, at its average.
 *
 * @throws {RangeError} where jobs wait for each other in a ring
 * @source Kelley, “The critical-path method: resources planning and scheduling”, in Muth and Thompson, Industrial Scheduling
 *   (1963): latest start first
 * @example longestTail({ items: [], hands: null, records: [], from: 0, targets: [] }).length // 0
 */
export function longestTail(network: WorkNetwork): Float64Array {
  const { items, records } = network
  const factor = clockPerWork(network)
  const tails = new Float64Array(items.length)
  for (const at of [...inOrder(items.map((i) => i.after))].reverse()) {
    const item = items[at]!
    const own = meanLasting(item.lasts, records) * (item.hands > 0 ? factor : 1)
    tails[at]! += own
    for (const before of item.after)
      tails[before] = Math.max(tails[before]!, tails[at]! + items[before]!.cure)
  }
  return tails
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
 * The longest tail first, and nobody waits who could work.
 *
 * @throws {RangeError} where jobs wait for each other in a ring
 * @example usualPlan({ items: [], hands: null, records: [], from: 0, targets: [] }).isPatient // false
 */
export const usualPlan = (network: WorkNetwork): WorkPlan => ({
  priorities: longestTail(network),
  isPatient: false,
})
