import { bareSchema, isArray, isKeyed, isObject, isTuple, isUnion, metaOf } from '@bold-ballast/contract'
import { preferredUnit, type UnitPreferences } from '@bold-ballast/core'
import type * as z from 'zod'
import { labelOf } from '../fieldLabel'
import type { CsvColumn } from './csvCell'

const escaped = (text: string) => text.replace(/[.*+?^${}()|[\]\\]/g, '\\$&')

/**
 * The columns of a list as its schema says them: one for each field that a cell can hold, called by its label, with its
 * unit. Lists within a record, and what only the program needs, have none.
 *
 * @example csvList(RECORDS.tiltTest, columnsOf(RECORDS.tiltTest, METRIC))
 */
export function columnsOf(
  schema: z.core.$ZodType,
  units: UnitPreferences,
  above: { readonly path: string; readonly label: string } | null = null,
): Record<string, CsvColumn> {
  const bare = bareSchema(schema)
  if (!isObject(bare)) return {}
  const columns: Record<string, CsvColumn> = {}
  for (const [name, inner] of Object.entries(bare._zod.def.shape)) {
    const meta = metaOf(inner)
    const innerBare = bareSchema(inner)
    if (meta.isHidden || meta.whole || meta.link) continue
    const label = [above?.label, labelOf(name, inner)].filter(Boolean).join(', ')
    const path = above ? `${above.path}.${name}` : name
    if (isObject(innerBare)) {
      Object.assign(columns, columnsOf(inner, units, { path, label }))
      continue
    }
    if (isArray(innerBare) || isTuple(innerBare) || isKeyed(innerBare)) continue
    if (isUnion(innerBare) && !meta.quantity) continue
    const { quantity } = meta
    const hasUnit = typeof quantity === 'string' && quantity !== 'number' && quantity !== 'money'
    const unit = hasUnit ? (meta.unit ?? preferredUnit(quantity, units).symbol) : undefined
    const title = unit ? `${label} (${unit})` : label
    columns[path] = { title, reads: new RegExp(`^${escaped(title)}$`, 'i'), ...(unit && { unit }) }
  }
  return columns
}
