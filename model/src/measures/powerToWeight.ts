import { headlineFigures } from '@bold-ballast/core'
import { powerOf } from '../car/powerOf'
import { askedAtLeast, shortBy } from './shortBy'
import type { MeasureOfCar } from './MeasureOfCar'

/** Peak power at the wheels for each kilo, W/kg. */
export const powerToWeight: MeasureOfCar = {
  workOut: ({ summary }) => headlineFigures('powerToWeight', summary),
  says: {
    missing: 'Log a pull, or plan a wheel power for the stage.',
    sharper: 'repeat the pull, or weigh the car better',
  },
  hangsOnMass: true,
  settledBy: 'pull',
  shortfall: (mark, _reading, car) => {
    const power = powerOf(car.summary)
    if (mark.comparator !== 'atLeast' || !power) return null
    const [mass, asked] = [car.summary.finished.mass.value, askedAtLeast(mark)]
    return shortBy(mass - power.value / asked, asked * mass - power.value)
  },
}
