import * as z from 'zod'

const KINDS: Record<string, string> = {
  number: 'Type a number.',
  int: 'Type a whole number.',
  string: 'Fill this in.',
  boolean: 'Answer yes or no.',
  array: 'This should be a list.',
  object: 'This should be a record with its fields.',
}

const MOST_KEYS = 5
const LONGEST_KEY = 40

/** A flood of unknown names isn't echoed. */
function sayUnknown(keys: readonly string[]): string {
  const named = keys
    .slice(0, MOST_KEYS)
    .map((k) => (k.length > LONGEST_KEY ? `${k.slice(0, LONGEST_KEY)}…` : k))
  const others = keys.length > MOST_KEYS ? ` and ${keys.length - MOST_KEYS} others` : ''
  return `There is no field ${named.join(', ')}${others} here.`
}

/**
 * What a fault says where its field has no words of its own: plain, with what would be right. A person reads
 * these beside a field, and a program in a problem's `errors`.
 *
 * @example z.number().safeParse(null).error!.issues[0]!.message // 'Type a number.'
 */
export function plainFault(issue: z.core.$ZodRawIssue): string | undefined {
  if (issue.code === 'invalid_type') return KINDS[issue.expected] ?? 'Something of another kind belongs here.'
  if (issue.code === 'invalid_value')
    return `Choose one of ${issue.values.map((value) => String(value)).join(', ')}.`
  if (issue.code === 'unrecognized_keys') return sayUnknown(issue.keys)
  if (issue.code === 'too_small') return `That is too small: at least ${issue.minimum}.`
  if (issue.code === 'too_big') return `That is too large: at most ${issue.maximum}.`
  return undefined
}

z.config({ customError: plainFault })
