import { elementExtent, type Known, type RuleMeasure } from '@bold-ballast/core'
import type { Car } from '../car/Car'
import { massWithDriver } from '../car/massWithDriver'
import { powerOf } from '../car/powerOf'
import { METER } from '../measures/noise'

/** A tape measure's error, m (common practice). */
const TAPE = 0.002

/**
 * What a class may limit, as far as the rooms and the scrutiny know it.
 *
 * @example ruleValues(carAt(document, stageId)).massWithDriver?.value
 */
export function ruleValues(
  car: Pick<Car, 'build' | 'summary' | 'aero' | 'scrutiny' | 'ethanol'>,
): Partial<Record<RuleMeasure, Known>> {
  const { build, summary, ethanol } = car
  const { elements } = car.aero
  const scrutiny = car.scrutiny?.value ?? null
  const found: Partial<Record<RuleMeasure, Known>> = {}
  const { mass } = summary
  const withDriver = massWithDriver(build, mass)
  found.massWithDriver = withDriver
  found.massWithoutDriver = { ...mass, value: mass.value - build.reference.driver }
  const power = powerOf(summary)
  if (power) {
    found.wheelPower = power
    found.powerToMass = {
      value: power.value / withDriver.value,
      sigma:
        (power.value / withDriver.value) *
        Math.hypot(power.sigma / power.value, withDriver.sigma / withDriver.value),
      grade: power.grade,
    }
  }
  const taped = (value: number): Known => ({ value, sigma: TAPE, grade: 'measured' })
  const loose = elements.filter((e) => e.kind !== 'body')
  if (scrutiny && loose.length > 0) {
    const extents = loose.map(elementExtent)
    const top = Math.max(...extents.map((e) => e.top))
    const nose = Math.max(...extents.map((e) => -e.front))
    const tail = Math.max(...extents.map((e) => e.rear)) - build.wheelbase
    if (scrutiny.roofHeight !== null) found.wingAboveRoof = taped(top - scrutiny.roofHeight)
    if (scrutiny.bumperFront !== null) found.frontBeyondBumper = taped(nose - scrutiny.bumperFront)
    if (scrutiny.bumperRear !== null) found.rearBeyondBumper = taped(tail - scrutiny.bumperRear)
  }
  if (scrutiny) {
    const low = loose
      .filter((e) => ['splitter', 'diffuser', 'floor'].includes(e.kind))
      .map((e) => elementExtent(e).bottom)
    if (scrutiny.overallWidth !== null)
      found.overallWidth = taped(Math.max(scrutiny.overallWidth, ...loose.map((e) => e.span)))
    if (scrutiny.groundClearance !== null)
      found.groundClearance = taped(Math.min(scrutiny.groundClearance, ...low))
    if (scrutiny.tyreWidth !== null) found.tyreWidth = taped(scrutiny.tyreWidth)
    if (scrutiny.cageOutside !== null) found.cageOutside = { ...taped(scrutiny.cageOutside), sigma: 1e-4 }
    if (scrutiny.cageWall !== null) found.cageWall = { ...taped(scrutiny.cageWall), sigma: 1e-4 }
    if (scrutiny.noise !== null) found.noise = { value: scrutiny.noise, sigma: METER, grade: 'measured' }
  }
  if (ethanol !== null) found.ethanol = { value: ethanol, sigma: 0.01, grade: 'measured' }
  return found
}
