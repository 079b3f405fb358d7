import { fuelBlend } from '../sizing/fuelBlend'

/** What of it arrives at the wheels with the throttle open, and what a lap burns besides while nothing is asked of it. */
const ARRIVES = 0.26
const BESIDES = 1.1

/**
 * The fuel that a lap takes, by what it does at the wheels.
 *
 * @param work at the wheels, J
 * @param ethanol share of it in the fuel, 0 to 1
 * @returns m³; good to about a fifth until it is measured
 * @throws {RangeError} for work below zero or a share that is none
 * @source heat of the fuel: {@link fuelBlend}; 26 % from tank to wheels at full throttle, and a tenth besides: common
 *   practice
 * @example fuelOfLap(8e6, 0) * 1000 // 1.047
 */
export function fuelOfLap(work: number, ethanol: number): number {
  if (!(work >= 0)) throw new RangeError('work is not below zero')
  const { density, heatingValue } = fuelBlend(ethanol)
  return (BESIDES * work) / (ARRIVES * density * heatingValue)
}
