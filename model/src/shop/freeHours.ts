import { itemAt, meanLasting, workBetween } from '@bold-ballast/core'
import type { WorkReckoned } from './workNetworkOf'

/**
 * How much work could still be taken on before a date, s of all hands together: the hours that they are there, less what is
 * open for it, at its average. Below zero where there is more to do than time.
 *
 * @param target one with a date
 * @example freeHours(reckoned, 0) // null
 */
export function freeHours(
  { network, targets }: Pick<WorkReckoned, 'network' | 'targets'>,
  target: number,
): number | null {
  const { by } = itemAt(targets, target)
  if (by === null || !network.hands) return null
  const there = network.hands.reduce((sum, time) => sum + workBetween(time, network.from, by), 0)
  // What comes before what is needed is needed as well.
  const needed = new Set<number>()
  const add = (at: number) => {
    if (needed.has(at)) return
    needed.add(at)
    itemAt(network.items, at).after.forEach(add)
  }
  itemAt(network.targets, target).forEach(add)
  const work = [...needed].reduce((sum, at) => {
    const { hands, lasts } = itemAt(network.items, at)
    return sum + hands * meanLasting(lasts, network.records)
  }, 0)
  return there - work
}
