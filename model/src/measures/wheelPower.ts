import { headlineFigures } from '@bold-ballast/core'
import { powerOf } from '../car/powerOf'
import { askedAtLeast, shortBy } from './shortBy'
import type { MeasureOfCar } from './MeasureOfCar'

/** Peak power at the wheels, W. */
export const wheelPower: MeasureOfCar = {
  workOut: ({ summary }) => headlineFigures('wheelPower', summary),
  says: {
    missing: 'Log a pull, or plan a wheel power for the stage.',
    sharper: 'repeat the pull, or weigh the car better',
  },
  settledBy: 'pull',
  shortfall: (mark, _reading, car) => {
    const power = powerOf(car.summary)
    return mark.comparator === 'atLeast' && power ? shortBy(0, askedAtLeast(mark) - power.value) : null
  },
}
