import { WEEKDAYS } from '@bold-ballast/core'
import * as z from 'zod'
import { JOB_KIND, JOB_KINDS, WEEKDAY } from './choices'
import { defineKind } from './defineKind'
import { choice, field } from './field'
import * as f from './fields'

const clock = z
  .string()
  .regex(
    /^(?:[01]\d|2[0-3]):[0-5]\d$|^24:00$/,
    'Write the time as hours and minutes, such as 18:30; a day ends at 24:00.',
  )

/** Somebody who works on the build: the hours of a week, days away, and what they can do. */
export const hand = defineKind({
  name: 'hand',
  within: 'build',
  isLogged: true,
  words: { one: 'pair of hands', many: 'hands' },
  sortedBy: 'order',
  most: 24,
  fields: {
    name: field(f.name, { hint: 'As jobs and promises name them' }),
    order: f.order,
    week: field(
      z
        .array(
          z
            .strictObject({
              day: choice(WEEKDAYS, WEEKDAY, 'Day', 'Choose a day of the week.'),
              // A browser's own field for a time knows no 24:00.
              from: field(clock, { label: 'From', hint: 'Such as 18:30' }),
              until: field(clock, { label: 'Until', hint: 'Such as 22:00; midnight is 24:00' }),
            })
            .refine((h) => h.from < h.until, {
              path: ['until'],
              message:
                'It ends before it begins. Midnight is 24:00; what goes past it is two lines, on two days.',
            }),
        )
        .max(42, 'At most 42 lines.'),
      { label: 'Hours of a week', many: 'hours' },
    ),
    away: field(
      z
        .array(
          z
            .strictObject({
              from: field(f.date, { label: 'Away from' }),
              until: field(f.date, { label: 'Up to and with' }),
              why: f.words('Why', 120),
            })
            .refine((a) => a.from <= a.until, {
              path: ['until'],
              message: 'The last day is before the first.',
            }),
        )
        .max(200, 'At most 200 times.'),
      { label: 'Away', many: 'times away' },
    ),
    /** Kinds of work; empty for all. */
    can: field(
      z.array(choice(JOB_KINDS, JOB_KIND, 'Kind of work')).max(JOB_KINDS.length, 'Each once is enough.'),
      { label: 'Can do', hint: 'Nothing ticked: everything' },
    ),
    note: f.note,
  },
})
