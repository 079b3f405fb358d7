import type { AeroElement, CoastDown } from '@bold-ballast/contract'
import { elementAreas, formatNumber, type CoastFit } from '@bold-ballast/core'

/** What mass, air and a road that isn't level add to the scatter of the line, as a share (common practice). */
const ALSO = 0.03
/** Two figures agree that lie no further apart than so many of their uncertainties. */
const AGREES = 2

/** A figure of a coast-down, with what its line alone doesn't show. */
const widened = ({ value, sigma }: { readonly value: number; readonly sigma: number }) => ({
  value,
  sigma: Math.hypot(sigma, ALSO * value),
})

/** A coast-down beside the aero sheet. Areas in m². */
export interface CoastVerdict {
  readonly dragArea: { readonly value: number; readonly sigma: number }
  readonly rolling: { readonly value: number; readonly sigma: number }
  /** What was measured over what the sheet says; null where the sheet has no drag. */
  readonly off: number | null
  readonly agrees: boolean
}

/**
 * What a coast-down found, and whether it agrees with the sheet.
 *
 * @param sheetDrag drag area of the sheet, m²
 * @source JCGM 100:2008, 5.1.2; the 3 % are common practice
 */
export function coastVerdict(fit: CoastFit, sheetDrag: number): CoastVerdict {
  const dragArea = widened(fit.dragArea)
  const off = sheetDrag > 0 ? dragArea.value - sheetDrag : null
  return {
    dragArea,
    rolling: widened(fit.rolling),
    off,
    agrees: off !== null && Math.abs(off) < AGREES * dragArea.sigma,
  }
}

/**
 * The body as a coast-down says that it is: what the other elements drag is theirs, the rest is the body's.
 *
 * @param sheetDrag drag area of the whole sheet, m²
 * @param area as it was measured, m²
 */
export function bodyByCoast<E extends AeroElement>(
  body: E,
  sheetDrag: number,
  area: { readonly value: number; readonly sigma: number },
  coast: Pick<CoastDown, 'name' | 'date'>,
): E {
  const rest = sheetDrag - elementAreas(body).dragArea
  const own = area.value - rest
  return {
    ...body,
    drag: Number((own / (body.span * body.chord)).toFixed(4)),
    grade: 'measured',
    spread: Number(Math.min(1, Math.max(0.01, area.sigma / own)).toFixed(3)),
    from: `Coast-down, ${coast.name}, ${coast.date}: C_D·A ${formatNumber(area.value, 3)} ±${formatNumber(area.sigma, 3)} m² for the whole car`,
  }
}
