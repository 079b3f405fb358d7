import * as z from 'zod'
import * as f from './fields'

/** The line of a course, section by section: straights, and corners of one radius. SI. */
export const courseRecord = z
  .strictObject({
    id: f.id,
    name: f.name,
    order: f.order,
    sections: z
      .array(
        z.strictObject({
          /** Along the line that is driven, m. */
          length: z
            .number('Type a length, such as 180 m.')
            .min(1, 'A section is at least 1 m long.')
            .max(20_000, 'Over 20 km: check the unit.'),
          /** Of the line that is driven, m; null on a straight. */
          radius: z
            .number('Type a radius, such as 45 m.')
            .min(3, 'No car drives a radius below 3 m.')
            .max(5000, 'Over 5 km it is a straight.')
            .nullable(),
        }),
      )
      .min(1, 'A course has at least one section.')
      .max(200, 'At most 200 sections.'),
    /** It ends where it starts, and is driven flying. */
    closed: z.boolean(),
    note: f.note,
  })
  .refine((c) => !c.closed || c.sections.some((s) => s.radius !== null), {
    path: ['sections'],
    message: 'A course that ends where it starts has a corner.',
  })
