import { DYNO_KINDS, PULL_ROLES } from '@bold-ballast/core'
import * as z from 'zod'
import { airReading, timeOfDay } from './airReading'
import { BOOST_CONTROL, BOOST_CONTROLS, DYNO_KIND } from './choices'
import { defineKind } from './defineKind'
import { choice, field } from './field'
import * as f from './fields'

const reading = airReading.extend({
  time: field(timeOfDay, { label: 'Read at', hint: 'Empty if not noted' }),
})

const mixture = (such: string) =>
  z.number(`Type a λ, such as ${such}.`).min(0.4, 'Below λ 0.4 nothing burns.').max(2, 'Over λ 2.')
/** What the log of a pull should stay within. */
const limits = z
  .strictObject({
    richest: field(mixture('0.75'), { quantity: 'lambda', label: 'Richest under load' }),
    leanest: field(mixture('0.9'), { quantity: 'lambda', label: 'Leanest under load' }),
    /** Pa for every 1,000 rpm. */
    oilPer1000: field(
      z
        .number('Type a pressure, such as 0.7 bar.')
        .min(0, 'A pressure can’t be below zero.')
        .max(3e5, 'Over 3 bar for 1,000 rpm: check the unit.'),
      { quantity: 'pressure', unit: 'bar', label: 'Oil pressure a 1,000 rpm' },
    ),
    /** K */
    coolant: field(
      z
        .number('Type a temperature, such as 70 °C.')
        .min(273, 'Below freezing: check the unit.')
        .max(423, 'Above 150 °C: check the unit.'),
      { quantity: 'temperature', label: 'Coolant at least' },
    ),
  })
  .refine((l) => l.leanest > l.richest, {
    path: ['leanest'],
    message: 'The leanest λ lies above the richest.',
  })

/** Which column of this dyno's files holds what, so that the next file needn't be matched again. */
export const dynoColumns = z.strictObject({
  columns: z.partialRecord(
    z.enum(PULL_ROLES),
    z.strictObject({ title: z.string().max(200), unit: z.string().max(20).nullable() }),
  ),
  decimal: z.enum(['.', ',']),
})
export type PrintoutColumns = z.infer<typeof dynoColumns>

/** A session of pulls on one dyno. */
export const dynoDay = defineKind({
  name: 'dynoDay',
  within: 'stage',
  isLogged: true,
  words: { one: 'dyno day', many: 'dyno days' },
  sortedBy: 'date',
  most: 1000,
  fields: {
    date: f.date,
    dyno: field(f.name, { label: 'Dyno' }),
    kind: choice(DYNO_KINDS, DYNO_KIND, 'Kind', 'Choose the kind of dyno.'),
    /** Standard deviation of repeats as a share of the figure. */
    repeatability: field(
      z.number().gt(0, 'No dyno repeats exactly; 1.5 % is usual.').max(0.2, 'Over 20 % proves nothing.'),
      { quantity: 'share', label: 'Repeats to ±', hint: '1.5 % is usual' },
    ),
    fuel: f.words('Fuel, as labelled', 80),
    /** Measured ethanol by volume; `null` when nobody measured it. */
    ethanol: field(f.share.nullable(), { label: 'Ethanol, measured', hint: 'Empty if nobody measured' }),
    boostControl: choice(BOOST_CONTROLS, BOOST_CONTROL, 'Boost', 'Choose how boost is held.'),
    /** The gear of the pulls, counted from 1. */
    gear: field(
      z
        .int('Type a gear, such as 4.')
        .min(1, 'Gears count from 1.')
        .max(10, 'At most the tenth gear.')
        .nullable(),
      { quantity: 'number', label: 'Gear of the pulls', hint: 'Such as 4' },
    ),
    air: field(z.array(reading).max(48, 'At most 48 readings a day.'), { label: 'Air', many: 'readings' }),
    /** The correction the sheet was printed under. */
    sheetCorrection: field(f.correction, {
      label: 'The sheet’s figures are',
      hint: 'It stands in small print on the sheet. Observed means not corrected.',
    }),
    /** `null` takes the usual ones. */
    limits: field(limits.nullable(), { label: 'Limits' }),
    sheetColumns: field(dynoColumns.nullable(), { label: 'Columns', whole: 'columns of its files' }),
    note: field(f.note, { hint: 'Tyre pressure, straps, fan' }),
  },
})
