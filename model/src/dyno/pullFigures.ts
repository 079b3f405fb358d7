import type { DynoDay, Pull } from '@bold-ballast/contract'
import {
  airAt,
  correctedFrom,
  observedFromPrintout,
  peaksOf,
  printedPower,
  type Ambient,
  type Correction,
  type PullPoint,
} from '@bold-ballast/core'

export interface PullFigures {
  readonly power: number | null
  readonly powerSpeed: number | null
  readonly torque: number | null
  readonly torqueSpeed: number | null
}

/** The air of a pull: what was read on its day, at its time. */
export const airOf = (pull: Pick<Pull, 'time'>, day: Pick<DynoDay, 'air'>): Ambient | null =>
  airAt(day.air, pull.time)

/** A pull's curve under a correction, or null where the air isn't known and the sheet says otherwise. */
export function curveUnder(pull: Pull, day: DynoDay, correction: Correction): readonly PullPoint[] | null {
  if (!pull.points) return null
  if (day.sheetCorrection === correction) return pull.points
  const air = airOf(pull, day)
  const observed = observedFromPrintout(pull.points, day.sheetCorrection, air)
  if (!observed || correction === 'observed') return observed
  return air ? correctedFrom(observed, correction, air) : null
}

/** A pull's peaks under a correction, from its curve, or from what was typed. */
export function figuresUnder(pull: Pull, day: DynoDay, correction: Correction): PullFigures | null {
  const curve = curveUnder(pull, day, correction)
  if (curve && curve.length > 0) {
    const { power, torque } = peaksOf(curve)
    return { power: power.value, powerSpeed: power.speed, torque: torque.value, torqueSpeed: torque.speed }
  }
  if (pull.points) return null
  const brought = (figure: number | null) =>
    figure === null ? null : printedPower(figure, day.sheetCorrection, correction, airOf(pull, day))
  const power = brought(pull.peakPower)
  const torque = brought(pull.peakTorque)
  return power === null && torque === null
    ? null
    : { power, powerSpeed: pull.peakPowerSpeed, torque, torqueSpeed: pull.peakTorqueSpeed }
}
