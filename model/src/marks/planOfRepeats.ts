import {
  besideToShow,
  turnsToShow,
  type ReadingsMade,
  type RepeatErrors,
  type RepeatPlan,
} from '@bold-ballast/core'
import type { TestInstrument } from './testInstrument'

/** Readings that would show a wanted difference of two states of the car. */
export interface DifferencePlan {
  /** Off one instrument, in the figure's unit. */
  readonly errors: RepeatErrors
  /** Both in turn on one day; null where more than eight of each would be needed. */
  readonly inTurn: RepeatPlan | null
  /** Beside what was read of the one before, on other days; null where that is not enough, or nothing was. */
  readonly beside: RepeatPlan | null
}

/**
 * Pulls or weighings that would show a difference, by the instrument that they are read on. What it is off by itself is the
 * same in both, but for its share of the difference.
 *
 * @param difference that is to be seen, above zero
 * @param about as much as is read, in the same unit
 * @param made readings of the one before that stand; null for none
 * @throws {RangeError} for a difference that isn't above zero
 * @source {@link turnsToShow}, {@link besideToShow}
 * @example planOfRepeats(6e3, 300e3, dyno, null).inTurn?.readings // 3
 */
export function planOfRepeats(
  difference: number,
  about: number,
  { scatter, betweenDays, own }: TestInstrument,
  made: ReadingsMade | null,
): DifferencePlan {
  const errors = { scatter: scatter * about, betweenDays: betweenDays * about, always: own * difference }
  return {
    errors,
    inTurn: turnsToShow(difference, errors),
    beside: made && besideToShow(difference, errors, made),
  }
}
