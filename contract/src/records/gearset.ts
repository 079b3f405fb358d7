import { isRising } from '@bold-ballast/core'
import * as z from 'zod'
import { GEARSET_KIND } from './choices'
import { defineKind } from './defineKind'
import { field } from './field'
import * as f from './fields'
import * as tyreOf from './tyreFields'

const ratio = field(
  z.number('Type a ratio, such as 4.1.').min(0.2, 'Below 0.2 is no gear.').max(12, 'Over 12 is no gear.'),
  { quantity: 'number' },
)
const several = field(z.array(ratio).min(1, 'At least one ratio.').max(24, 'At most 24 ratios.'), {
  label: 'Ratios',
})
const kind = <const K extends keyof typeof GEARSET_KIND>(name: K) =>
  field(z.literal(name), { label: 'It is', words: GEARSET_KIND })

export const tyre = z
  .strictObject({
    kind: kind('tyre'),
    size: tyreOf.size,
    rollOut: tyreOf.rollOut,
    diameter: tyreOf.diameter,
    growth: tyreOf.growth,
  })
  .refine((t) => t.size !== '' || t.rollOut !== null || t.diameter !== null, {
    path: ['size'],
    message: 'Type its size, its roll-out or its diameter.',
  })

const gearbox = z
  .strictObject({
    kind: kind('gearbox'),
    ratios: field(several.max(10, 'At most ten gears.'), { label: 'Ratios, first to last' }),
  })
  .refine((s) => isRising(s.ratios.toReversed()), {
    path: ['ratios'],
    message: 'Each gear is taller than the one before: the ratios fall from first to last.',
  })

/** Something on the workshop's shelf that changes the gearing: a gearbox, final drives, gears in between, a tyre. */
export const gearset = defineKind({
  name: 'gearset',
  within: 'build',
  words: { one: 'set of gears', many: 'sets of gears' },
  sortedBy: 'order',
  most: 200,
  fields: {
    name: field(f.name, { label: 'Called', hint: 'Such as short drives' }),
    order: f.order,
    set: field(
      z.discriminatedUnion(
        'kind',
        [
          gearbox,
          /** The final drives there are, or the drop gears, quick-change pairs or transfer ratios. */
          z.strictObject({ kind: kind('finalDrive'), ratios: several }),
          z.strictObject({ kind: kind('between'), ratios: several }),
          tyre,
        ],
        'Choose gearbox, final drive, gears between or tyre.',
      ),
      { label: 'Set' },
    ),
    note: f.note,
  },
})
