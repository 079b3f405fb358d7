import { tyreSize } from '@bold-ballast/core'
import * as z from 'zod'
import { field } from './field'

/** As written on the tyre; empty when it was measured instead. */
export const size = field(
  z
    .string()
    .trim()
    .max(40, 'Keep it under 40 characters.')
    .superRefine((text, context) => {
      const read = text === '' ? null : tyreSize(text)
      if (read && 'problem' in read) context.addIssue({ code: 'custom', message: read.problem })
    }),
  { label: 'Size', hint: 'Such as 265/35R18' },
)
/** Distance of one turn with the car on it, m. */
export const rollOut = field(
  z
    .number('Type a length, such as 1.95 m.')
    .min(0.6, 'Below 0.6 m: check the unit.')
    .max(3.8, 'Over 3.8 m: check the unit.')
    .nullable(),
  { quantity: 'length', label: 'Rolls out', hint: 'One turn with the car on it' },
)
/** Outside, unloaded, m. */
export const diameter = field(
  z
    .number('Type a diameter, such as 640 mm.')
    .min(0.2, 'Below 200 mm: check the unit.')
    .max(1.2, 'Over 1.2 m: check the unit.')
    .nullable(),
  { quantity: 'length', label: 'Diameter, unloaded' },
)
/** Share that its radius has grown by at 200 km/h. */
export const growth = field(
  z
    .number('Type a share in per cent.')
    .min(0, 'A tyre doesn’t shrink with speed.')
    .max(0.1, 'Over 10 % no tyre survives.'),
  { quantity: 'share', label: 'Grows by', hint: 'At 200 km/h; 0.5 % is usual' },
)
