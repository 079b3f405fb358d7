import { POISSON, type Plate } from './sheetMaterials'
import type { PanelUnderLoad } from './panelUnderLoad'

/** Side ratio, α of the deflection, β of the stress; a load on a small spot in the middle, simply supported, ν 0.3. */
const ROWS: readonly (readonly [ratio: number, alpha: number, beta: number])[] = [
  [1, 0.1267, 0.435],
  [1.2, 0.1478, 0.65],
  [1.4, 0.1621, 0.789],
  [1.6, 0.1715, 0.875],
  [1.8, 0.177, 0.927],
  [2, 0.1805, 0.958],
  [4, 0.1851, 1],
]

/** Between the rows straight, beyond the last as an endless strip. */
function rowAt(ratio: number): { alpha: number; beta: number } {
  const next = ROWS.findIndex(([r]) => r > ratio)
  if (next < 0) return { alpha: ROWS.at(-1)![1], beta: ROWS.at(-1)![2] }
  const [a, b] = [ROWS[next - 1]!, ROWS[next]!]
  const share = (ratio - a[0]) / (b[0] - a[0])
  return { alpha: a[1] + share * (b[1] - a[1]), beta: a[2] + share * (b[2] - a[2]) }
}

/**
 * A panel pressed or pulled at one round spot in its middle: the lid under the foot of a wing.
 *
 * @param sides between supports, m, in any order
 * @param spot radius of what spreads the load: a washer, a backing plate, m
 * @param load N
 * @throws {RangeError} for sides or a spot not above zero, or a spot wider than the panel
 * @source Young & Budynas, Roark’s Formulas for Stress and Strain, 7th edition, table 11.4, case 1b: flat rectangle with a
 * load on a small concentric circle, simply supported, ν 0.3: σ = 3W/(2πt²)·[(1 + ν)·ln(2b/πr) + β], y = α·W·b²/(E·t³)
 * @example pressedSpot(plateOf(SHEETS.aluminium, 0.002), [0.8, 0.5], 0.03, 600).safety
 */
export function pressedSpot(
  plate: Plate,
  sides: readonly [number, number],
  spot: number,
  load: number,
): PanelUnderLoad {
  const [short, long] = [Math.min(...sides), Math.max(...sides)]
  if (!(short > 0 && spot > 0)) throw new RangeError('a panel and what presses on it have sizes above zero')
  if (2 * spot > short) throw new RangeError('what spreads the load is no wider than the panel')
  const { alpha, beta } = rowAt(long / short)
  const moment =
    (Math.abs(load) / (4 * Math.PI)) * ((1 + POISSON) * Math.log((2 * short) / (Math.PI * spot)) + beta)
  return {
    deflection: (alpha * Math.abs(load) * short ** 2) / (12 * (1 - POISSON ** 2) * plate.rigidity),
    safety: moment > 0 ? plate.moment / moment : Infinity,
  }
}
