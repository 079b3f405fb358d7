import type { Known } from '../evidence/known'

/** Corner weights as the pads read them: mass in kg, or force in N, all four the same. */
export interface CornerWeights {
  readonly frontLeft: number
  readonly frontRight: number
  readonly rearLeft: number
  readonly rearRight: number
}

export const CORNERS = ['frontLeft', 'frontRight', 'rearLeft', 'rearRight'] as const
export type Corner = (typeof CORNERS)[number]

export interface FourPadResult {
  readonly total: Known
  readonly front: Known
  readonly left: Known
  readonly cross: Known
}

/**
 * What four pads under four wheels can tell: the total, and the front, left and cross shares.
 *
 * Cross weight is the share on the front-right and rear-left tyres. Perch changes move it; they can't
 * move the front or left share, which only mass can.
 *
 * @param corners the four readings, none negative
 * @param pad the pads' resolution (same unit as the readings), their accuracy as a share of the reading, and what all
 * four share as a share: it is added before it is squared, and leaves the shares as they are
 * @throws {RangeError} when a pad is negative or the total is not positive
 * @source common practice for the shares; JCGM 100:2008 (GUM), 5.1.2, equation 10, for the propagation
 * @example fourPadWeighIn({ frontLeft: 232, frontRight: 218, rearLeft: 204, rearRight: 226 }, pad).front.value // 0.5114
 */
export function fourPadWeighIn(
  corners: CornerWeights,
  pad: { readonly resolution: number; readonly accuracy: number; readonly own?: number },
): FourPadResult {
  const readings = CORNERS.map((c) => corners[c])
  if (readings.some((r) => r < 0)) throw new RangeError('a pad reads below zero: it needs its zero set')
  const sum = readings.reduce((a, b) => a + b, 0)
  if (sum <= 0) throw new RangeError('the pads add up to zero')
  const variance = (c: Corner) => Math.max(pad.resolution / Math.sqrt(12), pad.accuracy * corners[c]) ** 2
  const share = (of: readonly Corner[]): Known => {
    const rest = CORNERS.filter((c) => !of.includes(c))
    const inside = of.reduce((s, c) => s + corners[c], 0)
    const spread = Math.sqrt(
      (sum - inside) ** 2 * of.reduce((s, c) => s + variance(c), 0) +
        inside ** 2 * rest.reduce((s, c) => s + variance(c), 0),
    )
    return { value: inside / sum, sigma: spread / sum ** 2, grade: 'measured' }
  }
  return {
    total: {
      value: sum,
      sigma: Math.hypot(Math.sqrt(CORNERS.reduce((s, c) => s + variance(c), 0)), (pad.own ?? 0) * sum),
      grade: 'measured',
    },
    front: share(['frontLeft', 'frontRight']),
    left: share(['frontLeft', 'rearLeft']),
    cross: share(['frontRight', 'rearLeft']),
  }
}
