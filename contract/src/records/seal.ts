import { GRADES, MEASURES } from '@bold-ballast/core'
import * as z from 'zod'
import { defineKind } from './defineKind'
import { field } from './field'
import * as f from './fields'

const text = z.string().max(500)
const plus = z.strictObject({ value: z.number(), sigma: z.number() })
const verdict = z.enum(['met', 'missed', 'cantTell'])

/** What a proof sheet says: words as they were read, and the figures behind them. SI. */
export const sealedFigures = z.strictObject({
  facts: z.array(z.strictObject({ what: text, says: text })).max(40),
  marks: z
    .array(
      z.strictObject({
        measure: z.enum(MEASURES),
        name: text,
        target: text,
        figure: text,
        says: text,
        reason: z.string().max(2000),
        verdict,
        value: z.strictObject({ value: z.number(), sigma: z.number(), grade: z.enum(GRADES) }).nullable(),
      }),
    )
    .max(200),
  /** The weighing that the stage stands on, as it was read; nothing where nobody weighed. */
  ticket: z
    .strictObject({
      date: text,
      method: text,
      corners: f.corners(z.number()).nullable(),
      total: plus,
      front: plus,
      left: plus.nullable(),
      cross: plus.nullable(),
      books: text,
    })
    .nullable(),
  /** The curve that the stage stands on, and the dyno it is of; nothing where it has none. */
  curve: z.array(z.strictObject({ speed: z.number(), torque: z.number() })).max(200),
  dyno: text,
  gears: z.array(z.strictObject({ ratio: z.number(), speed: z.number() })).max(20),
  finalDrive: z.number().nullable(),
  links: z.array(z.strictObject({ name: text, margin: z.number(), sigma: z.number(), verdict })).max(500),
  changed: z.array(z.strictObject({ swap: text, mass: z.number() })).max(1000),
  /** How many of its verdicts would be expected to be wrong by chance alone; null where it was signed before that was reckoned. */
  expectedWrong: z.number().min(0).nullable(),
  risks: z.array(text).max(50),
})
export type SealedFigures = z.infer<typeof sealedFigures>

const author = z.string().trim().min(1, 'Say who signs.').max(80, 'Keep it under 80 characters.')
const instant = z.iso.datetime('A time is written as 2026-11-24T08:30:00Z.')

/**
 * A stage that was frozen: its figures as they were signed, for good; and why it was opened again, if it was. What may
 * become of a seal has rules of its own, and nothing is signed in what is only tried.
 */
export const seal = defineKind({
  name: 'seal',
  within: 'stage',
  isFrozen: false,
  isTried: false,
  isLogged: true,
  words: { one: 'seal', many: 'seals' },
  sortedBy: 'id',
  most: 500,
  fields: {
    at: field(instant, { label: 'Signed at' }),
    author: field(author, { label: 'Signed by' }),
    figures: field(sealedFigures, { label: 'Figures', whole: 'the signed sheet' }),
    reopened: field(
      z
        .strictObject({
          at: field(instant, { label: 'At' }),
          author: field(author, { label: 'By' }),
          reason: field(
            z.string().trim().min(3, 'Say why it is opened again.').max(500, 'Keep it under 500 characters.'),
            { label: 'Why' },
          ),
        })
        .nullable(),
      { label: 'Opened again' },
    ),
    note: f.note,
  },
})
