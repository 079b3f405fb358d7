import { RATING_KINDS, SHAFTS } from '@bold-ballast/core'
import * as z from 'zod'
import * as f from './fields'

/** Something that is rated: a gearbox in N·m, a turbo in kW, a joint, a bearing. SI. */
export const componentRecord = z
  .strictObject({
    id: f.id,
    /** Fitted from this stage on. */
    stageId: f.id,
    name: f.name,
    order: f.order,
    kind: z.enum(RATING_KINDS, 'Choose what it is rated in.'),
    /** Of a torque rating: where it holds. */
    shaft: z.enum(SHAFTS, 'Choose the shaft that its rating is for.').nullable(),
    rating: z
      .number('Type a rating, such as 450 N·m.')
      .gt(0, 'A rating is above zero.')
      .max(1e7, 'Check the unit.'),
    grade: f.grade,
    /** What is asked of it, for ratings that don't follow from torque or power. */
    demand: z
      .number('Type what is asked of it.')
      .gt(0, 'A demand is above zero.')
      .max(1e7, 'Check the unit.')
      .nullable(),
    /** Least margin that is wanted, rating over demand. */
    wantedMargin: z
      .number('Type a margin, such as 1.2.')
      .min(0.5, 'Below 0.5 nothing lasts.')
      .max(10, 'Over 10: check it.'),
    note: f.note,
  })
  .refine((c) => c.kind !== 'torque' || c.shaft !== null, {
    path: ['shaft'],
    message: 'Choose the shaft that its torque rating is for.',
  })
  .refine((c) => c.kind === 'torque' || c.kind === 'power' || c.demand !== null, {
    path: ['demand'],
    message: 'Type what is asked of it: this kind of rating doesn’t follow from power.',
  })
