import { tyreSize } from '@bold-ballast/core'
import * as z from 'zod'
import * as f from './fields'

const ratio = z
  .number('Type a ratio, such as 4.1.')
  .min(0.2, 'Below 0.2 is no gear.')
  .max(12, 'Over 12 is no gear.')
const several = z.array(ratio).min(1, 'At least one ratio.').max(24, 'At most 24 ratios.')

const tyre = z
  .strictObject({
    kind: z.literal('tyre'),
    size: z
      .string()
      .trim()
      .max(40, 'Keep it under 40 characters.')
      .superRefine((text, context) => {
        const read = text === '' ? null : tyreSize(text)
        if (read && 'problem' in read) context.addIssue({ code: 'custom', message: read.problem })
      }),
    /** Distance of one turn with the car on it, m. */
    rollOut: z
      .number('Type a length, such as 1.95 m.')
      .min(0.6, 'Below 0.6 m: check the unit.')
      .max(3.8, 'Over 3.8 m: check the unit.')
      .nullable(),
    /** Outside, unloaded, m. */
    diameter: z
      .number('Type a diameter, such as 640 mm.')
      .min(0.2, 'Below 200 mm: check the unit.')
      .max(1.2, 'Over 1.2 m: check the unit.')
      .nullable(),
    /** Share that its radius has grown by at 200 km/h. */
    growth: z
      .number('Type a share in per cent.')
      .min(0, 'A tyre doesn’t shrink with speed.')
      .max(0.1, 'Over 10 % no tyre survives.'),
  })
  .refine((t) => t.size !== '' || t.rollOut !== null || t.diameter !== null, {
    path: ['size'],
    message: 'Type its size, its roll-out or its diameter.',
  })

/** Something on the workshop's shelf that changes the gearing: a gearbox, final drives, gears in between, a tyre. */
export const gearsetRecord = z.strictObject({
  id: f.id,
  name: f.name,
  order: f.order,
  set: z.discriminatedUnion(
    'kind',
    [
      z
        .strictObject({ kind: z.literal('gearbox'), ratios: several.max(10, 'At most ten gears.') })
        .refine((s) => s.ratios.every((r, i) => i === 0 || r < s.ratios[i - 1]!), {
          path: ['ratios'],
          message: 'Each gear is taller than the one before: the ratios fall from first to last.',
        }),
      /** The final drives there are, or the drop gears, quick-change pairs or transfer ratios. */
      z.strictObject({ kind: z.literal('finalDrive'), ratios: several }),
      z.strictObject({ kind: z.literal('between'), ratios: several }),
      tyre,
    ],
    'Choose gearbox, final drive, gears between or tyre.',
  ),
  note: f.note,
})

/** How fast a course is driven: one lap, speed over time. SI. */
export const courseSpeedsRecord = z
  .strictObject({
    id: f.id,
    name: f.name,
    order: f.order,
    points: z
      .array(
        z.strictObject({
          time: z
            .number('Type a time in seconds.')
            .min(0, 'A lap starts at 0 s.')
            .max(3600, 'Over an hour is no lap.'),
          speed: z
            .number('Type a speed.')
            .min(0, 'A speed can’t be below zero.')
            .max(150, 'Over 540 km/h: check the unit.'),
        }),
      )
      .min(2, 'A lap needs speeds at two times or more.')
      .max(5000, 'At most 5,000 points.'),
    note: f.note,
  })
  .refine((c) => c.points.every((p, i) => i === 0 || p.time > c.points[i - 1]!.time), {
    path: ['points'],
    message: 'The times rise from point to point.',
  })
