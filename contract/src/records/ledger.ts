import { COMPARATORS, LINE_KINDS, MEASURES } from '@bold-ballast/core'
import * as z from 'zod'
import * as f from './fields'

export const SYSTEMS = [
  'body',
  'interior',
  'engine',
  'exhaust',
  'cooling',
  'fuel',
  'wiring',
  'driveline',
  'suspension',
  'brakes',
  'wheels',
  'aero',
  'safety',
  'electrics',
  'other',
] as const

/** One change: parts off, on, moved or carried over. */
export const swapRecord = z.strictObject({
  id: f.id,
  stageId: f.id,
  name: f.name,
  order: f.order,
  /** Hands on it, s; null when nobody counted. */
  workTime: z
    .number('Type a time, such as 6 h or 90 min.')
    .min(0, 'A time can’t be below zero.')
    .max(3.6e7, 'Over 10,000 hours: check the unit.')
    .nullable(),
  /** What it cost less what was sold, in the build's currency; null when nobody counted. */
  cost: z
    .number('Type an amount of money.')
    .min(-1e8, 'That is beyond counting.')
    .max(1e8, 'That is beyond counting.')
    .nullable(),
  note: f.note,
})

/** One part of a swap. */
export const lineRecord = z.strictObject({
  id: f.id,
  swapId: f.id,
  kind: z.enum(LINE_KINDS, 'Choose off, on, moved or carried over.'),
  name: f.name,
  system: z.enum(SYSTEMS, 'Choose the system it belongs to.'),
  mass: f.mass,
  sigma: f.sigma,
  grade: f.grade,
  quantity: z
    .int('Type a whole number of pieces.')
    .min(1, 'At least one piece.')
    .max(10_000, 'At most 10,000 pieces.'),
  /** True once it is off the car, or fitted to it. */
  fitted: z.boolean(),
  position: f.position.nullable(),
  /** Where a moved part goes. */
  movedTo: f.position.nullable(),
  order: f.order,
})

/** A target for one measure at one stage. Value and tolerance in SI units of the measure. */
export const markRecord = z.strictObject({
  id: f.id,
  stageId: f.id,
  measure: z.enum(MEASURES, 'Choose mass, wheel power or power to weight.'),
  comparator: z.enum(COMPARATORS, 'Choose at most, at least or within.'),
  value: z
    .number('Type the value to reach.')
    .gt(0, 'A mark must be above zero.')
    .max(1e7, 'That is out of reach: check the unit.'),
  tolerance: z
    .number()
    .min(0, 'A tolerance can’t be below zero.')
    .max(1e7, 'That is out of reach: check the unit.'),
})
