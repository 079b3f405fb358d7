import { lipUnderLoad, panelUnderLoad } from './panelUnderLoad'
import type { Plate } from './sheetMaterials'

/** Supports of a panel: how far apart along and across the car, and its lip beyond the last. m. */
export interface PanelSupports {
  readonly spanAlong: number
  readonly spanAcross: number
  readonly overhang: number
}
export const SUPPORT_PLACES = ['across', 'along', 'lip'] as const
export type SupportPlace = (typeof SUPPORT_PLACES)[number]

export interface Supported {
  /** More of them across the car, more along it, or a row at the edge of the lip. */
  readonly place: SupportPlace
  /** The most that anything of it gives way, m, and what it bears over what it is asked. */
  readonly gives: number
  readonly safety: number
}

/** The most that a panel or its lip gives way under a pressure, and the least that either has in hand. */
export function givesWay(
  plate: Plate,
  { spanAlong, spanAcross, overhang }: PanelSupports,
  pressure: number,
): Omit<Supported, 'place'> {
  const field = panelUnderLoad(plate, [spanAlong, spanAcross], pressure)
  const lip = lipUnderLoad(plate, overhang, pressure)
  return {
    gives: Math.max(field.deflection, lip.deflection),
    safety: Math.min(field.safety, lip.safety),
  }
}

/**
 * Where one more support helps a panel most.
 *
 * A support between two halves the span; one at the lip's edge turns the lip into a span of its own.
 *
 * @returns the three places, the one that leaves it giving way least first
 * @throws {RangeError} for spans that are not above zero
 * @source {@link panelUnderLoad} and {@link lipUnderLoad} with the spans that remain
 * @example extraSupports(plate, { spanAlong: 0.3, spanAcross: 0.7, overhang: 0.15 }, 2000)[0].place
 */
export function extraSupports(plate: Plate, supports: PanelSupports, pressure: number): Supported[] {
  const { spanAlong, spanAcross, overhang } = supports
  const edged = () => {
    const field = panelUnderLoad(plate, [spanAlong, spanAcross], pressure)
    const bay = panelUnderLoad(plate, [overhang, spanAcross], pressure)
    return {
      gives: Math.max(field.deflection, bay.deflection),
      safety: Math.min(field.safety, bay.safety),
    }
  }
  const places: Supported[] = [
    { place: 'across', ...givesWay(plate, { ...supports, spanAcross: spanAcross / 2 }, pressure) },
    { place: 'along', ...givesWay(plate, { ...supports, spanAlong: spanAlong / 2 }, pressure) },
    ...(overhang > 0 ? [{ place: 'lip' as const, ...edged() }] : []),
  ]
  return places.sort((a, b) => a.gives - b.gives)
}
