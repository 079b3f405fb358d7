import {
  bareSchema,
  isObject,
  isUnion,
  metaOf,
  optionFor,
  RECORDS,
  type Kind,
  type Around,
} from '@bold-ballast/contract'
import type * as z from 'zod'
import { describeBySchema } from './describeValue'
import { labelOf } from './fieldLabel'
import type { Wording } from './wording'

/** A field that is not the same in two versions of a record, as a person reads it. */
export interface DifferingField {
  readonly label: string
  readonly before: string
  readonly after: string
}

const fieldsOf = (value: unknown): Around | null =>
  typeof value === 'object' && value !== null && !Array.isArray(value)
    ? Object.fromEntries(Object.entries(value))
    : null

/** The schema that both values were written for, where it is an object's: what differs within it is said part by part. */
function commonObject(schema: z.core.$ZodType, before: unknown, after: unknown): z.core.$ZodObject | null {
  const [old, now] = [fieldsOf(before), fieldsOf(after)]
  if (!old || !now || metaOf(schema).whole || 'x' in old) return null
  const bare = bareSchema(schema)
  const option = isUnion(bare) ? optionFor(bare, now) : bare
  const same = isUnion(bare) ? option === optionFor(bare, old) : true
  return option && same && isObject(option) ? option : null
}

function differing(
  schema: z.core.$ZodObject,
  before: Around,
  after: Around,
  wording: Wording,
  path: readonly string[] = [],
  around: readonly [Around, Around] = [{}, {}],
): DifferingField[] {
  const inside = [
    { ...around[0], ...before },
    { ...around[1], ...after },
  ] as const
  return Object.entries(schema._zod.def.shape).flatMap(([name, inner]) => {
    const [old, now] = [before[name], after[name]]
    if (metaOf(inner).isHidden || JSON.stringify(old) === JSON.stringify(now)) return []
    const own = [...path, labelOf(name, inner)]
    const both = commonObject(inner, old, now)
    if (both) return differing(both, fieldsOf(old) ?? {}, fieldsOf(now) ?? {}, wording, own, inside)
    return [
      {
        label: own.join(', '),
        before: describeBySchema(inner, old, wording, inside[0]),
        after: describeBySchema(inner, now, wording, inside[1]),
      },
    ]
  })
}

/**
 * What differs between two versions of a record, field by field down to the figure that was changed, in a person's words
 * and units.
 *
 * @example differingFields('line', { mass: 19 }, { mass: 18.2 }, { units }) // [{ label: 'mass of one piece', before: '19.0 kg', after: '18.2 kg' }]
 */
export const differingFields = (
  kind: Kind,
  before: object,
  after: object,
  wording: Wording,
): DifferingField[] => differing(RECORDS[kind], fieldsOf(before) ?? {}, fieldsOf(after) ?? {}, wording)
