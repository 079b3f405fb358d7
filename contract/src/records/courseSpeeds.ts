import { isRising } from '@bold-ballast/core'
import * as z from 'zod'
import { defineKind } from './defineKind'
import { field } from './field'
import * as f from './fields'

const point = z.strictObject({
  time: field(
    z.number('Type a time in seconds.').min(0, 'A lap starts at 0 s.').max(3600, 'Over an hour is no lap.'),
    { quantity: 'time', unit: 's' },
  ),
  speed: field(
    z
      .number('Type a speed.')
      .min(0, 'A speed can’t be below zero.')
      .max(150, 'Over 540 km/h: check the unit.'),
    { quantity: 'velocity' },
  ),
})

/** How fast a course is driven: one lap, speed over time. SI. */
export const courseSpeeds = defineKind({
  name: 'courseSpeeds',
  collection: 'courseSpeeds',
  within: 'build',
  isLogged: true,
  words: { one: 'speeds of a course', many: 'speeds of courses' },
  sortedBy: 'order',
  most: 100,
  fields: {
    name: field(f.name, { label: 'Course' }),
    order: f.order,
    points: field(
      z.array(point).min(2, 'A lap needs speeds at two times or more.').max(5000, 'At most 5,000 points.'),
      { label: 'Speeds', many: 'points' },
    ),
    note: f.note,
  },
  check: (record) =>
    record.refine((c) => isRising(c.points.map((p) => p.time)), {
      path: ['points'],
      message: 'The times rise from point to point.',
    }),
})
