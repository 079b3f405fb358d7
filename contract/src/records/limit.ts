import type { Quantity } from '@bold-ballast/core'
import * as z from 'zod'
import { LIMIT_BY, READ_IN } from './choices'
import { defineKind } from './defineKind'
import { choice, field, type Around } from './field'
import * as f from './fields'

/** What a reading may be of. */
export const READ_QUANTITIES = [
  'temperature',
  'pressure',
  'lambda',
  'current',
  'voltage',
  'engineSpeed',
  'velocity',
] as const satisfies readonly Quantity[]
export const readIn = choice(READ_QUANTITIES, READ_IN, 'It is')
const readQuantity = (around: Around): Quantity =>
  READ_QUANTITIES.find((q) => q === around['quantity']) ?? 'temperature'
/** In SI of whatever it is; no reading of a car lies outside. */
export const reading = field(
  z
    .number('Type what it reads.')
    .min(-1e7, 'That is beyond any gauge: check the unit.')
    .max(1e8, 'That is beyond any gauge: check the unit.'),
  { quantity: readQuantity },
)

const bound = z.strictObject({
  /** Of what the limit depends on, SI; 0 where it depends on nothing. */
  at: field(
    z.number('Type where it holds.').min(0, 'Not below zero.').max(10_000, 'That is beyond any engine.'),
    {
      quantity: (around) => (around['by'] === 'engineSpeed' ? 'engineSpeed' : 'temperature'),
      label: 'At',
    },
  ),
  value: field(reading, { label: 'Limit' }),
})
const bounds = (label: string) =>
  field(z.array(bound).max(12, 'At most 12 points.'), { label, many: 'points' })

/** What a reading of the car must not go below or above, after a run and in a log. SI. */
export const limit = defineKind({
  name: 'limit',
  within: 'build',
  words: { one: 'limit', many: 'limits' },
  sortedBy: 'order',
  most: 200,
  fields: {
    order: f.order,
    name: field(f.name, {
      label: 'What',
      hint: 'Such as oil pressure; readings of that name are held to it',
    }),
    quantity: readIn,
    by: choice(['nothing', 'engineSpeed', 'temperature'], LIMIT_BY, 'The limit depends on'),
    low: bounds('Not below'),
    high: bounds('Not above'),
    /** As a share of the way to the limit, from which it is looked at first. */
    look: field(f.share, {
      label: 'Look first within',
      hint: 'Of the limit: at 5 % of it a reading is looked at before the next run',
    }),
    note: f.note,
  },
  check: (record) =>
    record.refine((l) => l.low.length + l.high.length > 0, {
      path: ['high'],
      message: 'Say what it must not go below, or above.',
    }),
})
