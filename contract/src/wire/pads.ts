import { CORNERS } from '@bold-ballast/core'
import * as z from 'zod'
import { corners } from '../records/fields'

/** One moment of a set of pads, as it is streamed. */
export const padReading = z.strictObject({ at: z.number(), corners: corners(z.number().nullable()) })

/** What is streamed first: which pads these are. */
export const padsAre = z.strictObject({ name: z.string(), resolution: z.number().gt(0) })

/** What the simulated pads are told to do. */
export const padOrders = z
  .strictObject({
    load: corners(
      z.number('Type a mass.').min(0, 'A load can’t be below zero.').max(5000, 'Over 5 t on one wheel.'),
    ),
    dead: z.enum(CORNERS, 'Choose a corner.').nullable(),
    connected: z.boolean(),
    zero: z.literal(true),
  })
  .partial()
