import { CORNERS } from '@bold-ballast/core'
import * as z from 'zod'
import { condition } from './condition'
import * as f from './fields'

const pad = z
  .number('Type what the pad reads, such as 232 kg.')
  .min(0, 'A pad can’t read below zero: set its zero first.')
  .max(5000, 'That is over 5 t on one wheel: check the unit.')
const pascal = z
  .number()
  .min(0, 'A pressure can’t be below zero.')
  .max(1e6, 'That is over 10 bar: check the unit.')

const placement = z.strictObject({
  block: z.enum(CORNERS, 'Choose the corner on the block.'),
  corners: f.corners(pad),
})
const axle = z
  .number('Type what the bridge reads, such as 450 kg.')
  .min(0, 'An axle can’t read below zero: set the bridge’s zero first.')
  .max(20_000, 'That is over 20 t: check the unit.')

/** What was read, by method. kg. */
const readings = z.discriminatedUnion(
  'method',
  [
    z.strictObject({ method: z.literal('fourPads'), corners: f.corners(pad) }),
    z
      .strictObject({ method: z.literal('threePads'), placements: z.tuple([placement, placement]) })
      .refine(({ placements: [a, b] }) => a.block !== b.block, {
        path: ['placements', 1, 'block'],
        message: 'The block stood at this corner before: put it at another, so that each corner is read.',
      }),
    z.strictObject({ method: z.literal('twoPads'), corners: f.corners(pad) }),
    z.strictObject({ method: z.literal('axles'), front: axle, rear: axle }),
  ],
  'Choose how it was weighed.',
)

/** What was done before weighing. `level` in metres out of level, null when nobody looked. */
const checklist = z.strictObject({
  level: z
    .number('Type how far a pad stands out of level, or leave it empty.')
    .min(0, 'A levelness can’t be below zero.')
    .max(0.1, 'Over 100 mm is a slope: check the unit.')
    .nullable(),
  pressures: z.boolean(),
  barsOff: z.boolean(),
  settled: z.boolean(),
  straight: z.boolean(),
  driverIn: z.boolean(),
})

const readingsAdd = (r: z.infer<typeof readings>): number => {
  if (r.method === 'axles') return r.front + r.rear
  const corners = r.method === 'threePads' ? r.placements[0].corners : r.corners
  return Object.values(corners).reduce((a, b) => a + b, 0)
}

/** A whole-car weighing. Readings in kg. */
export const weighInRecord = z
  .strictObject({
    id: f.id,
    stageId: f.id,
    date: f.date,
    readings,
    /** Name of the scale that it was weighed on; empty where nobody noted it. */
    scale: z.string().trim().max(80, 'Keep it under 80 characters.'),
    checklist: checklist.nullable(),
    /** Smallest step of a pad, kg. */
    resolution: z
      .number()
      .gt(0, 'A pad has a step above zero, such as 0.5 kg.')
      .max(50, 'That step is too coarse to weigh a car.'),
    /** Standard error of a pad as a share of its reading. */
    accuracy: z.number().min(0, 'An accuracy can’t be below zero.').max(0.2, 'Over 20 % is no scale.'),
    condition,
    tyrePressures: f.corners(pascal).nullable(),
    note: f.note,
  })
  .refine((w) => readingsAdd(w.readings) > 0, {
    path: ['readings'],
    message: 'The readings add up to zero. Type what was read with the car on the scales.',
  })
  .refine((w) => w.condition.driver < readingsAdd(w.readings), {
    path: ['condition', 'driver'],
    message: 'The driver weighs more than everything on the scales. Check the unit.',
  })

/** A tilt test for the height of the centre of mass: what the level axle gains as the other is raised. */
export const tiltTestRecord = z.strictObject({
  id: f.id,
  stageId: f.id,
  date: f.date,
  raised: z.enum(['front', 'rear'], 'Choose the axle that was raised.'),
  /** Whole mass as it stood, kg. */
  mass: z
    .number('Type what the whole car weighed, such as 868 kg.')
    .gt(0, 'A car weighs more than nothing.')
    .max(20_000, 'That is over 20 t: check the unit.'),
  /** Static loaded radius of the tyres, m. */
  radius: z
    .number('Type the height of a wheel’s centre, such as 290 mm.')
    .min(0.05, 'Below 50 mm: check the unit.')
    .max(0.6, 'Over 600 mm: check the unit.'),
  tilts: z
    .array(
      z.strictObject({
        lift: z
          .number('Type how far the axle was raised, such as 300 mm.')
          .gt(0, 'An axle that was not raised tells nothing.')
          .max(1.5, 'Over 1.5 m: check the unit.'),
        gain: z
          .number('Type what the level axle read more than on the flat.')
          .min(-500, 'That is half a tonne less: check the sign.')
          .max(2000, 'That is over 2 t more: check the unit.'),
      }),
    )
    .min(1, 'At least one lift is needed.')
    .max(12, 'At most 12 lifts.'),
  /** Standard error of a gain, kg. */
  gainSigma: z
    .number('Type how well a gain is known.')
    .gt(0, 'No scale is exact.')
    .max(100, 'Over 100 kg proves nothing.'),
  /** Standard error of a lift, m. */
  liftSigma: z
    .number('Type how well a lift is known.')
    .min(0, 'It can’t be below zero.')
    .max(0.1, 'Over 100 mm proves nothing.'),
  note: f.note,
})
