import { weighedOr } from './weighedOr'
import type { MeasureOfCar } from './MeasureOfCar'

/** The share of the mass on the diagonal front right, rear left. */
export const crossShare: MeasureOfCar = {
  workOut: ({ summary }) => weighedOr(summary.weighed?.result.cross, null),
  says: {
    missing: 'Weigh the car on four pads.',
    unproven: 'nobody has weighed the corners at this stage',
  },
  settledBy: 'weighCorners',
}
