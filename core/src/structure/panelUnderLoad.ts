import { POISSON, type Plate } from './sheetMaterials'

/** Deflection and stress of a uniformly loaded flat rectangle, simply supported on all edges, by long over short side. */
const TABLE = [
  [1, 0.0444, 0.2874],
  [1.2, 0.0616, 0.3762],
  [1.4, 0.077, 0.453],
  [1.6, 0.0906, 0.5172],
  [1.8, 0.1017, 0.5688],
  [2, 0.111, 0.6102],
  [3, 0.1335, 0.7134],
] as const
/** For a strip without end. */
const ENDLESS = [0.1421, 0.75] as const
const FLATTEST = 3

/**
 * Roark's α and β for a rectangle.
 *
 * @param ratio long side over short side, 1 and up
 * @throws {RangeError} below 1
 * @source Roark, Formulas for Stress and Strain (ν 0.3); straight between its rows, beyond 3 towards the endless
 * strip as 1/ratio
 * @example roarkPanel(1.5).deflection // 0.0838
 */
export function roarkPanel(ratio: number): { readonly deflection: number; readonly stress: number } {
  if (!(ratio >= 1)) throw new RangeError('the long side is not shorter than the short one')
  if (ratio >= FLATTEST) {
    const [, y, s] = TABLE.at(-1)!
    const share = FLATTEST / ratio
    return {
      deflection: ENDLESS[0] + (y - ENDLESS[0]) * share,
      stress: ENDLESS[1] + (s - ENDLESS[1]) * share,
    }
  }
  const i = TABLE.findIndex(([r]) => r > ratio)
  const [a, b] = [TABLE[i - 1]!, TABLE[i]!]
  const share = (ratio - a[0]) / (b[0] - a[0])
  return { deflection: a[1] + share * (b[1] - a[1]), stress: a[2] + share * (b[2] - a[2]) }
}

/**
 * How far the middle of a sandwich panel gives way by its core's shear alone, as a share of q·b²/U.
 *
 * @param ratio long side over short side, 1 and up
 * @source simply supported on all edges the shear part obeys U·∇²w = −q (Allen, Analysis and Design of Structural
 * Sandwich Panels, chapter 4): the series of a membrane, 1/8 − 4/π³ Σ ±1/(n³·cosh(nπa/2b)), n odd
 * @example panelShear(1) // 0.0737
 */
export function panelShear(ratio: number): number {
  if (!(ratio >= 1)) throw new RangeError('the long side is not shorter than the short one')
  let sum = 0
  for (let n = 1; n <= 15; n += 2) {
    const sign = n % 4 === 1 ? 1 : -1
    sum += sign / (n ** 3 * Math.cosh(Math.min(300, (n * Math.PI * ratio) / 2)))
  }
  return 1 / 8 - (4 / Math.PI ** 3) * sum
}

export interface PanelUnderLoad {
  /** In the middle, m. */
  readonly deflection: number
  /** What the sheet bears over what it is asked. */
  readonly safety: number
}

/**
 * A panel between its supports under an even pressure.
 *
 * @param sides between supports, m, in any order
 * @param pressure Pa
 * @throws {RangeError} for sides that are not above zero
 * @source y = α·q·b⁴/(E·t³) with E·t³ = 12(1 − ν²)·D; σ = β·q·b²/t² as a moment of β·q·b²/6 (Roark, Formulas for
 * Stress and Strain, table of flat plates); a sandwich gives way by its core's shear as well, {@link panelShear}
 * @example panelUnderLoad(plateOf(SHEETS.aluminium, 0.004), [0.5, 0.3], 1500).deflection
 */
export function panelUnderLoad(
  plate: Plate,
  sides: readonly [number, number],
  pressure: number,
): PanelUnderLoad {
  const [short, long] = [Math.min(...sides), Math.max(...sides)]
  if (!(short > 0)) throw new RangeError('a panel has sides above zero')
  const { deflection, stress } = roarkPanel(long / short)
  const moment = (stress * pressure * short ** 2) / 6
  return {
    deflection:
      (deflection * pressure * short ** 4) / (12 * (1 - POISSON ** 2) * plate.rigidity) +
      (panelShear(long / short) * pressure * short ** 2) / plate.shear,
    safety: moment > 0 ? plate.moment / moment : Infinity,
  }
}

/**
 * The lip of a panel that stands out beyond its last support.
 *
 * @param overhang m
 * @source cantilever under an even load: δ = w·L⁴/8D, with a core's shear w·L²/2U more, moment w·L²/2, for each m of
 * its width
 * @example lipUnderLoad(plate, 0.12, 1500).deflection
 */
export function lipUnderLoad(plate: Plate, overhang: number, pressure: number): PanelUnderLoad {
  if (!(overhang >= 0)) throw new RangeError('a lip stands out by zero or more')
  const moment = (pressure * overhang ** 2) / 2
  return {
    deflection:
      (pressure * overhang ** 4) / (8 * plate.rigidity) + (pressure * overhang ** 2) / (2 * plate.shear),
    safety: moment > 0 ? plate.moment / moment : Infinity,
  }
}
