import type { MassFault } from '@bold-ballast/model'
import { formatQuantity, preferredUnit } from '@bold-ballast/core'

/** A mass that can't be, in the units of its build. */
export const sayMass = (mass: number, units: object): string =>
  formatQuantity(mass, preferredUnit('mass', units), 0)

/** What is wrong with a change that leaves no car, and what to look at. */
export const describeMassFault = ({ stage, mass }: MassFault, units: object): string =>
  `At ${stage} the car would weigh ${sayMass(mass, units)}: more comes off than it weighs. Check the mass, its unit, and whether the part comes off or goes on.`
