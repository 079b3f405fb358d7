import type { SealedFigures } from '@bold-ballast/contract'
import { preferredUnit, type Unit, type UnitPreferences } from '@bold-ballast/core'

interface Row {
  readonly what: string
  readonly known: { readonly value: number; readonly sigma: number }
  readonly unit: Unit
}

/** Total and shares of a weighing, as far as its method can tell them. */
export function ticketRows(
  { total, front, left, cross }: NonNullable<SealedFigures['ticket']>,
  units: UnitPreferences,
): Row[] {
  const share = preferredUnit('share', units)
  return [
    { what: 'Total', known: total, unit: preferredUnit('mass', units) },
    { what: 'Front share', known: front, unit: share },
    ...(left ? [{ what: 'Left share', known: left, unit: share }] : []),
    ...(cross ? [{ what: 'Cross share', known: cross, unit: share }] : []),
  ]
}
