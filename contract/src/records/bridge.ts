import * as z from 'zod'
import { field } from './field'
import * as f from './fields'

/** The same car in the same tune on two dynos: the only thing that makes them comparable. */
export const bridge = z
  .strictObject({
    id: f.id,
    firstDayId: field(f.id, { link: 'dynoDay', label: 'One day' }),
    secondDayId: field(f.id, { link: 'dynoDay', label: 'The other day' }),
    firstConfiguration: field(z.string().max(120), { label: 'Configuration then' }),
    secondConfiguration: field(z.string().max(120), { label: 'Configuration there' }),
    note: f.note,
  })
  .refine((b) => b.firstDayId !== b.secondDayId, {
    path: ['secondDayId'],
    message: 'A bridge joins two days.',
  })
