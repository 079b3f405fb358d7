import { headlineFigures, type Known } from '@bold-ballast/core'
import { conditionShift } from '../car/conditionShift'
import { askedAtLeast, shortBy } from './shortBy'
import type { MeasureOfCar } from './MeasureOfCar'

/** What the car weighs in the mark's condition, kg. */
export const mass: MeasureOfCar = {
  workOut: (car, { conditionId }) => {
    const plain = headlineFigures('mass', car.summary)
    const shift = conditionShift(car, conditionId)
    const moved = (k: Known | null) => k && { ...k, value: k.value + shift }
    return { ...plain, value: moved(plain.value), planned: moved(plain.planned) }
  },
  says: { missing: 'Weigh the car.', sharper: 'weigh the whole car, or more of its parts' },
  hangsOnMass: true,
  settledBy: 'weighCar',
  shortfall: (mark, { value }, { summary }) =>
    mark.comparator === 'atMost'
      ? shortBy((value?.value ?? summary.finished.mass.value) - askedAtLeast(mark), 0)
      : null,
}
