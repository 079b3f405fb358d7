import * as z from 'zod'
import * as f from '../records/fields'
import { KINDS } from '../records/kinds'

/** A file beside a record, as whoever would replace it has to know it. */
export const fileThere = z.strictObject({ sha256: z.string(), by: z.string(), at: z.iso.datetime() })
export type FileThere = z.infer<typeof fileThere>

/** Problem details (RFC 9457), with the fields and the remedy, and both sides of a conflict. */
export const problem = z.looseObject({
  type: z.string(),
  title: z.string(),
  status: z.int(),
  detail: z.string(),
  errors: z.array(z.strictObject({ field: z.string(), problem: z.string() })).optional(),
  conflicts: z
    .array(z.strictObject({ kind: z.enum(KINDS), id: f.id, yours: z.unknown(), theirs: z.unknown() }))
    .optional(),
  /** Where a file was not taken: what is there instead; null for nothing. */
  file: fileThere.nullable().optional(),
})
export type Problem = z.infer<typeof problem>

/** The words that `type` ends in. */
export const PROBLEM_TYPES = [
  'not-valid',
  'not-json',
  'not-found',
  'conflict',
  'still-referenced',
  'too-large',
  'too-many',
  'foreign-origin',
  'sign-in',
  'not-allowed',
  'database-away',
  'home-away',
  'disk-full',
  'closing',
  'unexpected',
] as const
export type ProblemType = (typeof PROBLEM_TYPES)[number]
