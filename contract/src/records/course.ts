import * as z from 'zod'
import { LINE_SOURCE } from './choices'
import { defineKind } from './defineKind'
import { choice, field } from './field'
import * as f from './fields'

const metresAlong = (label: string) =>
  field(
    z
      .number('Type a distance from the start, such as 420 m.')
      .min(0, 'A course begins at its start.')
      .max(50_000, 'Over 50 km: check the unit.'),
    { quantity: 'length', unit: 'm', label },
  )
const section = z.strictObject({
  /** Along the line that is driven, m. */
  length: field(
    z
      .number('Type a length, such as 180 m.')
      .min(1, 'A section is at least 1 m long.')
      .max(20_000, 'Over 20 km: check the unit.'),
    { quantity: 'length', unit: 'm', label: 'Length' },
  ),
  /** Of the line that is driven, m: to the left above zero, to the right below; null on a straight. */
  radius: field(
    z
      .number('Type a radius, such as 45 m.')
      .min(-5000, 'Over 5 km it is a straight.')
      .max(5000, 'Over 5 km it is a straight.')
      .refine((r) => Math.abs(r) >= 3, 'No car drives a radius below 3 m.')
      .nullable(),
    { quantity: 'length', unit: 'm', label: 'Radius', hint: 'Below zero to the right' },
  ),
})

const point = z.strictObject({
  x: field(z.number('Type a length.').min(-50_000).max(50_000), {
    quantity: 'length',
    unit: 'm',
    label: 'East',
  }),
  y: field(z.number('Type a length.').min(-50_000).max(50_000), {
    quantity: 'length',
    unit: 'm',
    label: 'North',
  }),
  /** Null where nobody knows the height. */
  z: field(z.number('Type a height.').min(-500).max(9000).nullable(), {
    quantity: 'length',
    unit: 'm',
    label: 'Up',
  }),
})

const stretch = z
  .strictObject({
    from: metresAlong('From'),
    to: metresAlong('to'),
    /** Rise over length. */
    gradient: field(
      z
        .number('Type a share, such as 4 %.')
        .min(-0.5, 'From −50 to 50 %.')
        .max(0.5, 'From −50 to 50 %.')
        .nullable(),
      { quantity: 'share', label: 'Climbs', hint: 'Below zero downhill; empty: as the line does' },
    ),
    banking: field(
      z.number('Type an angle, such as 3°.').min(-0.6, 'From −34 to 34°.').max(0.6, 'From −34 to 34°.'),
      { quantity: 'angle', label: 'Banked', hint: 'Towards the inside of the corner' },
    ),
    /** Times the tyres’ grip. */
    grip: field(
      z.number('Type a factor, such as 0.9.').min(0.1, 'From 0.1 to 1.5.').max(1.5, 'From 0.1 to 1.5.'),
      { quantity: 'number', label: 'Grip, times', hint: '1 for what the tyres have anyway' },
    ),
  })
  .refine((s) => s.to > s.from, { path: ['to'], message: 'A stretch ends after it begins.' })

const line = z.strictObject({
  from: choice(['drawn', 'logged', 'file'], LINE_SOURCE, 'From'),
  points: field(
    z.array(point).min(3, 'A line has at least three points.').max(4000, 'At most 4,000 points.'),
    { label: 'Points', many: 'points' },
  ),
  /** Where x and y are nought on the earth, degrees; null where nobody knows. */
  origin: field(
    z
      .strictObject({
        latitude: field(z.number('Type degrees.').min(-89, 'From −89 to 89°.').max(89, 'From −89 to 89°.'), {
          quantity: 'number',
          label: 'Latitude',
        }),
        longitude: field(
          z.number('Type degrees.').min(-180, 'From −180 to 180°.').max(180, 'From −180 to 180°.'),
          { quantity: 'number', label: 'Longitude' },
        ),
      })
      .nullable(),
    { label: 'Nought lies at' },
  ),
  /** How far a logged lap’s end lay from its start before that was shared out, m; null where it wasn’t logged. */
  closingError: field(
    z.number().min(0, 'Not below zero.').max(50_000, 'Over 50 km: check the unit.').nullable(),
    { quantity: 'length', unit: 'm', label: 'Closing error' },
  ),
})

/**
 * The line of a course: section by section, straights and corners of one radius; or points of a line that was drawn or
 * logged. SI.
 */
export const course = defineKind({
  name: 'course',
  within: 'build',
  words: { one: 'line of a course', many: 'lines of courses' },
  sortedBy: 'order',
  most: 100,
  fields: {
    name: field(f.name, { label: 'Course' }),
    order: f.order,
    sections: field(z.array(section).max(400, 'At most 400 sections.'), {
      label: 'Straights and corners',
      many: 'sections',
    }),
    line: field(line.nullable(), { label: 'Line', whole: 'line that is drawn or logged' }),
    corners: field(
      z.array(z.strictObject({ name: f.name, at: metresAlong('At') })).max(100, 'At most 100 corners.'),
      { label: 'Names of corners', many: 'corners' },
    ),
    /** Where a sector ends and the next begins, along the line. */
    sectors: field(z.array(metresAlong('Ends at')).max(20, 'At most 20 sectors.'), {
      label: 'Sectors',
      many: 'ends of sectors',
    }),
    stretches: field(z.array(stretch).max(100, 'At most 100 stretches.'), {
      label: 'Slopes, banking, surface',
      many: 'stretches',
    }),
    width: field(
      z
        .number('Type a width, such as 10 m.')
        .min(2, 'No car fits through less than 2 m.')
        .max(100, 'Over 100 m: check the unit.')
        .nullable(),
      { quantity: 'length', unit: 'm', label: 'Width', hint: 'Of the road; empty if nobody knows' },
    ),
    /** It ends where it starts, and is driven flying. */
    closed: field(z.boolean(), { label: 'Ends where it starts' }),
    note: f.note,
  },
  check: (record) =>
    record
      .refine((c) => c.line !== null || c.sections.length > 0, {
        path: ['sections'],
        message: 'A course has at least one section, or a line that is drawn or logged.',
      })
      .refine((c) => c.line !== null || !c.closed || c.sections.some((s) => s.radius !== null), {
        path: ['sections'],
        message: 'A course that ends where it starts has a corner.',
      }),
})
