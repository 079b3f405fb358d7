import type { AeroElement } from '@bold-ballast/contract'
import { itemWhere, regraded } from '@bold-ballast/core'
import { withRates, type RideResult } from './rideResults'

/** A correction that moves a figure by less is not worth a record. */
const LEAST_CHANGE = 0.02
/** Nor one that makes it known hardly better. */
const LEARNS = 0.97

/** What a log of held speeds says of one element: how many times as much it presses and drags, and how well that is known. */
export interface LearnedElement {
  readonly element: AeroElement
  readonly lift: number
  readonly drag: number
  readonly liftSpread: number
  readonly dragSpread: number
}

/** The run that was driven nearest to how the sheet has the wing set now. */
export function nearestRide(
  known: readonly RideResult[],
  elements: readonly AeroElement[],
): RideResult | null {
  const off = ({ angle, wingId }: RideResult) => {
    const set = elements.find((e) => e.id === wingId)?.wing?.angle
    return Math.abs((angle ?? 0) - (set ?? angle ?? 0))
  }
  return known.reduce<RideResult | null>((best, r) => (!best || off(r) < off(best) ? r : best), null)
}

/** What a run teaches of each element of the sheet; none where it teaches nothing, or can't be matched. */
export function ridesLearned(
  ride: RideResult,
  elements: readonly AeroElement[],
  wheelbase: number,
): LearnedElement[] {
  const measured = { front: withRates(ride.measured.front), rear: withRates(ride.measured.rear) }
  try {
    return regraded(ride.elements, measured, wheelbase).flatMap((found) => {
      const element = itemWhere(elements, (e) => e.id === found.id)
      const { lift, drag, liftSpread, dragSpread } = found
      const moves = Math.abs(lift - 1) > LEAST_CHANGE || Math.abs(drag - 1) > LEAST_CHANGE
      const learns = liftSpread < LEARNS * (element.correction?.liftSpread ?? element.spread)
      return moves || learns ? [{ element, lift, drag, liftSpread, dragSpread }] : []
    })
  } catch {
    return []
  }
}

/** A figure within what its field may hold. */
const within = (value: number, low: number, high: number) =>
  Number(Math.min(high, Math.max(low, value)).toFixed(4))

/**
 * An element put right by what was learned of it.
 *
 * @param from what it was learned from, in words
 */
export function elementByRide<E extends AeroElement>(
  element: E,
  { lift, drag, liftSpread, dragSpread }: Omit<LearnedElement, 'element'>,
  from: string,
): E {
  const before = element.correction ?? { lift: 1, drag: 1 }
  return {
    ...element,
    grade: 'measured',
    spread: within(liftSpread, 0.01, 1),
    correction: {
      lift: within(before.lift * lift, 0.01, 20),
      drag: within(before.drag * drag, 0.01, 20),
      liftSpread: within(liftSpread, 0.01, 1),
      dragSpread: within(dragSpread, 0.01, 1),
    },
    from: `${from}; before it: ${element.from}`.slice(0, 200),
  }
}
