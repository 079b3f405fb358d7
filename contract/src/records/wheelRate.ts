import * as z from 'zod'
import { field } from './field'

/** Of one wheel, spring and bar together, N/m. */
export const wheelRate = field(
  z
    .number('Type a wheel rate, such as 60 N/mm.')
    .min(1000, 'Below 1 N/mm: check the unit.')
    .max(2e6, 'Over 2,000 N/mm: check the unit.'),
  { quantity: 'stiffness' },
)
