import * as z from 'zod'
import { defineKind } from './defineKind'
import { field } from './field'
import * as f from './fields'

const section = z.strictObject({
  /** Along the line that is driven, m. */
  length: field(
    z
      .number('Type a length, such as 180 m.')
      .min(1, 'A section is at least 1 m long.')
      .max(20_000, 'Over 20 km: check the unit.'),
    { quantity: 'length', unit: 'm', label: 'Length' },
  ),
  /** Of the line that is driven, m; null on a straight. */
  radius: field(
    z
      .number('Type a radius, such as 45 m.')
      .min(3, 'No car drives a radius below 3 m.')
      .max(5000, 'Over 5 km it is a straight.')
      .nullable(),
    { quantity: 'length', unit: 'm', label: 'Radius' },
  ),
})

/** The line of a course, section by section: straights, and corners of one radius. SI. */
export const course = defineKind({
  name: 'course',
  within: 'build',
  words: { one: 'line of a course', many: 'lines of courses' },
  sortedBy: 'order',
  most: 100,
  fields: {
    name: field(f.name, { label: 'Course' }),
    order: f.order,
    sections: field(
      z.array(section).min(1, 'A course has at least one section.').max(200, 'At most 200 sections.'),
      { label: 'Straights and corners', many: 'sections' },
    ),
    /** It ends where it starts, and is driven flying. */
    closed: field(z.boolean(), { label: 'Ends where it starts' }),
    note: f.note,
  },
  check: (record) =>
    record.refine((c) => !c.closed || c.sections.some((s) => s.radius !== null), {
      path: ['sections'],
      message: 'A course that ends where it starts has a corner.',
    }),
})
