import { type Instrument } from '@bold-ballast/contract'
import type { CarAir } from '../car/carAir'
import { GRIP_DOUBT } from '../car/runDoubt'
import { dynoErrors } from '../ledger/instrumentNamed'
import type { WorthDoubts } from '@bold-ballast/core'
import type { Side } from './compareSides'

const daysOf = (side: Side) => [...new Set(side.pulls.map(({ day }) => day.date))].sort()

/**
 * What is in doubt about a side that is run in a straight line, against another one.
 *
 * What a dyno reads differently from day to day moves both sides alike where both were pulled on the same days: then it
 * goes with the dyno's own error, else with the pulls' scatter.
 */
export function worthDoubts(
  side: Side,
  other: Side,
  instruments: readonly Instrument[],
  shared: { readonly mass: number; readonly air: CarAir; readonly model: number },
): WorthDoubts {
  const { ownError, betweenDays } = dynoErrors(instruments, side)
  const days = daysOf(side)
  const byDay = betweenDays / Math.sqrt(days.length)
  const sameDays = days.join() === daysOf(other).join()
  const scatter = side.repeatability / Math.sqrt(side.pulls.length)
  return {
    pulls: sameDays ? scatter : Math.hypot(scatter, byDay),
    dyno: sameDays ? Math.hypot(ownError, byDay) : ownError,
    mass: shared.mass,
    grip: GRIP_DOUBT,
    drag: shared.air.dragSigma,
    model: shared.model,
  }
}
