import { balanceEffects, known, orWhy } from '@bold-ballast/core'
import { NOTHING, workedOut } from './computedFigures'
import type { MeasureOfCar } from './MeasureOfCar'

/** The doubt of a mark needs fewer draws than a table of changes. */
const DRAWS = 300

/** The front axle's share of what goes to the outside wheels in a corner. */
export const transferShare: MeasureOfCar = {
  workOut: ({ stance }) => {
    if (stance.from !== 'suspension') return NOTHING
    return orWhy(
      () => {
        const { now, doubt } = balanceEffects(stance.rollCar, stance.rollSigma, [], { draws: DRAWS })
        return workedOut(known(now.share, 'claim', doubt.share))
      },
      // A body that no spring holds has no balance.
      () => NOTHING,
    )
  },
  says: {
    missing: 'Type the suspension: springs, bars, roll centres.',
    unproven: 'it is worked out from springs, bars and roll centres',
    sharper: 'measure motion ratios over the travel, and tilt the car for its height',
    workedOut: 'it is worked out from springs, bars and roll centres, not seen',
    settled:
      'No instrument reads it on a car: measured motion ratios and a tilt for the height make it surer',
  },
  needsMass: true,
  settledBy: 'typeIn',
  canSettle: ({ stance }) => stance.from !== 'suspension',
  helpedBy: 'turnBar',
}
