import { INSTRUMENT_KINDS } from '@bold-ballast/core'
import * as z from 'zod'
import * as f from './fields'

const share = (what: string, most: number, over: string) =>
  z.number(what).min(0, 'It can’t be below zero.').max(most, over)

/**
 * A scale or a dyno of the workshop, known by its name: what is read on it in any build goes by it. Its readings are off
 * anew each time, and all together by an error of its own, which no repeat removes.
 */
export const instrumentRecord = z
  .strictObject({
    id: f.id,
    name: f.name,
    order: f.order,
    kind: z.enum(INSTRUMENT_KINDS, 'Choose what it is.'),
    /** Smallest step of a scale, kg; null for a dyno. */
    resolution: z
      .number('Type the smallest step, such as 0.5 kg.')
      .gt(0, 'A scale has a step above zero.')
      .max(50, 'That step is too coarse.')
      .nullable(),
    /** Standard deviation of one reading, as a share. */
    repeatability: share('Type a share, such as 1.5 %.', 0.2, 'Over 20 % proves nothing.'),
    /** Standard uncertainty that all its readings share, as a share. */
    ownError: share('Type a share, such as 0.1 %.', 0.3, 'Over 30 % proves nothing.'),
    /** Standard deviation between days, as a share; null for a scale. */
    betweenDays: share('Type a share, such as 1 %.', 0.2, 'Over 20 % proves nothing.').nullable(),
    /** When it was last checked, and against what. */
    checkedOn: f.date.nullable(),
    checkedAgainst: z.string().trim().max(120, 'Keep it under 120 characters.'),
    note: f.note,
  })
  .refine((i) => i.kind === 'dyno' || i.resolution !== null, {
    path: ['resolution'],
    message: 'A scale has a smallest step, such as 0.5 kg.',
  })
