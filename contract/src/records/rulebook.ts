import { RULE_MEASURES, type RuleMeasure } from '@bold-ballast/core'
import * as z from 'zod'
import { COMPARATOR, RULE_MEASURE } from './choices'
import { defineKind } from './defineKind'
import { choice, field } from './field'
import * as f from './fields'

const MEASURES = Object.keys(RULE_MEASURES) as [RuleMeasure, ...RuleMeasure[]]

export const rule = z.strictObject({
  id: f.id,
  measure: choice(MEASURES, RULE_MEASURE, 'About', 'Choose what is limited.'),
  comparator: choice(
    ['atMost', 'atLeast'],
    { atMost: COMPARATOR.atMost, atLeast: COMPARATOR.atLeast },
    'It allows',
    'Choose at most or at least.',
  ),
  limit: field(z.number('Type the limit.').min(-10, 'Check the unit.').max(1e7, 'Check the unit.'), {
    quantity: ({ measure }) => RULE_MEASURES[measure as RuleMeasure] ?? 'number',
    label: 'Limit',
  }),
  wording: f.words('In the scrutineer’s words', 400),
  clause: f.words('Clause', 60),
})

/** The rules of a class as the builder read them, dated: the organiser's own book decides. Limits in SI. */
export const rulebook = defineKind({
  name: 'rulebook',
  within: 'build',
  words: { one: 'rulebook', many: 'rulebooks' },
  sortedBy: 'order',
  most: 50,
  fields: {
    name: field(f.name, { label: 'Class' }),
    order: f.order,
    date: field(f.date, { label: 'Dated' }),
    edition: f.words('Edition', 60),
    rules: field(z.array(rule).max(80, 'At most 80 rules.'), { label: 'Rules', many: 'rules' }),
    note: f.note,
  },
})
