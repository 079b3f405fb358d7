import type { DynoDay, Pull } from '@bold-ballast/contract'
import {
  correctedFrom,
  observedFromSheet,
  peaksOf,
  sheetPower,
  type Correction,
  type PullPoint,
} from '@bold-ballast/core'

export interface PullFigures {
  readonly power: number | null
  readonly powerSpeed: number | null
  readonly torque: number | null
  readonly torqueSpeed: number | null
}

/** A pull's curve under a correction, or null where the air isn't known and the sheet says otherwise. */
export function curveUnder(pull: Pull, day: DynoDay, correction: Correction): readonly PullPoint[] | null {
  if (!pull.points) return null
  if (day.sheetCorrection === correction) return pull.points
  const observed = observedFromSheet(pull.points, day.sheetCorrection, day.ambient)
  if (!observed || correction === 'observed') return observed
  return day.ambient ? correctedFrom(observed, correction, day.ambient) : null
}

/** A pull's peaks under a correction, from its curve, or from what was typed. */
export function figuresUnder(pull: Pull, day: DynoDay, correction: Correction): PullFigures | null {
  const curve = curveUnder(pull, day, correction)
  if (curve && curve.length > 0) {
    const { power, torque } = peaksOf(curve)
    return { power: power.value, powerSpeed: power.speed, torque: torque.value, torqueSpeed: torque.speed }
  }
  if (pull.points) return null
  const power =
    pull.peakPower === null ? null : sheetPower(pull.peakPower, day.sheetCorrection, correction, day.ambient)
  const torque =
    pull.peakTorque === null
      ? null
      : sheetPower(pull.peakTorque, day.sheetCorrection, correction, day.ambient)
  return power === null && torque === null
    ? null
    : { power, powerSpeed: pull.peakPowerSpeed, torque, torqueSpeed: pull.peakTorqueSpeed }
}
