import type { BuildDocument } from '@bold-ballast/contract'
import type { Known } from '@bold-ballast/core'

type Driven = Pick<BuildDocument['build'], 'driverMass' | 'reference'>

/** What of the driver isn't aboard yet, kg: nobody runs a car without somebody in it. */
export const driverToCome = (
  { driverMass, reference }: Driven,
  aboard: Pick<Driven['reference'], 'driver'> = reference,
): number => Math.max(0, driverMass - aboard.driver)

/**
 * A mass in the build's reference condition with the driver aboard.
 *
 * @example massWithDriver({ driverMass: 84, reference: { fuel: 0.02, driver: 0, amounts: {} } }, { value: 1100, grade: 'measured', sigma: 2 }).value // 1184
 */
export const massWithDriver = (build: Driven, mass: Known): Known => ({
  ...mass,
  value: mass.value + driverToCome(build),
})
