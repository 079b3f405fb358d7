import { SYSTEM, SYSTEMS } from './choices'
import { defineKind } from './defineKind'
import { choice, field } from './field'
import * as f from './fields'

/** What a stage may cost, all of it or one system. */
export const budget = defineKind({
  name: 'budget',
  within: 'stage',
  isFrozen: false,
  words: { one: 'budget', many: 'budgets' },
  sortedBy: 'id',
  most: 500,
  fields: {
    system: field(choice(SYSTEMS, SYSTEM, 'System').nullable(), {
      label: 'For',
      hint: 'Empty: for the whole stage',
    }),
    amount: field(f.price, { label: 'Budget' }),
    note: f.note,
  },
})
