import { itemAt } from '../lists/itemAt'
import { aeroBalance } from './aeroBalance'
import { elementAreas, spreadsOf, type AeroElement } from './elementAreas'

export interface AeroSigma {
  /** Standard uncertainty of C_L·A, m². */
  readonly total: number
  /** Of C_D·A, m². */
  readonly drag: number
  /** The same of each element by itself, in order. */
  readonly each: readonly { readonly lift: number; readonly drag: number }[]
  /** Of the front share; `null` where there is no balance: nothing presses, or too little to say where. */
  readonly frontShare: number | null
}

/** A share that is known no better than this says nothing: half of all there is may be at either axle. */
const TELLS_NOTHING = 0.5

/**
 * How far off downforce and balance may be, to first order: quick where thousands of draws would be too many.
 *
 * @param wheelbase m
 * @source JCGM 100:2008, 5.1.2, equation 10: independent areas, each off by its spread
 * @example aeroSigma(elements, 2.5).frontShare // 0.148
 */
export function aeroSigma(elements: readonly AeroElement[], wheelbase: number): AeroSigma {
  const parts = elements.map((e) => ({ ...elementAreas(e), x: e.x, z: e.z, spreads: spreadsOf(e) }))
  const { total, frontShare } = aeroBalance(parts, wheelbase)
  const each = parts.map(({ downforceArea, dragArea, spreads }) => ({
    lift: downforceArea * spreads.lift,
    drag: dragArea * spreads.drag,
  }))
  let shares = 0
  for (const [i, { x, z }] of parts.entries()) {
    if (frontShare === null) break
    const { lift, drag } = itemAt(each, i)
    // d(front/total): what it adds in front, less the share of what it adds in all.
    shares += ((lift * (1 - x / wheelbase - frontShare)) / total) ** 2
    shares += ((drag * (z / wheelbase)) / total) ** 2
  }
  const share = Math.sqrt(shares)
  return {
    total: Math.hypot(...each.map(({ lift }) => lift)),
    drag: Math.hypot(...each.map(({ drag }) => drag)),
    each,
    frontShare: frontShare === null || share > TELLS_NOTHING ? null : share,
  }
}
