import { mean, pullDrift, type Correction } from '@bold-ballast/core'
import type { Side } from './compareSides'
import { figuresUnder } from './pullFigures'

/** A chance of less is a drift worth a word. */
const TOLD = 0.05

export interface PullOrder {
  /** All of one configuration were pulled before all of the other, on one day: a drift is a gain, or hides one. */
  readonly isInBlocks: boolean
  /** What pulls lose from one to the next, as a share of the power; null where nothing shows. */
  readonly drift: number | null
}

/**
 * The order in which two sides were pulled on the day that they share.
 *
 * @returns null where they share none
 */
export function pullOrder(before: Side, after: Side, correction: Correction): PullOrder | null {
  const shared = before.pulls.find(({ day }) => after.pulls.some((other) => other.day.id === day.id))?.day
  if (!shared) return null
  const ofDay = [before, after].map(({ pulls }) =>
    pulls.flatMap(({ pull, day }) => {
      const value = figuresUnder(pull, day, correction)?.power ?? null
      return day.id === shared.id && value !== null ? [{ pull, value }] : []
    }),
  )
  const inOrder = ofDay
    .flat()
    .map(({ pull }) => pull)
    .sort((a, b) => a.order - b.order)
  const placed = ofDay.map((pulls) => pulls.map(({ pull, value }) => ({ at: inOrder.indexOf(pull), value })))
  const [first = [], second = []] = placed
  const places = (side: typeof first) => side.map(({ at }) => at)
  const isInBlocks =
    first.length > 1 &&
    second.length > 1 &&
    (Math.max(...places(first)) < Math.min(...places(second)) ||
      Math.max(...places(second)) < Math.min(...places(first)))
  const found = pullDrift(placed)
  return {
    isInBlocks,
    drift: found && found.p < TOLD ? found.slope / mean(placed.flat().map(({ value }) => value)) : null,
  }
}
