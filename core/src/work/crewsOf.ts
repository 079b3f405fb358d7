import { rankedHeap, type RankedHeap } from './rankedHeap'
import type { WorkNetwork } from './WorkNetwork'

/** Jobs that the same hands can do: which of them begin, and when, is the same for all that are ready. */
export interface Crew {
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
  /** Of a crew of one, who that is. */
  hand: number
}

/**
 * Items by who can do them, those for one pair of hands first. What passes by itself has no crew, and nothing has one where
 * hands don't count.
 *
 * @param ready when each item is ready, s; the crews look at it as it changes
 * @param urgency of each item: the lower, the earlier
 * @returns the crews, and of each item the place of its own; -1 for none
 * @example crewsOf(fourJobsAlone, new Float64Array(4), new Float64Array(4)).crews.length // 1
 */
export function crewsOf(
  { items, hands }: WorkNetwork,
  ready: Float64Array,
  urgency: Float64Array,
): { readonly crews: readonly Crew[]; readonly crewOf: Int32Array } {
  // Who can do less stands first, so that whoever can do everything is left for the rest.
  const uses = new Map<number, number>()
  for (const item of items) for (const hand of item.able) uses.set(hand, (uses.get(hand) ?? 0) + 1)
  const byKey = new Map<string, Crew>()
  const ofItems = items.map((item) => {
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
      hand: -1,
    }
    byKey.set(key, made)
    return made
  })
  const crews = [...byKey.values()].sort((a, b) => a.need - b.need)
  return { crews, crewOf: Int32Array.from(ofItems, (crew) => (crew ? crews.indexOf(crew) : -1)) }
}
