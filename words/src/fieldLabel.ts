import { metaOf, RECORDS, type Kind } from '@bold-ballast/contract'
import type * as z from 'zod'

/** The first letter small, unless it stands for something: C_L, λ. */
const inSentence = (label: string) =>
  /^[A-Z][a-z’ ]/.test(label) ? label.charAt(0).toLowerCase() + label.slice(1) : label

/** What a schema's field is called within a sentence; the name that the program has for it where nobody said. */
export const labelOf = (name: string, schema: z.core.$ZodType | undefined): string => {
  const label = schema && metaOf(schema).label
  return label ? inSentence(label) : name.replace(/[A-Z]/g, (letter) => ` ${letter.toLowerCase()}`)
}

/**
 * A record's field in the builder's words.
 *
 * @example fieldLabel('stage', 'plannedWheelPower') // 'planned wheel power'
 */
export function fieldLabel(kind: Kind, field: string): string {
  const shape: Readonly<Record<string, z.core.$ZodType>> = RECORDS[kind].shape
  return labelOf(field, shape[field])
}
