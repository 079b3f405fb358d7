import { CORRECTION_NAMES, CORRECTIONS, GRADES, QUANTITIES, unitsOf, type Quantity } from '@bold-ballast/core'
import * as z from 'zod'
import { GRADE } from './choices'
import { choice, field } from './field'
import './plainFaults'

/** Fields that several records share, each with a message that says what would be right. */
/** Written in one way only: upper case would pass for another record. */
export const id = field(z.uuid('An id is a UUID.').toLowerCase(), { isHidden: true })
export const name = field(
  z.string().trim().min(1, 'Give it a name.').max(120, 'Keep the name under 120 characters.'),
  { label: 'Name' },
)
export const note = field(z.string().max(4000, 'Keep the note under 4,000 characters.'), { label: 'Notes' })
export const order = field(z.int().min(-1_000_000).max(1_000_000), { quantity: 'number', isHidden: true })
export const date = field(z.iso.date('Write the date as year-month-day, such as 2026-05-17.'), {
  label: 'Date',
})
export const grade = choice(GRADES, GRADE, 'Known by')
export const correction = choice(CORRECTIONS, CORRECTION_NAMES, 'Correction')

/** A few words; longer ones are notes. */
export const words = (label: string, most: number, says = `Keep it under ${most} characters.`) =>
  field(z.string().trim().max(most, says), { label })

/** The record of a kind that is named by its id; null for none. */
export const linkTo = (kind: string, label: string) => field(id, { label, link: kind }).nullable()

/** A number with the words for what is missing, too small and too large. */
export const between = (says: string, low: number, high: number, range: string) =>
  z.number(says).min(low, `From ${range}: check the unit.`).max(high, `From ${range}: check the unit.`)

/** A whole number of pieces from one up. */
export const count = (most: number, upTo = `At most ${most}.`, says = 'Type how many.') =>
  field(z.int(says).min(1, 'At least one.').max(most, upTo), { quantity: 'number' })

/** A length in the ranges of a car's parts. */
export const length = (such: string, low: number, high: number, range: string) =>
  field(between(`Type a length, such as ${such}.`, low, high, range), { quantity: 'length' })

/** kg of one thing; a heavier thing than 20 t is not a car's. */
export const mass = field(
  z
    .number('Type a mass, such as 19.1 kg or 42 lb.')
    .min(0, 'A mass can’t be below zero. What comes off is a line of its own kind.')
    .max(20_000, 'That is over 20 t: check the unit.'),
  { quantity: 'mass', label: 'Mass' },
)
export const sigma = field(
  z
    .number('Type a mass, or leave it empty.')
    .min(0, 'An uncertainty can’t be below zero.')
    .max(20_000, 'That is over 20 t: check the unit.')
    .nullable(),
  { quantity: 'mass', label: '± one standard uncertainty', hint: 'Empty: the grade’s default' },
)
export const metres = field(
  z
    .number('Type a length, such as 2.4 m or 95 in.')
    .min(-20, 'That is over 20 m away.')
    .max(20, 'That is over 20 m away.'),
  { quantity: 'length' },
)
export const share = field(
  z
    .number('Type a share in per cent.')
    .min(0, 'A share runs from 0 to 100 %.')
    .max(1, 'A share runs from 0 to 100 %.'),
  { quantity: 'share' },
)
export const watts = field(
  z
    .number('Type a power, such as 180 kW or 240 hp.')
    .gt(0, 'A power must be above zero.')
    .max(3e6, 'That is over 3,000 kW: check the unit.'),
  { quantity: 'power' },
)
export const volume = field(
  z
    .number('Type a volume, such as 40 l.')
    .min(0, 'A volume can’t be below zero.')
    .max(0.5, 'That is over 500 l: check the unit.'),
  { quantity: 'volume' },
)
export const price = field(
  z
    .number('Type an amount of money.')
    .min(0, 'A price can’t be below zero.')
    .max(1e8, 'That is beyond counting.'),
  { quantity: 'money', label: 'Price' },
)
/** Hands on it, s. */
export const workTime = (such: string) =>
  field(
    z
      .number(`Type a time, such as ${such}.`)
      .min(0, 'A time can’t be below zero.')
      .max(3.6e7, 'Over 10,000 hours: check the unit.'),
    { quantity: 'time', label: 'Hands on it' },
  )
/** Where something stands: behind the front axle, to the left of the middle, above the ground. */
export const position = z.strictObject({
  x: field(metres, { label: 'Behind front axle' }),
  y: field(metres, { label: 'Left' }),
  z: field(metres, { label: 'Up' }),
})

export const corners = <T extends z.ZodType>(each: T) =>
  z.strictObject({
    frontLeft: field(each, { label: 'Front left' }),
    frontRight: field(each, { label: 'Front right' }),
    rearLeft: field(each, { label: 'Rear left' }),
    rearRight: field(each, { label: 'Rear right' }),
  })

/** The same of both axles. */
export const axles = <T extends z.ZodType>(each: T) =>
  z.strictObject({ front: field(each, { label: 'Front' }), rear: field(each, { label: 'Rear' }) })

const unitChoice = (quantity: Quantity) => z.enum(unitsOf(quantity).map((u) => u.symbol)).optional()
/** The unit shown for each quantity; what isn't chosen takes the quantity's first unit. */
export const units = field(
  z.strictObject(
    Object.fromEntries(Object.keys(QUANTITIES).map((q) => [q, unitChoice(q as Quantity)])) as Record<
      Quantity,
      ReturnType<typeof unitChoice>
    >,
  ),
  { label: 'Units', whole: 'units chosen' },
)
