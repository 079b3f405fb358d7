import { correctionFactor, type Correction } from './correctionFactor'
import type { Ambient } from './humidAir'

/** One point of a pull: engine speed in rad/s, torque in N·m. */
export interface PullPoint {
  readonly speed: number
  readonly torque: number
}

declare const airBrand: unique symbol
/**
 * A curve with the air it belongs to, branded: an observed curve can't be handed to code that wants a
 * corrected one. The two are kept side by side and never mixed.
 */
export type ObservedCurve = readonly PullPoint[] & { readonly [airBrand]: 'observed' }
export type CorrectedCurve = readonly PullPoint[] & { readonly [airBrand]: 'corrected' }

/** P = T·ω, in watts. */
export const powerAt = (point: PullPoint): number => point.torque * point.speed

export interface Peak {
  readonly value: number
  /** rad/s */
  readonly speed: number
}

/**
 * Peak power (W) and peak torque (N·m) of a curve, where they stand.
 *
 * The peak of the points as they are: nothing is smoothed, so nothing is hidden.
 *
 * @throws {RangeError} for a curve without points
 * @example peaksOf([{ speed: 600, torque: 200 }]).power // { value: 120000, speed: 600 }
 */
export function peaksOf(curve: readonly PullPoint[]): { power: Peak; torque: Peak } {
  const first = curve[0]
  if (!first) throw new RangeError('a curve needs at least one point')
  let power: Peak = { value: powerAt(first), speed: first.speed }
  let torque: Peak = { value: first.torque, speed: first.speed }
  for (const point of curve) {
    if (powerAt(point) > power.value) power = { value: powerAt(point), speed: point.speed }
    if (point.torque > torque.value) torque = { value: point.torque, speed: point.speed }
  }
  return { power, torque }
}

const scaled = (curve: readonly PullPoint[], by: number): readonly PullPoint[] =>
  curve.map(({ speed, torque }) => ({ speed, torque: torque * by }))

/**
 * What the dyno observed, taken back out of a sheet that was printed under a correction.
 *
 * @param sheet the curve as the sheet gives it
 * @param sheetCorrection the rule the sheet was printed under
 * @param ambient the air of that pull, or `null` when nobody wrote it down
 * @returns `null` when the sheet is corrected and the air is not known: it can't be taken back
 */
export function observedFromPrintout(
  sheet: readonly PullPoint[],
  sheetCorrection: Correction,
  ambient: Ambient | null,
): ObservedCurve | null {
  if (sheetCorrection === 'observed') return sheet as ObservedCurve
  return ambient
    ? (scaled(sheet, 1 / correctionFactor(sheetCorrection, ambient).factor) as ObservedCurve)
    : null
}

/**
 * An observed curve, brought to a rule's standard air.
 *
 * @example correctedFrom(observed, 'j1349', ambient)
 */
export const correctedFrom = (
  observed: ObservedCurve,
  correction: Exclude<Correction, 'observed'>,
  ambient: Ambient,
): CorrectedCurve => scaled(observed, correctionFactor(correction, ambient).factor) as CorrectedCurve
