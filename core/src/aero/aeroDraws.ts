import { quantileOf } from '../numeric/quantileOf'
import { normalPair } from '../numeric/normalPair'
import { randomBits } from '../numeric/randomBits'
import { aeroBalance, placedAreas } from './aeroBalance'
import { spreadsOf, type AeroElement } from './elementAreas'

export interface Range {
  readonly p10: number
  readonly p50: number
  readonly p90: number
}
export interface AeroDraws {
  readonly front: Range
  readonly rear: Range
  readonly drag: Range
  /** `null` where too few draws press the car down. */
  readonly frontShare: Range | null
  /** Share of the draws in which the front gets more of the downforce than of the mass. */
  readonly wrongSide: number
  readonly draws: number
}

/** Quantiles of some draws; they are sorted in place. */
function rangeOf(values: Float64Array): Range {
  values.sort()
  const [p10, p50, p90] = [0.1, 0.5, 0.9].map((share) => quantileOf(values, share)) as [
    number,
    number,
    number,
  ]
  return { p10, p50, p90 }
}

/**
 * How far off the balance may be: every element's areas are drawn within their spread, all at once, many times.
 *
 * An area keeps its sign: its size is lognormal about what is typed.
 *
 * @param massFront front share of the mass
 * @throws {RangeError} for fewer than ten draws
 * @source Monte Carlo propagation, JCGM 101:2008, clause 7
 * @example aeroDraws(elements, { wheelbase: 2.5, massFront: 0.52 }).wrongSide // 0.435
 */
export function aeroDraws(
  elements: readonly AeroElement[],
  { wheelbase, massFront }: { readonly wheelbase: number; readonly massFront: number },
  { draws = 2000, seed = 1 }: { readonly draws?: number; readonly seed?: number } = {},
): AeroDraws {
  if (!(draws >= 10)) throw new RangeError('ten draws are the least')
  const areas = placedAreas(elements)
  const spreads = elements.map(spreadsOf)
  const bits = randomBits(seed)
  const [front, rear, drag] = [0, 1, 2].map(() => new Float64Array(draws)) as [
    Float64Array,
    Float64Array,
    Float64Array,
  ]
  const shares: number[] = []
  let wrong = 0
  for (let d = 0; d < draws; d += 1) {
    const drawn = areas.map((area, i) => {
      const { lift, drag: back } = spreads[i]!
      const [first, second] = normalPair(bits)
      return {
        ...area,
        downforceArea: area.downforceArea * Math.exp(lift * first - (lift * lift) / 2),
        dragArea: area.dragArea * Math.exp(back * second - (back * back) / 2),
      }
    })
    const balance = aeroBalance(drawn, wheelbase)
    front[d] = balance.front
    rear[d] = balance.rear
    drag[d] = balance.drag
    if (balance.frontShare !== null) shares.push(balance.frontShare)
    if (balance.frontShare !== null && balance.frontShare > massFront) wrong += 1
  }
  return {
    front: rangeOf(front),
    rear: rangeOf(rear),
    drag: rangeOf(drag),
    frontShare: shares.length > draws / 2 ? rangeOf(Float64Array.from(shares)) : null,
    wrongSide: wrong / draws,
    draws,
  }
}
