import { spentOn } from './spentOn'
import type { MeasureOfCar } from './MeasureOfCar'

/** How long the swaps so far take, s. */
export const hours: MeasureOfCar = {
  workOut: (car) => spentOn(car, 'workTime'),
  says: { missing: 'Type how long swaps take.', unproven: 'not everything is fitted yet' },
  settledBy: 'typeIn',
}
