import { weighedOr } from './weighedOr'
import type { MeasureOfCar } from './MeasureOfCar'

/** The share of the mass on the front axle. */
export const frontShare: MeasureOfCar = {
  workOut: ({ summary }) => weighedOr(summary.weighed?.result.front, summary.plannedFront),
  says: {
    missing: 'Weigh the car, axle by axle at least.',
    unproven: 'nobody has weighed the axles at this stage',
  },
  needsMass: true,
  hangsOnMass: true,
  settledBy: 'weighCar',
}
