import { known, meanPower as meanOver, usedBand } from '@bold-ballast/core'
import { computed, NOTHING } from './computedFigures'
import type { MeasureOfCar } from './MeasureOfCar'

/** Mean power over the engine speeds that the gears use, W. */
export const meanPower: MeasureOfCar = {
  workOut: ({ geared, summary }) => {
    if (!geared || geared.drive.ratios.length < 2) return NOTHING
    const { drive, curve, curveOf, day } = geared
    const shift = Math.min(drive.shiftSpeed ?? drive.limiter, curve.at(-1)?.speed ?? drive.limiter)
    const mean = meanOver(curve, usedBand(drive.ratios, shift).band)
    if (mean === null) return NOTHING
    const power = summary.measuredPower?.power
    const sigma = mean * (power ? power.sigma / power.value : day.repeatability)
    // A curve of an earlier stage is that stage's evidence, not this one's.
    return computed(known(mean, 'measured', sigma), curveOf.stageId === summary.stageId)
  },
  says: {
    missing: 'Log a pull with a curve, and type the gears.',
    unproven: 'the curve is from an earlier stage',
  },
  settledBy: 'pull',
}
