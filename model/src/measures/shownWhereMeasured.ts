import type { Known, MarkFigures } from '@bold-ballast/core'
import type { CarAero } from '../car/Car'
import { computed, workedOut } from './computedFigures'

/** Typed coefficients point; only what was measured on this car shows. */
export const shownWhereMeasured = ({ elements }: Pick<CarAero, 'elements'>, figure: Known): MarkFigures =>
  elements.every((e) => e.grade === 'measured' || e.grade === 'proven')
    ? computed(figure, true)
    : workedOut(figure)
