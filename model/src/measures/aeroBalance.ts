import { known } from '@bold-ballast/core'
import { NOTHING } from './computedFigures'
import { shownWhereMeasured } from './shownWhereMeasured'
import type { MeasureOfCar } from './MeasureOfCar'

/** The share of the downforce on the front axle. */
export const aeroBalance: MeasureOfCar = {
  workOut: ({ aero }) => {
    const [share, sigma] = [aero.balance.frontShare, aero.sigma.frontShare]
    return share === null || sigma === null ? NOTHING : shownWhereMeasured(aero, known(share, 'claim', sigma))
  },
  says: {
    missing: 'Put elements on the aero sheet.',
    unproven: 'coefficients are guesses until the car is measured',
    sharper: 'log downforce at held speeds',
    workedOut: 'coefficients are typed, not measured on this car',
    settled: 'A log of downforce at held speeds would settle it',
  },
  settledBy: 'logDownforce',
  helpedBy: 'trim',
}
