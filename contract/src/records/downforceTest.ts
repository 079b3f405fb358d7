import * as z from 'zod'
import { wingAngle } from './aeroElement'
import { airReading } from './airReading'
import { defineKind } from './defineKind'
import { choice, field } from './field'
import * as f from './fields'
import { wheelRate } from './wheelRate'

const motionRatio = field(
  z
    .number('Type the ratio of damper travel to wheel travel, such as 0.9; 1 for ride heights.')
    .min(0.1, 'Below 0.1: damper travel over wheel travel is meant.')
    .max(3, 'Over 3: damper travel over wheel travel is meant.'),
  { quantity: 'number' },
)
const place = f.length('32.5 mm', -2, 2, '−2 to 2 m')

const stretch = z.strictObject({
  speed: field(z.number('Type a speed.').min(0, 'Below zero.').max(150, 'Over 540 km/h: check the unit.'), {
    quantity: 'velocity',
  }),
  front: place,
  rear: place,
  held: field(z.number('Type a time.').min(0, 'Below zero.').max(3600, 'Over an hour.'), {
    quantity: 'time',
    unit: 's',
  }),
})
const run = z.strictObject({
  /** The wing that was set differently, and to what; null where none was turned. */
  wingId: f.linkTo('aeroElement', 'Wing'),
  angle: field(wingAngle.nullable(), { label: 'Set to' }),
  points: field(
    z
      .array(stretch)
      .min(3, 'A run needs three steady stretches or more.')
      .max(500, 'At most 500 stretches a run.'),
    { label: 'Steady stretches', many: 'stretches' },
  ),
})

/** Where the suspension stood at several steady speeds, and what turns that into loads. SI. */
export const downforceTest = defineKind({
  name: 'downforceTest',
  within: 'stage',
  isLogged: true,
  words: { one: 'downforce log', many: 'downforce logs' },
  sortedBy: 'date',
  most: 200,
  fields: {
    date: f.date,
    name: field(f.name, { label: 'Where' }),
    sensor: choice(
      ['damper', 'rideHeight'],
      { damper: 'damper travel', rideHeight: 'ride heights' },
      'Logged',
      'Choose what was logged.',
    ),
    motionRatio: field(f.axles(motionRatio), { label: 'Damper over wheel' }),
    wheelRate: field(f.axles(wheelRate), { label: 'One wheel' }),
    air: field(airReading, { label: 'Air' }),
    /** True speed of the air over the speed that was logged. */
    speedFactor: field(
      z
        .number('Type a factor; 1 where nobody checked it.')
        .min(0.5, 'From 0.5 to 2.')
        .max(2, 'From 0.5 to 2.'),
      { quantity: 'number', label: 'Speed of the air, times', hint: 'Over what was logged' },
    ),
    runs: field(
      z.array(run).min(1, 'Add a run: a log in which several speeds are held.').max(20, 'At most 20 runs.'),
      { label: 'Runs', many: 'runs' },
    ),
    note: f.note,
  },
})
