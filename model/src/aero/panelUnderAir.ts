import type { Build } from '@bold-ballast/contract'
import {
  elementAreas,
  extraSupports,
  leastSandwich,
  itemWhere,
  pullInStruts,
  STANDARD_GRAVITY,
  type SheetMaterial,
} from '@bold-ballast/core'
import { heldBy, panelIn, type PanelFigures, type Panelled } from './panelFigures'

/** Somebody who stands on it, kg. */
export const PERSON = 80
/** What a panel may bend before it matters to the air, m (common practice). */
const ENOUGH = 0.005

/** A panel under the air of a speed. SI. */
export interface PanelUnderAir<S extends { readonly material: SheetMaterial }> {
  /** N that it carries in steady air, and Pa with gusts and kerbs. */
  readonly steady: number
  readonly pressure: number
  readonly own: PanelFigures<S>
  /** The same panel of every sheet and thickness that can be had. */
  readonly rows: readonly PanelFigures<S>[]
  /** What it may bend, m, and the lightest sheet that holds, is no thinner than is trusted, and bends no more; or null. */
  readonly allowed: number
  readonly lightest: PanelFigures<S> | null
  /** N that each strut pulls with, and what it bears; null where it has none. */
  readonly struts: { readonly pull: number; readonly held: ReturnType<typeof heldBy> } | null
  /** m/s at which the air weighs on it as a person does who stands on it. */
  readonly personSpeed: number
  /** Where one more support helps most. */
  readonly helps: ReturnType<typeof extraSupports>[number] | null
  /** Pa in steady air. */
  readonly even: number
}

/**
 * What a panel does in the air of a speed, and what it could be cut from instead.
 *
 * @param sheets that can be had; its own among them
 * @param q dynamic pressure at that speed, Pa
 * @param speed m/s
 * @throws {RangeError} when its own sheet isn't among those that can be had
 */
export function panelUnderAir<S extends { readonly material: SheetMaterial }>(
  element: Panelled,
  sheets: readonly S[],
  isOwn: (sheet: S) => boolean,
  { gust, kerb, wanted }: Build['airLoads'],
  q: number,
  speed: number,
): PanelUnderAir<S> {
  const { panel, span, chord } = element
  const steady = Math.abs(elementAreas(element).downforceArea) * q
  const even = steady / (span * chord)
  const pressure = even * gust * kerb
  const own = panelIn(element, itemWhere(sheets, isOwn), panel.thickness, pressure)
  const rows = sheets.flatMap((s) => s.material.thicknesses.map((t) => panelIn(element, s, t, pressure)))
  const allowed = Math.max(own.bends, ENOUGH)
  const lightest = rows
    .filter((r) => r.thickness >= leastSandwich(r.sheet.material, speed))
    .filter((r) => r.safety >= wanted && Math.max(r.bends, r.droops) <= allowed)
    .reduce<PanelFigures<S> | null>((a, r) => (!a || r.mass < a.mass ? r : a), null)
  const { struts } = panel
  const pull = struts && pullInStruts(steady * gust * kerb * struts.share, struts.count, struts.angle)
  return {
    steady,
    pressure,
    own,
    rows,
    allowed,
    lightest,
    struts: struts && pull !== null ? { pull, held: heldBy(struts) } : null,
    // Load goes with the square of the speed.
    personSpeed: speed * Math.sqrt((PERSON * STANDARD_GRAVITY) / Math.max(1e-9, steady)),
    helps: extraSupports(own.plate, panel, even)[0] ?? null,
    even,
  }
}
