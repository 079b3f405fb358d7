import * as z from 'zod'
import { ALIGNED_BY } from './choices'
import { defineKind } from './defineKind'
import { choice, field } from './field'
import * as f from './fields'
import { camber, toe, toeWidth } from './setup'

const readings = (each: z.ZodNumber) =>
  z
    .array(z.strictObject({ angle: field(each, { quantity: 'angle', label: 'Reading' }) }))
    .max(8, 'At most 8 readings.')

const steered = z.strictObject({
  /** Turned each way on the plates, rad. */
  angle: field(
    z
      .number('Type an angle, such as 20°.')
      .min(0.08, 'Below 5° caster can’t be told.')
      .max(0.8, 'Over 45°: check the unit.'),
    { quantity: 'angle', label: 'Turned each way' },
  ),
  /** Camber with the wheel turned in, and turned out. */
  turnedIn: field(camber, { quantity: 'angle', label: 'Camber, turned in' }),
  turnedOut: field(camber, { quantity: 'angle', label: 'Camber, turned out' }),
})
const sweeps = z.array(steered).max(6, 'At most 6 sweeps.')

/** An alignment session: what string, plates and gauge read, as often as they were read. SI. */
export const alignment = defineKind({
  name: 'alignment',
  within: 'stage',
  isLogged: true,
  words: { one: 'alignment', many: 'alignments' },
  sortedBy: 'date',
  most: 500,
  fields: {
    date: f.date,
    by: choice(
      ['string', 'plates', 'gauge'],
      ALIGNED_BY,
      'Measured with',
      'Choose what it was measured with.',
    ),
    toeWidth,
    /** kg on the seat, 0 for nobody. */
    driver: field(f.mass.max(300, 'That is over 300 kg: check the unit.'), {
      label: 'Driver in the seat',
      hint: '0 for nobody',
    }),
    heights: field(f.corners(f.length('110 mm', 0, 0.6, '0 to 600 mm').nullable()), {
      label: 'Ride heights',
    }),
    toe: field(f.corners(readings(toe)), { label: 'Toe', hint: 'In above zero' }),
    camber: field(f.corners(readings(camber)), { label: 'Camber' }),
    sweeps: field(
      z.strictObject({
        left: field(sweeps, { label: 'Left wheel', many: 'sweeps' }),
        right: field(sweeps, { label: 'Right wheel', many: 'sweeps' }),
      }),
      { label: 'On turning plates' },
    ),
    /** What a single reading is good to, rad. */
    step: field(
      z
        .number('Type an angle, such as 0.05°.')
        .gt(0, 'No gauge is exact.')
        .max(0.02, 'Over 1° tells nothing.'),
      { quantity: 'angle', label: 'Step of the gauge' },
    ),
    setupId: f.linkTo('setup', 'Set-up sheet'),
    note: f.note,
  },
})
