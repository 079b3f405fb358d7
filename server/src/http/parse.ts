import type { z } from 'zod'
import { Refusal } from './Refusal'

const MOST_ERRORS = 50
/** Of a place or a fault, in characters: names that were made up are not sent back whole. */
const LONGEST = 500

/** A body as a schema wants it, or a refusal that names each field with its remedy. */
export function parse<T>(schema: z.ZodType<T>, body: unknown): T {
  const parsed = schema.safeParse(body)
  if (parsed.success) return parsed.data
  const issues = parsed.error.issues
  const errors = issues.slice(0, MOST_ERRORS).map((issue) => ({
    field: issue.path.join('.').slice(0, LONGEST),
    problem: issue.message.slice(0, LONGEST),
  }))
  const [first] = errors
  const others = issues.length > 1 ? ` And ${issues.length - 1} more.` : ''
  throw new Refusal(
    422,
    'not-valid',
    'Something doesn’t fit',
    `${first?.field || 'The body'}: ${first?.problem ?? 'It can’t be read.'}${others}`,
    { errors },
  )
}
