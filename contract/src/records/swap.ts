import * as z from 'zod'
import { defineKind } from './defineKind'
import { field } from './field'
import * as f from './fields'

/** One change: parts off, on, moved or carried over. */
export const swap = defineKind({
  name: 'swap',
  within: 'stage',
  words: { one: 'swap', many: 'swaps' },
  sortedBy: 'order',
  most: 5000,
  fields: {
    name: f.name,
    order: f.order,
    /** Hands on it, s; null when nobody counted. */
    workTime: field(f.workTime('6 h or 90 min').nullable(), { hint: 'Empty while nobody counts' }),
    /** What it cost less what was sold, in the build's currency; null when nobody counted. */
    cost: field(
      z
        .number('Type an amount of money.')
        .min(-1e8, 'That is beyond counting.')
        .max(1e8, 'That is beyond counting.')
        .nullable(),
      { quantity: 'money', label: 'Cost', hint: 'Less what was sold; below zero when it paid' },
    ),
    note: f.note,
  },
})
