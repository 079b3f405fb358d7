import { dynamicPressure, known, STANDARD_GRAVITY } from '@bold-ballast/core'
import { NOTHING } from './computedFigures'
import { shownWhereMeasured } from './shownWhereMeasured'
import type { MeasureOfCar } from './MeasureOfCar'

/** What the air presses on the car at a speed, as mass, kg. */
export const downforce: MeasureOfCar = {
  workOut: ({ aero, airDensity }, { speed }) => {
    if (aero.elements.length === 0 || speed === null) return NOTHING
    const toMass = dynamicPressure(airDensity, speed) / STANDARD_GRAVITY
    const { balance, sigma } = aero
    return shownWhereMeasured(aero, known(balance.total * toMass, 'claim', sigma.total * toMass))
  },
  says: {
    missing: 'Put elements on the aero sheet.',
    unproven: 'coefficients are guesses until the car is measured',
    sharper: 'log downforce at held speeds',
    workedOut: 'coefficients are typed, not measured on this car',
    settled: 'A log of downforce at held speeds would settle it',
  },
  settledBy: 'logDownforce',
}
