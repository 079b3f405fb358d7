import * as z from 'zod'
import { defineKind } from './defineKind'
import { field } from './field'
import * as f from './fields'

const place = f.position.nullable()
const point = z
  .strictObject({
    name: field(f.name, { label: 'Point' }),
    leftBefore: field(place, { label: 'Left, before' }),
    rightBefore: field(place, { label: 'Right, before' }),
    leftAfter: field(place, { label: 'Left, after' }),
    rightAfter: field(place, { label: 'Right, after' }),
  })
  .refine((p) => p.leftBefore || p.rightBefore || p.leftAfter || p.rightAfter, {
    path: ['leftBefore'],
    message: 'Type one place at least, such as 410 620 285 mm.',
  })

/** Hard points of a body measured from a datum, left and right, before and after it was worked on. SI. */
export const bodyCheck = defineKind({
  name: 'bodyCheck',
  within: 'stage',
  isLogged: true,
  words: { one: 'body check', many: 'body checks' },
  sortedBy: 'date',
  most: 200,
  fields: {
    date: f.date,
    name: field(f.name, { label: 'What was worked on' }),
    datum: field(f.words('Measured from', 200), {
      hint: 'Such as the line through the sills’ rear jig holes',
    }),
    /** m */
    allowed: field(f.length('3 mm', 0.0002, 0.05, '0.2 to 50 mm'), { label: 'Out of true by at most' }),
    points: field(z.array(point).min(1, 'One point at least.').max(60, 'At most 60 points.'), {
      label: 'Points',
      many: 'points',
    }),
    note: f.note,
  },
})
