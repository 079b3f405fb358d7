import {
  AXLE_ENDS,
  LIFE_MEASURES,
  RATING_FLOWS,
  RATING_KINDS,
  SHAFTS,
  type RatingKind,
} from '@bold-ballast/core'
import * as z from 'zod'
import { AXLE_END, LIFE_MEASURE, RATED_IN, RATING, RATING_FLOW, SHAFT } from './choices'
import { defineKind } from './defineKind'
import { choice, field, type FieldQuantity } from './field'
import * as f from './fields'

/** What a rating is in follows from its kind; hours of a life are in s, the rest of it is counted. */
const ratedIn = ({ kind }: Readonly<Record<string, unknown>>): FieldQuantity =>
  RATED_IN[kind as RatingKind] ?? 'number'
const livedIn = ({ measure }: Readonly<Record<string, unknown>>): FieldQuantity =>
  measure === 'hours' ? 'time' : 'number'

/** Hours are in s; the rest is counted. */
export const wear = z
  .number('Type how much.')
  .min(0, 'It can’t be below zero.')
  .max(3.6e8, 'That is beyond counting: check the unit.')

const rating = z
  .number('Type a rating, such as 650 N·m.')
  .gt(0, 'A rating is above zero.')
  .max(1e7, 'Check the unit.')

/** How long a thing lasts. */
const life = z.strictObject({
  measure: choice(LIFE_MEASURES, LIFE_MEASURE, 'Counted in', 'Choose what its life is counted in.'),
  expected: field(wear.gt(0, 'A life is above zero.'), { quantity: livedIn, label: 'Expected to last' }),
  spread: field(
    z
      .number('Type a share, such as 30 %.')
      .min(0.02, 'From 2 to 100 %: no two are so much alike.')
      .max(1, 'From 2 to 100 %.'),
    { quantity: 'share', label: 'Spread', hint: '30 %: some last twice as long as others' },
  ),
  /** Run before it was fitted here. */
  usedBefore: field(wear, { quantity: livedIn, label: 'Run before it was fitted' }),
  /** Fitted on; null counts from the first outing. */
  since: field(f.date.nullable(), { label: 'Fitted on', hint: 'Empty: counted from the first day' }),
})

/** What would be fitted in its place. */
const replacement = z.strictObject({
  name: field(f.name, { label: 'Replaced by' }),
  rating: field(rating, { quantity: ratedIn, label: 'Its rating' }),
  mass: field(f.mass, { label: 'It weighs' }),
  massGrade: field(f.grade, { label: 'Mass known by' }),
  price: f.price,
  workTime: f.workTime('6 h'),
})

/** Something that is rated: a gearbox in N·m, a turbo in kW, a joint, a bearing; fitted from its stage on. SI. */
export const component = defineKind({
  name: 'component',
  within: 'stage',
  words: { one: 'component', many: 'components' },
  sortedBy: 'order',
  most: 500,
  fields: {
    name: field(f.name, { label: 'Component', hint: 'Such as gearbox, five-speed' }),
    order: f.order,
    kind: choice(RATING_KINDS, RATING, 'Rated in', 'Choose what it is rated in.'),
    /** Of a torque rating: where it holds. */
    shaft: field(
      choice(SHAFTS, SHAFT, 'Its rating holds', 'Choose the shaft that its rating is for.').nullable(),
      {
        label: 'Its rating holds',
      },
    ),
    /** Of an all-wheel drive: the axle it is on. */
    axle: field(choice(AXLE_ENDS, AXLE_END, 'Axle', 'Choose front or rear.').nullable(), { label: 'Axle' }),
    /** Of a power rating that a fuel changes: what flows through it, and the ethanol it was stated for. */
    flow: field(choice(RATING_FLOWS, RATING_FLOW, 'Flow', 'Choose fuel or air.').nullable(), {
      label: 'Flow',
    }),
    statedEthanol: field(f.share, { label: 'Stated for ethanol', hint: '0 % for petrol' }),
    /** Null for what is kept for its life alone. */
    rating: field(
      z
        .number('Type a rating, such as 450 N·m.')
        .gt(0, 'A rating is above zero.')
        .max(1e7, 'Check the unit.')
        .nullable(),
      { quantity: ratedIn, label: 'Rating' },
    ),
    grade: field(f.grade, { hint: 'A maker’s figure is a claim' }),
    /** What is asked of it, for ratings that don't follow from torque or power. */
    demand: field(
      z
        .number('Type what is asked of it.')
        .gt(0, 'A demand is above zero.')
        .max(1e7, 'Check the unit.')
        .nullable(),
      { quantity: ratedIn, label: 'Asked of it' },
    ),
    /** Least margin that is wanted, rating over demand. */
    wantedMargin: field(
      z
        .number('Type a margin, such as 1.2.')
        .min(0.5, 'Below 0.5 nothing lasts.')
        .max(10, 'Over 10: check it.'),
      { quantity: 'number', label: 'Margin wanted', hint: '1.2 is a fifth in hand' },
    ),
    /** Of the part itself, kg; null where nobody knows. */
    mass: field(f.mass.nullable(), { label: 'Weighs' }),
    life: field(life.nullable(), { label: 'Life' }),
    /** On the shelf. */
    spares: field(z.int('Type how many.').min(0, 'Not below zero.').max(100, 'At most 100.'), {
      quantity: 'number',
      label: 'Spares on the shelf',
    }),
    replacement: field(replacement.nullable(), { label: 'Replacement' }),
    /** The component whose place it takes from its stage on. */
    replaces: f.linkTo('component', 'Takes the place of'),
    note: f.note,
  },
  check: (record) =>
    record
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
      }),
})
