import { COMPARATORS, MEASURE_KINDS, MEASURES, type Measure } from '@bold-ballast/core'
import * as z from 'zod'
import { COMPARATOR, MEASURE } from './choices'
import { defineKind } from './defineKind'
import { choice, field, type FieldQuantity } from './field'
import * as f from './fields'

/** Measures of which nothing, or less, can be asked. */
const MAY_BE_NOTHING: ReadonlySet<string> = new Set([
  'downforce',
  'aeroBalance',
  'groundGap',
  'lockMargin',
  'padOff',
  'classFails',
  'price',
  'hours',
])

/** What a mark's figures are in. */
const quantity = ({ measure }: Readonly<Record<string, unknown>>): FieldQuantity =>
  measure === 'price' ? 'money' : (MEASURE_KINDS[measure as Measure]?.quantity ?? 'number')

/** A target for one measure at one stage. Value and tolerance in SI units of the measure. */
export const mark = defineKind({
  name: 'mark',
  within: 'stage',
  words: { one: 'mark', many: 'marks' },
  sortedBy: 'id',
  most: 2000,
  fields: {
    measure: choice(MEASURES, MEASURE, 'Measure', 'Choose what is to be reached.'),
    comparator: choice(COMPARATORS, COMPARATOR, 'It should be', 'Choose at most, at least or within.'),
    value: field(
      z
        .number('Type the value to reach.')
        .min(-1e7, 'That is out of reach: check the unit.')
        .max(1e7, 'That is out of reach: check the unit.'),
      { quantity, label: 'This much' },
    ),
    tolerance: field(
      z.number().min(0, 'A tolerance can’t be below zero.').max(1e7, 'That is out of reach: check the unit.'),
      { quantity, label: '±' },
    ),
    /** How much it counts beside others. */
    weight: field(
      z.number('Type a number, such as 1.').min(0.1, 'From 0.1 to 10.').max(10, 'From 0.1 to 10.'),
      {
        quantity: 'number',
        label: 'It counts',
        hint: '1 like most, 3 for what matters most',
      },
    ),
    /** Of a mass: the condition it is for; null for the build's own. */
    conditionId: f.linkTo('condition', 'For'),
    /** Counted from 1; null for whichever gear is best. */
    gear: field(
      z.int('Type a gear.').min(1, 'Gears count from 1.').max(12, 'At most twelve gears.').nullable(),
      { quantity: 'number', label: 'In gear', hint: 'Empty for whichever is best' },
    ),
    /** Of a lap: words that the day's name holds; empty for any. */
    place: field(f.words('Where', 120), { hint: 'Words of the day’s name; empty for any' }),
    /** Of a sector its number, of a corner and a reading its name. */
    part: field(f.words('Which', 80), {
      hint: 'The number of the sector, the name of the corner or of the reading',
    }),
    /** Of downforce and gap, m/s. */
    speed: field(
      z.number('Type a speed, such as 200 km/h.').gt(0, 'Above zero.').max(150, 'Over 540 km/h.').nullable(),
      { quantity: 'velocity', label: 'At' },
    ),
  },
  check: (record) =>
    record
      .refine((m) => m.value > 0 || MAY_BE_NOTHING.has(m.measure), {
        path: ['value'],
        message: 'A mark must be above zero.',
      })
      .refine((m) => MEASURE_KINDS[m.measure].need !== 'part' || m.part.trim() !== '', {
        path: ['part'],
        message: 'Say which: the number of the sector, the name of the corner or of the reading.',
      })
      .refine((m) => m.measure !== 'sectorTime' || /^[1-9]\d?$/.test(m.part.trim()), {
        path: ['part'],
        message: 'Sectors are counted from 1.',
      }),
})
