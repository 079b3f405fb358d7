import * as z from 'zod'
import { defineKind } from './defineKind'
import { choice, field } from './field'
import * as f from './fields'

/** Something to do or to measure that was taken on, so that it isn't forgotten. What is to do is no figure. */
export const job = defineKind({
  name: 'job',
  within: 'stage',
  isFrozen: false,
  isLogged: true,
  words: { one: 'job', many: 'jobs' },
  sortedBy: 'order',
  most: 2000,
  fields: {
    name: f.name,
    order: f.order,
    kind: choice(
      ['measurement', 'work'],
      { measurement: 'measurement', work: 'work' },
      'It is',
      'Choose measurement or work.',
    ),
    done: field(z.boolean(), { label: 'Done' }),
    /** Hands on it, s; null when nobody guessed. */
    workTime: field(f.workTime('2 h').nullable(), { hint: 'Empty while nobody guessed' }),
    /** The suggestion that it came from; empty for one's own. */
    from: f.words('Suggested by', 200),
    note: f.note,
  },
})
