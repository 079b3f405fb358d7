import * as z from 'zod'
import { defineKind } from './defineKind'
import { field } from './field'
import * as f from './fields'

const item = z.strictObject({
  name: f.name,
  price: field(
    z
      .number('Type an amount of money.')
      .min(-1e8, 'That is beyond counting.')
      .max(1e8, 'That is beyond counting.'),
    { quantity: 'money', label: 'Price' },
  ),
  /** kg onto the car; below zero for what comes off. */
  mass: field(
    z.number('Type a mass, 0 for none.').min(-2000, 'Check the unit.').max(2000, 'Over 2 t: check the unit.'),
    { quantity: 'mass', label: 'Mass' },
  ),
  massGrade: field(f.grade, { label: 'Mass by' }),
  needed: field(z.boolean(), { label: 'Can’t do without it' }),
  wanted: field(z.boolean(), { label: 'Wanted' }),
})

const option = z.strictObject({
  id: f.id,
  name: f.name,
  /** Wheel power it brings, W. */
  power: field(
    z
      .number('Type a power, 0 for none.')
      .min(-3e6, 'Check the unit.')
      .max(3e6, 'That is over 3,000 kW: check the unit.'),
    { quantity: 'power', label: 'Brings at the wheels', hint: '0 for none' },
  ),
  powerGrade: field(f.grade, { label: 'Power known by' }),
  workTime: f.workTime('6 h'),
  forces: f.words('What else it forces', 500, 'Keep it under 500 characters.'),
  items: field(z.array(item).max(40, 'At most 40 items.'), { label: 'Items', many: 'items' }),
})

/** Alternatives for one job, each with everything that has to be bought with it. */
export const optionSet = defineKind({
  name: 'optionSet',
  within: 'stage',
  words: { one: 'comparison', many: 'comparisons' },
  sortedBy: 'order',
  most: 200,
  fields: {
    name: field(f.name, { label: 'The job', hint: 'Such as “another five kilowatts”' }),
    order: f.order,
    options: field(
      z.array(option).min(1, 'At least one alternative.').max(8, 'At most eight alternatives.'),
      { label: 'Alternatives', many: 'alternatives' },
    ),
    note: f.note,
  },
})
