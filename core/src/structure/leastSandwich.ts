import type { SheetMaterial } from './sheetMaterials'

/** Above this speed a skinned plastic core is taken thicker, m/s: 160 km/h. */
const FAST = 160 / 3.6
/** Skins of rolled metal on a fluted core are thinner than this, m; laid ones on cells thicker. */
const THIN_SKIN = 0.0005

/**
 * The thinnest sandwich that is trusted at a speed, m; zero for a solid sheet.
 *
 * A plate's bending isn't what ends a sandwich: its skins buckle between flutes and over cells, its core crushes under
 * supports and bolts, and an open edge peels. Nothing here reckons with any of that, so what has been found to last is
 * the least: the plate alone would take 6 mm of a fluted sheet where everybody takes 10.
 *
 * @param speed m/s
 * @source common practice: aluminium-skinned corrugated plastic of 6 mm up to 160 km/h and 10 mm above; honeycomb from 12 mm
 * @example leastSandwich(SHEETS.corrugated, 200 / 3.6) // 0.01
 * @example leastSandwich(SHEETS.plywood, 200 / 3.6) // 0
 */
export function leastSandwich({ build }: SheetMaterial, speed: number): number {
  if (build.kind === 'solid') return 0
  if (build.skin >= THIN_SKIN) return 0.012
  return speed > FAST ? 0.01 : 0.006
}
