import * as z from 'zod'
import { airReading } from './airReading'
import { defineKind } from './defineKind'
import { choice, field } from './field'
import * as f from './fields'

const MOST_POINTS = 4000

const point = z.strictObject({
  time: field(z.number('Type a time in seconds.').min(0, 'A run starts at 0 s.').max(3600, 'Over an hour.'), {
    quantity: 'time',
    unit: 's',
  }),
  speed: field(z.number('Type a speed.').min(0, 'Below zero.').max(150, 'Over 540 km/h: check the unit.'), {
    quantity: 'velocity',
  }),
})
const run = z.strictObject({
  direction: choice(['out', 'back'], { out: 'out', back: 'back' }, 'Way', 'Choose out or back.'),
  points: field(
    z
      .array(point)
      .min(10, 'A run needs ten points or more.')
      .max(MOST_POINTS, `At most ${MOST_POINTS} points a run.`),
    { label: 'Log', many: 'points' },
  ),
})

/** The car rolled out, out of gear, one way and the other. SI. */
export const coastDown = defineKind({
  name: 'coastDown',
  within: 'stage',
  isLogged: true,
  words: { one: 'coast-down', many: 'coast-downs' },
  sortedBy: 'date',
  most: 200,
  fields: {
    date: f.date,
    name: field(f.name, { label: 'Where' }),
    /** As it rolled, with everybody aboard, kg; and what its turning wheels add to that. */
    mass: field(f.mass.min(50, 'A car weighs at least 50 kg: check the unit.'), {
      label: 'Mass, everybody aboard',
    }),
    equivalentMass: field(
      z
        .number('Type a mass, such as 50 kg.')
        .min(0, 'It can’t be below zero.')
        .max(500, 'Over 500 kg: check the unit.'),
      { quantity: 'mass', label: 'Wheels, felt as mass', hint: 'About 45 kg' },
    ),
    air: field(airReading, { label: 'Air' }),
    runs: field(
      z
        .array(run)
        .min(1, 'Add a run: a log of time and speed while it rolls out.')
        .max(12, 'At most 12 runs.'),
      { label: 'Runs', many: 'runs' },
    ),
    note: f.note,
  },
})
