import { spentOn } from './spentOn'
import type { MeasureOfCar } from './MeasureOfCar'

/** What the swaps so far cost, in the build’s currency. */
export const price: MeasureOfCar = {
  workOut: (car) => spentOn(car, 'cost'),
  says: { missing: 'Type what swaps cost.', unproven: 'not everything is fitted yet' },
  settledBy: 'typeIn',
}
