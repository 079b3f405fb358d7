import { INSTRUMENT_KINDS } from '@bold-ballast/core'
import * as z from 'zod'
import { INSTRUMENT_KIND } from './choices'
import { defineKind } from './defineKind'
import { choice, field } from './field'
import * as f from './fields'

const share = (what: string, most: number, over: string) =>
  field(z.number(what).min(0, 'It can’t be below zero.').max(most, over), { quantity: 'share' })

/**
 * A scale or a dyno of the workshop, known by its name: what is read on it in any build goes by it. Its readings are off
 * anew each time, and all together by an error of its own, which no repeat removes.
 */
export const instrument = defineKind({
  name: 'instrument',
  within: 'build',
  isLogged: true,
  words: { one: 'scale or dyno', many: 'scales and dynos' },
  sortedBy: 'order',
  most: 200,
  fields: {
    name: field(f.name, { hint: 'As weigh-ins and dyno days name it' }),
    order: f.order,
    kind: choice(INSTRUMENT_KINDS, INSTRUMENT_KIND, 'Kind', 'Choose what it is.'),
    /** Smallest step of a scale, kg; null for a dyno. */
    resolution: field(
      z
        .number('Type the smallest step, such as 0.5 kg.')
        .gt(0, 'A scale has a step above zero.')
        .max(50, 'That step is too coarse.')
        .nullable(),
      { quantity: 'mass', label: 'Smallest step', hint: 'What its last digit counts' },
    ),
    /** Standard deviation of one reading, as a share. */
    repeatability: field(share('Type a share, such as 1.5 %.', 0.2, 'Over 20 % proves nothing.'), {
      label: 'Repeats to ±',
    }),
    /** Standard uncertainty that all its readings share, as a share. */
    ownError: field(share('Type a share, such as 0.1 %.', 0.3, 'Over 30 % proves nothing.'), {
      label: 'Its own error, ±',
    }),
    /** Standard deviation between days, as a share; null for a scale. */
    betweenDays: field(share('Type a share, such as 1 %.', 0.2, 'Over 20 % proves nothing.').nullable(), {
      label: 'Between days, ±',
      hint: '1 % is usual',
    }),
    /** When it was last checked, and against what. */
    checkedOn: field(f.date.nullable(), { label: 'Last checked', hint: 'Empty if never' }),
    checkedAgainst: f.words('Against what', 120),
    note: f.note,
  },
  check: (record) =>
    record.refine((i) => i.kind === 'dyno' || i.resolution !== null, {
      path: ['resolution'],
      message: 'A scale has a smallest step, such as 0.5 kg.',
    }),
})
