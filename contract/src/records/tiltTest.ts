import * as z from 'zod'
import { AXLE_END } from './choices'
import { defineKind } from './defineKind'
import { choice, field } from './field'
import * as f from './fields'

const tilt = z.strictObject({
  lift: field(
    z
      .number('Type how far the axle was raised, such as 300 mm.')
      .gt(0, 'An axle that was not raised tells nothing.')
      .max(1.5, 'Over 1.5 m: check the unit.'),
    { quantity: 'length', label: 'Raised by' },
  ),
  gain: field(
    z
      .number('Type what the level axle read more than on the flat.')
      .min(-500, 'That is half a tonne less: check the sign.')
      .max(2000, 'That is over 2 t more: check the unit.'),
    { quantity: 'mass', label: 'The other axle gains' },
  ),
})

/** A tilt test for the height of the centre of mass: what the level axle gains as the other is raised. */
export const tiltTest = defineKind({
  name: 'tiltTest',
  within: 'stage',
  isLogged: true,
  words: { one: 'tilt test', many: 'tilt tests' },
  sortedBy: 'date',
  most: 500,
  fields: {
    date: f.date,
    raised: choice(['front', 'rear'], AXLE_END, 'Axle that is raised', 'Choose the axle that was raised.'),
    /** Whole mass as it stood, kg. */
    mass: field(
      z
        .number('Type what the whole car weighed, such as 868 kg.')
        .gt(0, 'A car weighs more than nothing.')
        .max(20_000, 'That is over 20 t: check the unit.'),
      { quantity: 'mass', label: 'Whole car, as it stands' },
    ),
    /** Static loaded radius of the tyres, m. */
    radius: field(
      z
        .number('Type the height of a wheel’s centre, such as 290 mm.')
        .min(0.05, 'Below 50 mm: check the unit.')
        .max(0.6, 'Over 600 mm: check the unit.'),
      { quantity: 'length', label: 'Wheel centre above the floor', hint: 'Loaded, mean of both axles' },
    ),
    tilts: field(z.array(tilt).min(1, 'At least one lift is needed.').max(12, 'At most 12 lifts.'), {
      label: 'Lifts',
    }),
    /** Standard error of a gain, kg. */
    gainSigma: field(
      z
        .number('Type how well a gain is known.')
        .gt(0, 'No scale is exact.')
        .max(100, 'Over 100 kg proves nothing.'),
      { quantity: 'mass', label: 'A gain is good to ±' },
    ),
    /** Standard error of a lift, m. */
    liftSigma: field(
      z
        .number('Type how well a lift is known.')
        .min(0, 'It can’t be below zero.')
        .max(0.1, 'Over 100 mm proves nothing.'),
      { quantity: 'length', label: 'A lift is good to ±' },
    ),
    note: f.note,
  },
})
