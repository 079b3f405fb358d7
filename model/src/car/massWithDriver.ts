import { aboard, foldMass, stateOf, type Known, type MassState, type StageSummary } from '@bold-ballast/core'
import type { BuildDocument } from '@bold-ballast/contract'
import { carFacts } from './carFacts'

type Driven = Pick<BuildDocument['build'], 'driverMass' | 'reference'>

/** What of the driver a build's reference condition doesn't hold yet, kg: nobody runs a car without somebody in it. */
export const driverToCome = (build: Driven): number => Math.max(0, build.driverMass - build.reference.driver)

/**
 * A mass in the build's reference condition with the driver aboard.
 *
 * @example massWithDriver({ driverMass: 84, reference: { fuel: 0.02, driver: 0 } }, known(1100, 'measured', 2)).value // 1184
 */
export const massWithDriver = (build: Driven, mass: Known): Known => ({
  ...mass,
  value: mass.value + driverToCome(build),
})

/**
 * Where the mass of a stage sits with the driver in the seat, by what is off and fitted so far.
 *
 * @example placeWithDriver(document, summary).x.value
 */
export function placeWithDriver(
  document: Pick<BuildDocument, 'build' | 'loads'>,
  summary: Pick<StageSummary, 'fitted'>,
): MassState['centre'] {
  const { reference } = document.build
  const condition = { ...reference, driver: reference.driver + driverToCome(document.build) }
  return stateOf(foldMass(summary.fitted, aboard(condition, carFacts(document)))).centre
}
