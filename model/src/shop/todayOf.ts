import type { Job, PartToCome, Wait } from '@bold-ballast/contract'
import { itemAt, zonedDate, type WorkOutcome } from '@bold-ballast/core'
import type { WorkReckoned } from './workNetworkOf'

/** What somebody does on a day, in the order in which it is begun. */
export interface TodayOfHand {
  readonly name: string
  readonly jobs: readonly { readonly job: Job; readonly item: number; readonly isBegun: boolean }[]
}
/** A part that nobody has ordered, or a wait that hasn’t begun. */
export type ToOrder =
  { readonly kind: 'part'; readonly part: PartToCome } | { readonly kind: 'wait'; readonly wait: Wait }
export interface Today {
  readonly hands: readonly TodayOfHand[]
  /** What could be begun as well, if there were hands. */
  readonly beside: readonly Job[]
  /** What is to be ordered or given away today because somebody waits for it. */
  readonly toOrder: readonly ToOrder[]
}

const HALF = 0.5

/**
 * What each does on the day that is reckoned from: what is begun already, then what they would begin that day in half of the
 * draws; what could be done beside it; and what has to be ordered.
 *
 * @example todayOf(reckoned, outcome, 'UTC').beside.length // 0
 */
export function todayOf(reckoned: WorkReckoned, outcome: WorkOutcome, zone: string): Today {
  const { network, sources, hands } = reckoned
  const day = zonedDate(network.from, zone)
  const isToday = (at: number) => {
    const start = itemAt(outcome.starts, at).middle
    return start < Infinity && zonedDate(start, zone) === day
  }
  const handOf = (at: number): number[] => {
    const item = itemAt(network.items, at)
    if (item.named.length > 0) return [...item.named]
    const shares = [...itemAt(outcome.doneBy, at)]
    const most = Math.max(...shares)
    return shares
      .flatMap((share, hand) => (share === most || (item.hands > 1 && share > HALF) ? [hand] : []))
      .slice(0, item.hands)
  }
  const jobs = sources.flatMap((source, at) => (source.kind === 'job' ? [{ job: source.job, item: at }] : []))
  const planned = jobs
    .filter(({ job, item }) => job.state === 'doing' || isToday(item))
    .map((entry) => ({ ...entry, isBegun: entry.job.state === 'doing', by: handOf(entry.item) }))
    .sort(
      (a, b) =>
        Number(b.isBegun) - Number(a.isBegun) ||
        itemAt(outcome.starts, a.item).middle - itemAt(outcome.starts, b.item).middle,
    )
  const taken = new Set(planned.map(({ item }) => item))
  const isFree = (at: number) => {
    const { after, notBefore } = itemAt(network.items, at)
    return after.length === 0 && notBefore <= network.from
  }
  return {
    hands: hands.map(({ name }, hand) => ({
      name,
      jobs: planned
        .filter(({ by }) => by.includes(hand))
        .map(({ job, item, isBegun }) => ({ job, item, isBegun })),
    })),
    beside: jobs.filter(({ item }) => !taken.has(item) && isFree(item)).map(({ job }) => job),
    toOrder: sources.flatMap((source, at): ToOrder[] => {
      const blocks = network.items.some((item) => item.after.includes(at))
      if (
        source.kind === 'part' &&
        blocks &&
        (source.part.state === 'wanted' || source.part.state === 'quoted')
      )
        return [{ kind: 'part', part: source.part }]
      if (
        source.kind === 'wait' &&
        blocks &&
        source.wait.givenOn === null &&
        isFree(at) &&
        source.wait.promisedFor === null
      )
        return [{ kind: 'wait', wait: source.wait }]
      return []
    }),
  }
}
