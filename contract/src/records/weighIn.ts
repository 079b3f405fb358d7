import { CORNERS } from '@bold-ballast/core'
import * as z from 'zod'
import { CORNER_WORDS, METHOD } from './choices'
import { conditionOf } from './condition'
import { defineKind } from './defineKind'
import { choice, field } from './field'
import * as f from './fields'

const pad = field(
  z
    .number('Type what the pad reads, such as 232 kg.')
    .min(0, 'A pad can’t read below zero: set its zero first.')
    .max(5000, 'That is over 5 t on one wheel: check the unit.'),
  { quantity: 'mass' },
)
const pascal = field(
  z.number().min(0, 'A pressure can’t be below zero.').max(1e6, 'That is over 10 bar: check the unit.'),
  { quantity: 'pressure' },
)
const corners = field(f.corners(pad), { label: 'Corners' })

const placement = z.strictObject({
  block: choice(CORNERS, CORNER_WORDS, 'On the block', 'Choose the corner on the block.'),
  corners,
})
const axle = field(
  z
    .number('Type what the bridge reads, such as 450 kg.')
    .min(0, 'An axle can’t read below zero: set the bridge’s zero first.')
    .max(20_000, 'That is over 20 t: check the unit.'),
  { quantity: 'mass' },
)
const method = <const M extends keyof typeof METHOD>(name: M) =>
  field(z.literal(name), { label: 'How', words: METHOD })

/** What was read, by method. kg. */
const readings = z.discriminatedUnion(
  'method',
  [
    z.strictObject({ method: method('fourPads'), corners }),
    z
      .strictObject({
        method: method('threePads'),
        placements: field(z.tuple([placement, placement]), { label: 'Placements' }),
      })
      .refine(({ placements: [a, b] }) => a.block !== b.block, {
        path: ['placements', 1, 'block'],
        message: 'The block stood at this corner before: put it at another, so that each corner is read.',
      }),
    z.strictObject({ method: method('twoPads'), corners }),
    z.strictObject({
      method: method('axles'),
      front: field(axle, { label: 'Front axle' }),
      rear: field(axle, { label: 'Rear axle' }),
    }),
  ],
  'Choose how it was weighed.',
)

const done = (label: string) => field(z.boolean(), { label })
/** What was done before weighing. `level` in metres out of level, null when nobody looked. */
const checklist = z.strictObject({
  level: field(
    z
      .number('Type how far a pad stands out of level, or leave it empty.')
      .min(0, 'A levelness can’t be below zero.')
      .max(0.1, 'Over 100 mm is a slope: check the unit.')
      .nullable(),
    { quantity: 'length', label: 'Pads level to within' },
  ),
  pressures: done('Tyres set'),
  barsOff: done('Bars off'),
  settled: done('Settled'),
  straight: done('Steering straight'),
  driverIn: done('Driver in'),
})

const readingsAdd = (r: z.infer<typeof readings>): number => {
  if (r.method === 'axles') return r.front + r.rear
  const all = r.method === 'threePads' ? r.placements[0].corners : r.corners
  return Object.values(all).reduce((a, b) => a + b, 0)
}

/** A whole-car weighing. Readings in kg. */
export const weighIn = defineKind({
  name: 'weighIn',
  within: 'stage',
  isLogged: true,
  words: { one: 'weigh-in', many: 'weigh-ins' },
  sortedBy: 'date',
  most: 2000,
  fields: {
    date: f.date,
    readings: field(readings, { label: 'Readings' }),
    /** Name of the scale that it was weighed on; empty where nobody noted it. */
    scale: f.words('Scale', 80),
    checklist: field(checklist.nullable(), { label: 'Before weighing' }),
    /** Smallest step of a pad, kg. */
    resolution: field(
      z
        .number()
        .gt(0, 'A pad has a step above zero, such as 0.5 kg.')
        .max(50, 'That step is too coarse to weigh a car.'),
      { quantity: 'mass', label: 'Step of a pad' },
    ),
    /** Standard error of a pad as a share of its reading. */
    accuracy: field(
      z.number().min(0, 'An accuracy can’t be below zero.').max(0.2, 'Over 20 % is no scale.'),
      { quantity: 'share', label: 'Accuracy of a pad', hint: '0.3 % is usual' },
    ),
    condition: field(conditionOf, { label: 'Condition' }),
    tyrePressures: field(f.corners(pascal).nullable(), { label: 'Tyre pressures' }),
    note: field(f.note, { hint: 'Levelness, bars, tools left in the boot' }),
  },
  check: (record) =>
    record
      .refine((w) => readingsAdd(w.readings) > 0, {
        path: ['readings'],
        message: 'The readings add up to zero. Type what was read with the car on the scales.',
      })
      .refine((w) => w.condition.driver < readingsAdd(w.readings), {
        path: ['condition', 'driver'],
        message: 'The driver weighs more than everything on the scales. Check the unit.',
      }),
})
