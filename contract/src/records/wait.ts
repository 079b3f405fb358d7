import * as z from 'zod'
import { WAIT_KIND, WAIT_KINDS } from './choices'
import { defineKind } from './defineKind'
import { choice, field } from './field'
import * as f from './fields'

const days = (label: string, hint?: string) =>
  field(
    z
      .number('Type a time in days, such as 14.')
      .min(0, 'It can’t be below zero.')
      .max(1.6e8, 'Over five years: check the unit.')
      .nullable(),
    { quantity: 'time', unit: 'd', label, ...(hint && { hint }) },
  )

/** What a job waits for besides parts: an outside shop, a cure, a person, money. */
export const wait = defineKind({
  name: 'wait',
  within: 'stage',
  isFrozen: false,
  isLogged: true,
  words: { one: 'wait', many: 'waits' },
  sortedBy: 'order',
  most: 2000,
  fields: {
    name: field(f.name, { label: 'What is waited for' }),
    order: f.order,
    kind: choice(WAIT_KINDS, WAIT_KIND, 'It is', 'Choose what is waited for.'),
    /** The shop, or the person; promises are kept under this name. */
    supplier: f.words('Who', 120),
    /** What has to be done before it can begin. */
    after: field(z.array(field(f.id, { label: 'Job', link: 'job' })).max(60, 'At most 60 jobs.'), {
      label: 'Begins after',
      many: 'jobs',
    }),
    /** The day on which it began: given to the shop, sprayed, asked. */
    givenOn: field(f.date.nullable(), { label: 'Given on', hint: 'Empty until then' }),
    /** By the calendar, s. */
    lasts: days('Likely takes', 'By the calendar'),
    short: days('At the least'),
    long: days('At the most'),
    /** The day that is promised now, and the one that was promised first. */
    promisedFor: field(f.date.nullable(), { label: 'Promised for' }),
    promisedFirst: field(f.date.nullable(), { label: 'Promised first for', hint: 'Kept, to compare' }),
    backOn: field(f.date.nullable(), { label: 'Over, or back, on' }),
    cost: field(f.price.nullable(), { label: 'Cost' }),
    note: f.note,
  },
  check: (record) =>
    record
      .refine((w) => w.backOn === null || w.givenOn === null || w.givenOn <= w.backOn, {
        path: ['backOn'],
        message: 'It can’t be back before it was given.',
      })
      .refine((w) => w.promisedFor === null || w.givenOn === null || w.givenOn <= w.promisedFor, {
        path: ['promisedFor'],
        message: 'It is promised for a day before it was given.',
      })
      .refine((w) => w.short === null || w.lasts === null || w.short <= w.lasts, {
        path: ['short'],
        message: 'At the least is no more than what it likely takes.',
      })
      .refine((w) => w.long === null || w.lasts === null || w.long >= w.lasts, {
        path: ['long'],
        message: 'At the most is no less than what it likely takes.',
      }),
})
