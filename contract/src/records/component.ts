import { AXLE_ENDS, LIFE_MEASURES, RATING_FLOWS, RATING_KINDS, SHAFTS } from '@bold-ballast/core'
import * as z from 'zod'
import * as f from './fields'

const price = z
  .number('Type an amount of money.')
  .min(0, 'A price can’t be below zero.')
  .max(1e8, 'That is beyond counting.')
/** Hours are in s; the rest is counted. */
export const wear = z
  .number('Type how much.')
  .min(0, 'It can’t be below zero.')
  .max(3.6e8, 'That is beyond counting: check the unit.')

/** How long a thing lasts. */
const life = z.strictObject({
  measure: z.enum(LIFE_MEASURES, 'Choose what its life is counted in.'),
  expected: wear.gt(0, 'A life is above zero.'),
  spread: z
    .number('Type a share, such as 30 %.')
    .min(0.02, 'From 2 to 100 %: no two are so much alike.')
    .max(1, 'From 2 to 100 %.'),
  /** Run before it was fitted here. */
  usedBefore: wear,
  /** Fitted on; null counts from the first outing. */
  since: f.date.nullable(),
})

/** What would be fitted in its place. */
const replacement = z.strictObject({
  name: f.name,
  rating: z
    .number('Type a rating, such as 650 N·m.')
    .gt(0, 'A rating is above zero.')
    .max(1e7, 'Check the unit.'),
  mass: f.mass,
  massGrade: f.grade,
  price,
  workTime: z
    .number('Type a time, such as 6 h.')
    .min(0, 'A time can’t be below zero.')
    .max(3.6e7, 'Over 10,000 hours: check the unit.'),
})

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
    /** Of an all-wheel drive: the axle it is on. */
    axle: z.enum(AXLE_ENDS, 'Choose front or rear.').nullable(),
    /** Of a power rating that a fuel changes: what flows through it, and the ethanol it was stated for. */
    flow: z.enum(RATING_FLOWS, 'Choose fuel or air.').nullable(),
    statedEthanol: f.share,
    /** Null for what is kept for its life alone. */
    rating: z
      .number('Type a rating, such as 450 N·m.')
      .gt(0, 'A rating is above zero.')
      .max(1e7, 'Check the unit.')
      .nullable(),
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
    /** Of the part itself, kg; null where nobody knows. */
    mass: f.mass.nullable(),
    life: life.nullable(),
    /** On the shelf. */
    spares: z.int('Type how many.').min(0, 'Not below zero.').max(100, 'At most 100.'),
    replacement: replacement.nullable(),
    /** The component whose place it takes from its stage on. */
    replaces: f.id.nullable(),
    note: f.note,
  })
  .refine((c) => c.rating === null || c.kind !== 'torque' || c.shaft !== null, {
    path: ['shaft'],
    message: 'Choose the shaft that its torque rating is for.',
  })
  .refine((c) => c.rating !== null || c.life !== null, {
    path: ['rating'],
    message: 'Type a rating, or a life below: one of them is what it is here for.',
  })
  .refine((c) => c.rating === null || c.kind === 'torque' || c.kind === 'power' || c.demand !== null, {
    path: ['demand'],
    message: 'Type what is asked of it: this kind of rating doesn’t follow from power.',
  })
