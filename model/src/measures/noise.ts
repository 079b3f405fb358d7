import { known } from '@bold-ballast/core'
import { computed, NOTHING } from './computedFigures'
import type { MeasureOfCar } from './MeasureOfCar'

/** A sound meter's error, dB (common practice). */
export const METER = 1

/** As loud as it was measured, dB. */
export const noise: MeasureOfCar = {
  workOut: ({ scrutiny }) => {
    const measured = scrutiny?.value.noise ?? null
    return measured === null ? NOTHING : computed(known(measured, 'measured', METER), true)
  },
  says: { missing: 'Measure the noise and type it.' },
  settledBy: 'measureForClass',
}
