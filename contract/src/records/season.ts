import * as z from 'zod'
import { wear } from './component'
import * as f from './fields'

const times = z.int('Type a whole number.').min(0, 'Not below zero.').max(100_000, 'That is beyond counting.')

/** A day or a weekend on which the car ran, or will: what components wear by. */
export const outingRecord = z.strictObject({
  id: f.id,
  stageId: f.id,
  name: f.name,
  date: f.date,
  /** Still to come. */
  planned: z.boolean(),
  /** Of running; hours in s. */
  amounts: z.strictObject({
    hours: wear,
    laps: times,
    launches: times,
    trackDays: wear.max(1000, 'At most 1,000 days.'),
    heatCycles: times,
  }),
  /** Of the day, s; null where nobody timed it. */
  bestLap: z
    .number('Type a time, such as 63.5 s.')
    .gt(0, 'A lap takes some time.')
    .max(3600, 'Over an hour: check the unit.')
    .nullable(),
  /** Standing 402 m by a clock, s, and the highest speed that a logger or a gun read, m/s; null where nobody measured it. */
  quarterMile: z
    .number('Type a time, such as 12.4 s.')
    .gt(3, 'Under 3 s: check the unit.')
    .max(60, 'Over a minute: check the unit.')
    .nullable(),
  topSpeed: z
    .number('Type a speed, such as 230 km/h.')
    .gt(0, 'A speed is above zero.')
    .max(150, 'Over 540 km/h: check the unit.')
    .nullable(),
  note: f.note,
})

/** Something that was done to the car, or that gave out. */
export const serviceRecord = z.strictObject({
  id: f.id,
  stageId: f.id,
  date: f.date,
  kind: z.enum(['service', 'failure'], 'Choose service or failure.'),
  /** What it is about; null for the car as a whole. */
  componentId: f.id.nullable(),
  /** The component's life starts anew. */
  renewed: z.boolean(),
  what: f.name,
  /** Of a failure: what was changed shortly before it. */
  changedThen: z.string().trim().max(500, 'Keep it under 500 characters.'),
  parts: z
    .array(
      z.strictObject({
        name: f.name,
        quantity: z.int('Type how many.').min(1, 'At least one.').max(1000, 'At most 1,000.'),
        price: z
          .number('Type an amount of money.')
          .min(0, 'A price can’t be below zero.')
          .max(1e8, 'That is beyond counting.'),
      }),
    )
    .max(40, 'At most 40 parts.'),
  fluids: z.array(z.strictObject({ name: f.name, volume: f.volume })).max(20, 'At most 20 fluids.'),
  note: f.note,
})

/** Something to do or to measure that was taken on, so that it isn't forgotten. */
export const jobRecord = z.strictObject({
  id: f.id,
  stageId: f.id,
  name: f.name,
  order: f.order,
  kind: z.enum(['measurement', 'work'], 'Choose measurement or work.'),
  done: z.boolean(),
  /** Hands on it, s; null when nobody guessed. */
  workTime: z
    .number('Type a time, such as 2 h.')
    .min(0, 'A time can’t be below zero.')
    .max(3.6e7, 'Over 10,000 hours: check the unit.')
    .nullable(),
  /** The suggestion that it came from; empty for one's own. */
  from: z.string().trim().max(200, 'Keep it under 200 characters.'),
  note: f.note,
})
