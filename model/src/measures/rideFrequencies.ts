import type { AxleEnd } from '@bold-ballast/core'
import { NOTHING, workedOut } from './computedFigures'
import type { MeasureOfCar } from './MeasureOfCar'

const rideOf = (end: AxleEnd): MeasureOfCar => ({
  workOut: ({ stance }) => (stance.from === 'assumed' ? NOTHING : workedOut(stance[end].ride)),
  says: {
    missing: 'Type the springs and their motion ratios.',
    unproven: 'it is worked out from springs and ratios',
    sharper: 'measure the motion ratio over the travel',
    workedOut: 'it is worked out from springs, ratios and mass, not timed',
  },
  needsMass: true,
  settledBy: 'typeIn',
  canSettle: ({ stance }) => stance.from === 'assumed',
})

/** How often each end would swing a second, without its tyres. */
export const rideFront = rideOf('front')
export const rideRear = rideOf('rear')
