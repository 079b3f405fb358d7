import {
  betterOutcome,
  chanceBy,
  itemAt,
  meanLasting,
  planWork,
  reachOf,
  simulateWork,
  weekStretches,
  workingTime,
  zonedDate,
  type WeekHours,
  type WorkNetwork,
  type WorkOutcome,
} from '@bold-ballast/core'
import { HORIZON_DAYS, type WorkReckoned } from './workNetworkOf'

/** What could be done so that a date is made. */
export type Easing =
  /** One more evening a week of one pair of hands. */
  | { readonly kind: 'evening'; readonly hand: number; readonly hours: WeekHours }
  /** One more pair of hands, at the hours of those that there are. */
  | { readonly kind: 'hands' }
  /** Items that are dropped, or pushed behind the date. */
  | { readonly kind: 'without'; readonly items: readonly number[] }

const EVENING = { from: '18:00', until: '21:00' }
const NOTHING = { by: 'guesses', short: 0, likely: 0, long: 0 } as const

/**
 * The first evening of a week, from Monday on, on which somebody doesn't work; null where they work on all.
 *
 * @example freeEvening([{ day: 'mon', from: '18:00', until: '20:00' }]).day // 'tue'
 */
export function freeEvening(week: readonly WeekHours[]): WeekHours | null {
  const busy = new Set(week.filter((h) => h.until > EVENING.from).map((h) => h.day))
  const day = (['mon', 'tue', 'wed', 'thu', 'fri', 'sun', 'sat'] as const).find((d) => !busy.has(d))
  return day ? { day, ...EVENING } : null
}

/**
 * The work as it would be, eased.
 *
 * @example easedNetwork(reckoned, { kind: 'without', items: [] }, 'UTC').items.length // 0
 */
export function easedNetwork(
  { network, hands }: Pick<WorkReckoned, 'network' | 'hands'>,
  easing: Easing,
  zone: string,
): WorkNetwork {
  const { items, hands: times } = network
  if (easing.kind === 'without') {
    const without = new Set(easing.items)
    // It stays in its place, so that all others draw what they drew before.
    return {
      ...network,
      items: items.map((item, at) =>
        without.has(at) ? { ...item, lasts: NOTHING, hands: 0, named: [], cure: 0, after: [] } : item,
      ),
      targets: network.targets.map((target) => target.filter((at) => !without.has(at))),
    }
  }
  if (!times) return network
  if (easing.kind === 'hands') {
    const [first] = times
    return {
      ...network,
      hands: [...times, ...(first ? [first] : [])],
      items: items.map((item) => (item.hands > 0 ? { ...item, able: [...item.able, times.length] } : item)),
    }
  }
  const { week, away } = itemAt(hands, easing.hand)
  const longer = workingTime(
    weekStretches([...week, easing.hours], away, zonedDate(network.from, zone), HORIZON_DAYS, zone),
  )
  return { ...network, hands: times.map((time, at) => (at === easing.hand ? longer : time)) }
}

/** What an easing gains for a date. */
export interface Eased {
  readonly easing: Easing
  /** s in the middle, above zero for sooner. */
  readonly sooner: number
  /** The chance then; null without a date. */
  readonly chance: number | null
}

/** What never ends isn’t sooner than what never ends. */
const sooner = (before: number, after: number): number => (before === after ? 0 : before - after)

/** Draws for what is only compared. */
const COMPARED = 1000

/**
 * An outcome to be compared with others of as many draws.
 *
 * @example comparedOutcome(reckoned.network).finishes.length // 1
 */
export const comparedOutcome = (network: WorkNetwork): WorkOutcome =>
  simulateWork(network, { draws: COMPARED, plan: planWork(network) })

/**
 * What each of some easings gains for a target. No easing is ever worse than none: it can be left unused.
 *
 * @param before what comes of the work as it is, by `comparedOutcome`
 * @param onDone told after each
 * @example whatEases(reckoned, outcome, 0, [], 'UTC').length // 0
 */
export function whatEases(
  reckoned: Pick<WorkReckoned, 'network' | 'hands' | 'targets'>,
  before: WorkOutcome,
  target: number,
  easings: readonly Easing[],
  zone: string,
  onDone?: () => void,
): Eased[] {
  const { by } = itemAt(reckoned.targets, target)
  const { middle } = reachOf(itemAt(before.finishes, target))
  return easings.map((easing) => {
    const eased = comparedOutcome(easedNetwork(reckoned, easing, zone))
    const better = itemAt(betterOutcome(before, eased, target).finishes, target)
    onDone?.()
    const chance = by === null ? null : chanceBy(better, by)
    return { easing, sooner: sooner(middle, reachOf(better).middle), chance }
  })
}

/** Jobs that are tried at each step, those that decide most often first. */
const TRIED = 8
const MOST_DROPPED = 6

/**
 * What to drop, or to push behind a date, until it is made with a chance: the least job that is enough, else a step at a time
 * the one that gains most.
 *
 * @param before what comes of the work as it is, by `comparedOutcome`
 * @param mayGo which items may be left out
 * @returns items in the order in which they go, with the chance after each; as far as it gets where the chance isn't reached
 * @source common practice: greedy, a step at a time
 * @example dropsToReach(reckoned, outcome, 0, 0.8, [], 'UTC').length // 0
 */
export function dropsToReach(
  reckoned: Pick<WorkReckoned, 'network' | 'hands' | 'targets'>,
  before: WorkOutcome,
  target: number,
  wanted: number,
  mayGo: readonly number[],
  zone: string,
): { readonly item: number; readonly chance: number }[] {
  const { by } = itemAt(reckoned.targets, target)
  if (by === null) return []
  const found: { item: number; chance: number }[] = []
  let outcome = before
  let chance = chanceBy(itemAt(outcome.finishes, target), by)
  while (chance < wanted && found.length < MOST_DROPPED) {
    const gone = found.map((f) => f.item)
    const critical = itemAt(outcome.critical, target)
    const candidates = mayGo
      .filter((at) => !gone.includes(at) && (critical[at] ?? 0) > 0.02)
      .sort((a, b) => (critical[b] ?? 0) - (critical[a] ?? 0))
      .slice(0, TRIED)
    let best: { item: number; chance: number; work: number; outcome: WorkOutcome } | null = null
    for (const item of candidates) {
      const tried = comparedOutcome(easedNetwork(reckoned, { kind: 'without', items: [...gone, item] }, zone))
      const { hands, lasts } = itemAt(reckoned.network.items, item)
      const one = {
        item,
        chance: chanceBy(itemAt(tried.finishes, target), by),
        work: hands * meanLasting(lasts, reckoned.network.records),
        outcome: tried,
      }
      // Of those that are enough the least work is left undone; of those that aren't, the one that gains most goes.
      const isEnough = one.chance >= wanted
      if (!best || (isEnough && best.chance >= wanted ? one.work < best.work : one.chance > best.chance))
        best = one
    }
    if (!best) break
    found.push({ item: best.item, chance: best.chance })
    ;({ outcome, chance } = best)
  }
  return found
}
