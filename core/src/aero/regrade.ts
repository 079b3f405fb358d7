import { invertMatrix } from '../numeric/invertMatrix'
import { elementAreas, spreadsOf, type AeroElement } from './elementAreas'

export interface MeasuredArea {
  readonly value: number
  readonly sigma: number
}
/** What was measured of the whole car, m²; leave out what wasn't. Front and rear with what drag moves. */
export interface MeasuredAreas {
  readonly front?: MeasuredArea
  readonly rear?: MeasuredArea
  readonly drag?: MeasuredArea
}
export interface Regraded {
  readonly id: string
  /** Times what it was taken for. */
  readonly lift: number
  readonly drag: number
  /** How far off each may still be, as shares. */
  readonly liftSpread: number
  readonly dragSpread: number
}

/** No element turns round because of a measurement of the whole car. */
const LEAST = 0.05

/**
 * Elements put right by what was measured of the whole car, each as far as it was in doubt.
 *
 * Before the measurement every element's areas lie about what was taken for them, within their spread. Given the sums
 * that were measured, this is where they lie most likely, and how far off they may still be.
 *
 * @param wheelbase m
 * @throws {RangeError} when nothing was measured, or nothing that is in doubt can explain it
 * @source linear Gaussian update: K = P·Hᵀ·(H·P·Hᵀ + R)⁻¹ (Kalman, J. Basic Eng. 82 (1960) 35)
 * @example regraded(elements, { front: { value: 0.3, sigma: 0.02 } }, 2.5)
 */
export function regraded(
  elements: readonly AeroElement[],
  measured: MeasuredAreas,
  wheelbase: number,
): Regraded[] {
  if (!(wheelbase > 0)) throw new RangeError('a wheelbase is above zero')
  const areas = elements.map((e) => ({ ...elementAreas(e), x: e.x, z: e.z, spreads: spreadsOf(e) }))
  const n = areas.length
  const rows = (['front', 'rear', 'drag'] as const).flatMap((what) => {
    const known = measured[what]
    if (!known) return []
    // One column for each element's downforce, then one for each one's drag.
    const row = [
      ...areas.map((a) => {
        const share = what === 'rear' ? a.x / wheelbase : what === 'front' ? 1 - a.x / wheelbase : 0
        return a.downforceArea * share
      }),
      ...areas.map((a) => {
        const share = { front: -a.z / wheelbase, rear: a.z / wheelbase, drag: 1 }[what]
        return a.dragArea * share
      }),
    ]
    return [{ row, known }]
  })
  if (rows.length === 0) throw new RangeError('nothing was measured')
  const prior = [...areas.map((a) => a.spreads.lift ** 2), ...areas.map((a) => a.spreads.drag ** 2)]
  const innovation = rows.map(({ row, known }) => known.value - row.reduce((s, h) => s + h, 0))
  const inverted = invertMatrix(
    rows.map((a, i) =>
      rows.map(
        (b, j) =>
          a.row.reduce((s, h, k) => s + h * prior[k]! * b.row[k]!, 0) + (i === j ? a.known.sigma ** 2 : 0),
      ),
    ),
    1e-15,
  )
  if (!inverted) throw new RangeError('nothing that is in doubt can explain what was measured')
  const gain = prior.map((p, k) =>
    inverted[0]!.map((_, j) => rows.reduce((s, { row }, i) => s + p * row[k]! * inverted[i]![j]!, 0)),
  )
  const factor = gain.map((g) => Math.max(LEAST, 1 + g.reduce((s, by, j) => s + by * innovation[j]!, 0)))
  const spread = gain.map((g, k) =>
    Math.sqrt(Math.max(0, prior[k]! * (1 - g.reduce((s, by, j) => s + by * rows[j]!.row[k]!, 0)))),
  )
  return elements.map((e, i) => ({
    id: e.id,
    lift: factor[i]!,
    drag: factor[n + i]!,
    // As shares of what it is taken for from now on.
    liftSpread: spread[i]! / factor[i]!,
    dragSpread: spread[n + i]! / factor[n + i]!,
  }))
}
