import * as z from 'zod'
import { airReading, timeOfDay } from './airReading'
import { discTemperature } from './brakes'
import {
  FEELS,
  HANDLING,
  HOLDS,
  LAP_IS,
  LAP_MARKS,
  LIMIT_BY,
  RUN_CHECK,
  RUN_CHECKS,
  RUN_KIND,
  RUN_KINDS,
  RUN_PURPOSE,
  RUN_PURPOSES,
  TRACK_STATE,
  TRACK_STATES,
} from './choices'
import { defineKind } from './defineKind'
import { choice, field } from './field'
import * as f from './fields'
import { reading, readIn } from './limit'
import { gauge } from './setup'
import { tread } from './tyreReading'

const lapTime = z
  .number('Type a time, such as 1:26.4 or 63.5 s.')
  .gt(0, 'A lap takes some time.')
  .max(7200, 'Over two hours: check the unit.')
const speed = z
  .number('Type a speed, such as 86 km/h.')
  .gt(0, 'A speed is above zero.')
  .max(150, 'Over 540 km/h: check the unit.')

const lap = z.strictObject({
  /** Null where nobody timed it, such as a drift run. */
  time: field(lapTime.nullable(), { quantity: 'time', unit: 's', label: 'Time' }),
  is: choice(LAP_MARKS, LAP_IS, 'It is'),
  /** s of each sector, in order. */
  sectors: field(z.array(field(lapTime, { quantity: 'time', unit: 's' })).max(20, 'At most 20 sectors.'), {
    label: 'Sectors',
    many: 'sectors',
  }),
  /** Of a drift run. */
  entry: field(speed.nullable(), { quantity: 'velocity', label: 'Entry speed' }),
  angle: field(
    z
      .number('Type an angle, such as 45°.')
      .min(0, 'From 0 to 90°.')
      .max(Math.PI / 2, 'From 0 to 90°.')
      .nullable(),
    { quantity: 'angle', label: 'Angle' },
  ),
  judged: field(
    z.number('Type points.').min(0, 'Not below zero.').max(10_000, 'Beyond counting.').nullable(),
    { quantity: 'number', label: 'Judged' },
  ),
})

const felt = (label: string) =>
  field(z.enum(FEELS).nullable(), {
    label,
    words: { pushes: HANDLING.pushes, right: HANDLING.right, turnsTooMuch: HANDLING.turnsTooMuch },
  })
const holds = (label: string) =>
  field(z.enum(HOLDS).nullable(), {
    label,
    words: { front: HANDLING.front, right: HANDLING.right, rear: HANDLING.rear },
  })

/** Once out and in: who drove, on what, how it went, and what was read straight after. SI. */
export const run = defineKind({
  name: 'run',
  within: 'outing',
  isLogged: true,
  words: { one: 'run', many: 'runs' },
  sortedBy: 'order',
  most: 20_000,
  fields: {
    order: f.order,
    session: field(f.words('Session or ticket', 60), { hint: 'Such as morning, or ticket 3' }),
    kind: choice(RUN_KINDS, RUN_KIND, 'It is'),
    purpose: choice(RUN_PURPOSES, RUN_PURPOSE, 'It is for'),
    planned: field(z.boolean(), { label: 'Still to come' }),
    /** s that are planned for it. */
    lasts: field(
      z
        .number('Type a time, such as 20 min.')
        .gt(0, 'A run takes some time.')
        .max(90_000, 'Over a day: check the unit.')
        .nullable(),
      { quantity: 'time', unit: 'min', label: 'Takes' },
    ),
    time: field(timeOfDay, { label: 'Out at' }),
    driver: f.words('Driver', 80),
    setupId: f.linkTo('setup', 'Set-up sheet'),
    change: field(f.words('The one change', 400), {
      hint: 'Against the run before; empty where nothing was changed',
    }),
    tyres: field(f.words('Set of tyres', 60), { hint: 'As it is called, such as set 2' }),
    /** On them as the run began. */
    tyreLaps: field(z.int('Type laps.').min(0, 'Not below zero.').max(10_000, 'At most 10,000.').nullable(), {
      quantity: 'number',
      label: 'Laps on them before',
    }),
    fuel: field(f.volume.nullable(), { label: 'Fuel at the start' }),
    air: field(airReading.nullable(), { label: 'Air' }),
    track: choice(TRACK_STATES, TRACK_STATE, 'The track is'),
    laps: field(z.array(lap).max(500, 'At most 500 laps a run.'), { label: 'Laps', many: 'laps' }),
    cold: field(f.corners(field(gauge.nullable(), { quantity: 'pressure' })), { label: 'Cold, before' }),
    hot: field(f.corners(field(gauge.nullable(), { quantity: 'pressure' })), {
      label: 'Hot, straight after',
    }),
    treads: field(f.corners(tread.nullable()), { label: 'Treads' }),
    discs: field(f.corners(field(discTemperature('420 °C').nullable(), { quantity: 'temperature' })), {
      label: 'Discs, straight after',
    }),
    /** Of a nitrous bottle, Pa. */
    bottle: field(
      z
        .number('Type a pressure, such as 62 bar.')
        .gt(0, 'Gauge pressure is above zero.')
        .max(2e7, 'Over 200 bar: check the unit.')
        .nullable(),
      { quantity: 'pressure', unit: 'bar', label: 'Bottle, after' },
    ),
    words: field(
      z.strictObject({
        braking: holds('Braking'),
        entry: felt('Entry'),
        middle: felt('Middle'),
        exit: felt('Exit'),
        traction: holds('Traction'),
      }),
      { label: 'The driver says' },
    ),
    /** What gauges read at their worst, SI. */
    readings: field(
      z
        .array(
          z.strictObject({
            name: field(f.name, { label: 'Of' }),
            quantity: readIn,
            value: field(reading, { label: 'Worst reading' }),
            /** Engine speed or temperature at that moment, where its limit depends on it. */
            at: field(z.number('Type where it was read.').min(0, 'Not below zero.').max(10_000).nullable(), {
              quantity: (around) => (around['by'] === 'temperature' ? 'temperature' : 'engineSpeed'),
              label: 'At',
            }),
            by: choice(['nothing', 'engineSpeed', 'temperature'], LIMIT_BY, 'Read with'),
          }),
        )
        .max(40, 'At most 40 readings.'),
      { label: 'Readings', many: 'readings' },
    ),
    fault: field(f.words('What gave trouble', 500), { hint: 'Empty where nothing did' }),
    added: field(
      z
        .array(z.strictObject({ name: f.name, volume: field(f.volume, { label: 'Filled' }) }))
        .max(20, 'At most 20 fluids.'),
      { label: 'Fluids added', many: 'fluids' },
    ),
    /** What was done after it. */
    checks: field(z.array(choice(RUN_CHECKS, RUN_CHECK, 'Done')).max(RUN_CHECKS.length), {
      label: 'Done after it',
      many: 'checks',
    }),
    /** Least speeds of its best lap by corner, off a log. */
    corners: field(
      z
        .array(
          z.strictObject({ name: f.name, least: field(speed, { quantity: 'velocity', label: 'Least' }) }),
        )
        .max(100, 'At most 100 corners.'),
      { label: 'Least speeds', many: 'corners' },
    ),
    note: f.note,
  },
})
