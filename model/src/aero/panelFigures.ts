import type { AeroElement } from '@bold-ballast/contract'
import {
  givesWay,
  lipUnderLoad,
  outlineArea,
  panelOutline,
  panelUnderLoad,
  plateOf,
  sheetPrice,
  strutLimits,
  PLAIN_STEEL,
  cableStrength,
  type OutlinePoint,
  type SheetMaterial,
} from '@bold-ballast/core'

export type Panelled = AeroElement & { readonly panel: NonNullable<AeroElement['panel']> }
export type Mounted = AeroElement & { readonly mount: NonNullable<AeroElement['mount']> }
export const isPanelled = (e: AeroElement): e is Panelled => e.panel !== null
export const isMounted = (e: AeroElement): e is Mounted => e.mount !== null

const STEEL_DENSITY = 7850

/** The outline of a panel as it is cut; null where its corners are rounder than it has room for. */
export function outlineOf({ span, chord, panel }: Panelled): readonly OutlinePoint[] | null {
  const { rearWidth, under, cornerRadius } = panel
  if (cornerRadius > Math.min(chord, span / 2)) return null
  return panelOutline({ span, chord, rearWidth, under, cornerRadius })
}

/** What a panel of a sheet and thickness does under a pressure, weighs and costs. */
export function panelIn<S extends { readonly material: SheetMaterial }>(
  element: Panelled,
  sheet: S,
  thickness: number,
  pressure: number,
) {
  const { panel, span, chord } = element
  const outline = outlineOf(element)
  const area = outline ? outlineArea(outline) : span * (chord + panel.under)
  const plate = plateOf(sheet.material, thickness, panel.lay)
  return {
    sheet,
    thickness,
    plate,
    area,
    mass: plate.areaDensity * area,
    bends: panelUnderLoad(plate, [panel.spanAlong, panel.spanAcross], pressure).deflection,
    droops: lipUnderLoad(plate, panel.overhang, pressure).deflection,
    safety: givesWay(plate, panel, pressure).safety,
    price: sheetPrice(sheet.material, thickness) * area,
  }
}
export type PanelFigures<S extends { readonly material: SheetMaterial }> = ReturnType<typeof panelIn<S>>

/** What each strut or cable bears, N: a cable bears no push. */
export function heldBy(struts: NonNullable<Panelled['panel']['struts']>): { pull: number; push: number } {
  if (struts.kind === 'cable') return { pull: cableStrength(struts.outside), push: 0 }
  const { tension, compression } = strutLimits({ ...struts, ...PLAIN_STEEL })
  return { pull: tension, push: compression }
}

/** Mass of all struts of a panel, kg; a cable is about seven tenths wire. */
export function strutMass(struts: NonNullable<Panelled['panel']['struts']>): number {
  const { kind, count, outside, wall, length } = struts
  const section =
    kind === 'cable'
      ? 0.7 * (Math.PI / 4) * outside ** 2
      : (Math.PI / 4) * (outside ** 2 - (outside - 2 * wall) ** 2)
  return count * length * section * STEEL_DENSITY
}
