import { elementExtent, type Known, type RuleMeasure, type StageSummary } from '@bold-ballast/core'
import type { AeroElement, Build, Scrutiny } from '@bold-ballast/contract'
import { massWithDriver } from '../car/massWithDriver'

/** A tape measure's error, m; and a sound meter's, dB (common practice). */
const TAPE = 0.002
const METER = 1

/**
 * What a class may limit, as far as the rooms and the scrutiny know it.
 *
 * @param elements on the car at the stage
 * @param ethanol in what is burnt; undefined where nobody said
 * @example ruleValues(build, summary, elements, scrutiny, 0.05).massWithDriver?.value
 */
export function ruleValues(
  build: Build,
  summary: StageSummary,
  elements: readonly AeroElement[],
  scrutiny: Omit<Scrutiny, 'version'> | null,
  ethanol: number | undefined,
): Partial<Record<RuleMeasure, Known>> {
  const found: Partial<Record<RuleMeasure, Known>> = {}
  const { mass } = summary
  const withDriver = massWithDriver(build, mass)
  found.massWithDriver = withDriver
  found.massWithoutDriver = { ...mass, value: mass.value - build.reference.driver }
  const power = summary.measuredPower?.power ?? summary.plannedPower
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
  if (ethanol !== undefined) found.ethanol = { value: ethanol, sigma: 0.01, grade: 'measured' }
  return found
}
