import { CORRECTIONS, GRADES, QUANTITIES, unitsOf, type Quantity } from '@bold-ballast/core'
import * as z from 'zod'
import './plainFaults'

/** Fields that several records share, each with a message that says what would be right. */
/** Written in one way only: upper case would pass for another record. */
export const id = z.uuid('An id is a UUID.').toLowerCase()
export const name = z
  .string()
  .trim()
  .min(1, 'Give it a name.')
  .max(120, 'Keep the name under 120 characters.')
export const note = z.string().max(4000, 'Keep the note under 4,000 characters.')
export const order = z.int().min(-1_000_000).max(1_000_000)
export const date = z.iso.date('Write the date as year-month-day, such as 2026-05-17.')
export const grade = z.enum(GRADES)
export const correction = z.enum(CORRECTIONS)

/** kg of one thing; a heavier thing than 20 t is not a car's. */
export const mass = z
  .number('Type a mass, such as 19.1 kg or 42 lb.')
  .min(0, 'A mass can’t be below zero. What comes off is a line of its own kind.')
  .max(20_000, 'That is over 20 t: check the unit.')
export const sigma = z
  .number('Type a mass, or leave it empty.')
  .min(0, 'An uncertainty can’t be below zero.')
  .max(20_000, 'That is over 20 t: check the unit.')
  .nullable()
export const metres = z
  .number('Type a length, such as 2.4 m or 95 in.')
  .min(-20, 'That is over 20 m away.')
  .max(20, 'That is over 20 m away.')
export const share = z
  .number('Type a share in per cent.')
  .min(0, 'A share runs from 0 to 100 %.')
  .max(1, 'A share runs from 0 to 100 %.')
export const watts = z
  .number('Type a power, such as 180 kW or 240 hp.')
  .gt(0, 'A power must be above zero.')
  .max(3e6, 'That is over 3,000 kW: check the unit.')
export const volume = z
  .number('Type a volume, such as 40 l.')
  .min(0, 'A volume can’t be below zero.')
  .max(0.5, 'That is over 500 l: check the unit.')
export const position = z.strictObject({ x: metres, y: metres, z: metres })

export const corners = <T extends z.ZodType>(each: T) =>
  z.strictObject({ frontLeft: each, frontRight: each, rearLeft: each, rearRight: each })

const unitChoice = (quantity: Quantity) => z.enum(unitsOf(quantity).map((u) => u.symbol)).optional()
/** The unit shown for each quantity; what isn't chosen takes the quantity's first unit. */
export const units = z.strictObject(
  Object.fromEntries(Object.keys(QUANTITIES).map((q) => [q, unitChoice(q as Quantity)])) as Record<
    Quantity,
    ReturnType<typeof unitChoice>
  >,
)
