import * as z from 'zod'
import { wear } from './component'
import { defineKind } from './defineKind'
import { field } from './field'
import * as f from './fields'

const times = field(
  z.int('Type a whole number.').min(0, 'Not below zero.').max(100_000, 'That is beyond counting.'),
  { quantity: 'number' },
)

/** A day or a weekend on which the car ran, or will: what components wear by. */
export const outing = defineKind({
  name: 'outing',
  within: 'stage',
  isLogged: true,
  words: { one: 'outing', many: 'outings' },
  sortedBy: 'date',
  most: 2000,
  fields: {
    name: field(f.name, { label: 'Where and what', hint: 'Such as Quarry Hill, practice' }),
    date: f.date,
    planned: field(z.boolean(), { label: 'Still to come' }),
    /** Of running; hours in s. */
    amounts: field(
      z.strictObject({
        hours: field(wear, { quantity: 'time', label: 'Running', hint: 'Engine on, such as 2.5 h' }),
        laps: field(times, { label: 'Laps or runs' }),
        launches: field(times, { label: 'Launches, clutch kicks' }),
        trackDays: field(wear.max(1000, 'At most 1,000 days.'), {
          quantity: 'number',
          label: 'Track days',
          hint: 'Half a day is 0.5',
        }),
        heatCycles: field(times, { label: 'Heat cycles', hint: 'Cold to hot and back' }),
      }),
      { label: 'Ran' },
    ),
    /** Of the day, s; null where nobody timed it. */
    bestLap: field(
      z
        .number('Type a time, such as 63.5 s.')
        .gt(0, 'A lap takes some time.')
        .max(3600, 'Over an hour: check the unit.')
        .nullable(),
      { quantity: 'time', unit: 's', label: 'Best lap', hint: 'Empty where nobody timed it' },
    ),
    /** Standing 402 m by a clock, s, and the highest speed that a logger or a gun read, m/s; null where nobody measured it. */
    quarterMile: field(
      z
        .number('Type a time, such as 12.4 s.')
        .gt(3, 'Under 3 s: check the unit.')
        .max(60, 'Over a minute: check the unit.')
        .nullable(),
      { quantity: 'time', unit: 's', label: 'Standing 402 m', hint: 'By the clock of a strip' },
    ),
    topSpeed: field(
      z
        .number('Type a speed, such as 230 km/h.')
        .gt(0, 'A speed is above zero.')
        .max(150, 'Over 540 km/h: check the unit.')
        .nullable(),
      { quantity: 'velocity', label: 'Highest speed', hint: 'Off a logger or a speed gun' },
    ),
    /** The sheet that it was driven on. */
    setupId: f.linkTo('setup', 'Set-up sheet'),
    courseId: f.linkTo('course', 'Course'),
    /** Entry, tickets and the like; parts are what was renewed that day. */
    cost: field(f.price.nullable(), { label: 'Entry and the like' }),
    fuelCost: field(f.price.nullable(), { label: 'Fuel' }),
    tyreCost: field(f.price.nullable(), { label: 'Tyres used up' }),
    result: field(
      z
        .strictObject({
          place: field(f.count(1000, 'At most 1,000.', 'Type the place.'), { label: 'Place' }),
          of: field(f.count(1000, 'At most 1,000.', 'Type of how many.').nullable(), { label: 'Of' }),
          points: field(
            z.number('Type points.').min(-1000, 'Below −1,000.').max(100_000, 'Beyond counting.').nullable(),
            { quantity: 'number', label: 'Points' },
          ),
        })
        .nullable(),
      { label: 'Result' },
    ),
    /** Tools and the like that go along. */
    take: field(
      z
        .array(
          z.strictObject({
            name: field(f.name, { label: 'Tool or thing' }),
            packed: field(z.boolean(), { label: 'Packed' }),
          }),
        )
        .max(150, 'At most 150 things.'),
      { label: 'To take', many: 'things' },
    ),
    note: f.note,
  },
})
