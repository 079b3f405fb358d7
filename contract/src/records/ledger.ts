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

export const FATES = ['unsaid', 'stored', 'sold', 'scrapped'] as const

const reading = z
  .number('Type what the scale reads, such as 4.21 kg.')
  .gt(0, 'A reading is above zero.')
  .max(20_000, 'That is over 20 t: check the unit.')

/** How a part was weighed. kg; the line's mass is what follows from it. */
const weighing = z.strictObject({
  readings: z.array(reading).min(1, 'At least one reading is needed.').max(20, 'At most 20 readings.'),
  tare: z
    .number('Type what the box or strap weighs, 0 for none.')
    .min(0, 'A tare can’t be below zero.')
    .max(5000, 'That is over 5 t: check the unit.'),
  resolution: z
    .number('Type the smallest step of the scale.')
    .gt(0, 'A scale has a step above zero.')
    .max(50, 'That step is too coarse for a part.'),
  /** The scale's own standard error as a share, which all parts weighed on it have in common. */
  bias: z
    .number('Type a share in per cent.')
    .min(0, 'An error can’t be below zero.')
    .max(0.2, 'Over 20 % is no scale.'),
  scale: z.string().trim().max(80, 'Keep it under 80 characters.'),
  pieces: z
    .int('Type a whole number of pieces.')
    .min(1, 'At least one piece.')
    .max(10_000, 'At most 10,000 pieces.'),
  /** Names all lines that were weighed together and shared out; null for a weighing of its own. */
  together: f.id.nullable(),
})

const source = z.string().trim().max(80, 'Keep it under 80 characters.')

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
  /** The day it came off or went on; null where nobody noted it. */
  changedOn: f.date.nullable(),
  position: f.position.nullable(),
  /** Where a moved part goes. */
  movedTo: f.position.nullable(),
  order: f.order,
  /** An allowance stands for bits and bobs that nobody weighed; lines added to its swap come out of it. */
  role: z.enum(['part', 'allowance'], 'Choose a part or an allowance.'),
  weighing: weighing.nullable(),
  /** What became of a part that came off. */
  fate: z.enum(FATES, 'Choose what became of it.'),
  /** The line that this part was before: what came off and went on again elsewhere. */
  fromLine: f.id.nullable(),
  /** Where the figure is from: a maker's sheet, a seller, whose feel. */
  source,
  /** What a guess or a maker's claim was before the part was weighed; null where nobody said anything. */
  said: z
    .strictObject({ mass: f.mass, grade: z.enum(['guess', 'claim'], 'Choose guess or claim.'), source })
    .nullable(),
  /** More of the same at other places. */
  alsoAt: z
    .array(
      z.strictObject({
        position: f.position,
        quantity: z
          .int('Type a whole number of pieces.')
          .min(1, 'At least one piece.')
          .max(10_000, 'At most 10,000 pieces.'),
      }),
    )
    .max(24, 'At most 25 places.'),
})

/** Measures of which nothing, or less, can be asked. */
const MAY_BE_NOTHING: ReadonlySet<string> = new Set([
  ...['downforce', 'aeroBalance', 'groundGap', 'classFails', 'price', 'hours'],
])

/** A target for one measure at one stage. Value and tolerance in SI units of the measure. */
export const markRecord = z
  .strictObject({
    id: f.id,
    stageId: f.id,
    measure: z.enum(MEASURES, 'Choose what is to be reached.'),
    comparator: z.enum(COMPARATORS, 'Choose at most, at least or within.'),
    value: z
      .number('Type the value to reach.')
      .min(-1e7, 'That is out of reach: check the unit.')
      .max(1e7, 'That is out of reach: check the unit.'),
    tolerance: z
      .number()
      .min(0, 'A tolerance can’t be below zero.')
      .max(1e7, 'That is out of reach: check the unit.'),
    /** How much it counts beside others. */
    weight: z.number('Type a number, such as 1.').min(0.1, 'From 0.1 to 10.').max(10, 'From 0.1 to 10.'),
    /** Of a mass: the condition it is for; null for the build's own. */
    conditionId: f.id.nullable(),
    /** Counted from 1; null for whichever gear is best. */
    gear: z.int('Type a gear.').min(1, 'Gears count from 1.').max(12, 'At most twelve gears.').nullable(),
    /** Of a lap: words that the day's name holds; empty for any. */
    place: z.string().trim().max(120, 'Keep it under 120 characters.'),
    /** Of downforce and gap, m/s. */
    speed: z
      .number('Type a speed, such as 200 km/h.')
      .gt(0, 'Above zero.')
      .max(150, 'Over 540 km/h.')
      .nullable(),
  })
  .refine((m) => m.value > 0 || MAY_BE_NOTHING.has(m.measure), {
    path: ['value'],
    message: 'A mark must be above zero.',
  })
