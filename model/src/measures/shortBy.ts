import type { Mark } from '@bold-ballast/contract'
import type { Shortfall } from './MeasureOfCar'

/** Nothing is short by less than nothing. */
export const shortBy = (kilograms: number, watts: number): Shortfall => ({
  kilograms: Math.max(0, kilograms),
  watts: Math.max(0, watts),
})

/** The figure that a mark asks for at its easiest: with its tolerance. */
export const askedAtLeast = ({
  comparator,
  value,
  tolerance,
}: Pick<Mark, 'comparator' | 'value' | 'tolerance'>): number =>
  value + (comparator === 'atMost' ? tolerance : -tolerance)
