import { mean } from '../numeric/mean'
import { sumOfSquares } from '../numeric/sampleVariance'
import { withinDays } from '../evidence/dayScatter'
import { sigmaOf } from '../evidence/doubts'
import { differenceOf, readingOf, type InstrumentDoubt } from '../evidence/reading'
import { welchFrom } from '../evidence/welch'
import { torqueAt } from './curveFigures'
import type { PullPoint } from './pull'

export interface CurveDifference {
  /** Engine speeds that both sides cover, rad/s. */
  readonly speeds: number[]
  /** Mean of each side at those speeds, W. */
  readonly before: number[]
  readonly after: number[]
  /** After less before, W, with half the width of its 95 % band. */
  readonly difference: number[]
  readonly half: number[]
  /** Whether the band's width comes from repeats, or from the dyno's stated repeatability. */
  readonly from: 'repeats' | 'repeatability'
}

export interface CurveSide {
  readonly curves: readonly (readonly PullPoint[])[]
  /** What each is off by, in shares of its powers, in the same order; see `readingOf`. */
  readonly doubts: readonly InstrumentDoubt[]
  /** What brings this side to stand beside the other, such as a bridge between dynos; left out for 1. */
  readonly scale?: number
}

/**
 * The difference of two configurations along engine speed, with the band in which it lies 95 times of 100 at any one of
 * them.
 *
 * How far repeats of one day lie apart is judged at each engine speed, as a share of power, and pooled over all: a pull
 * that is strong is so nearly everywhere, and it wobbles from place to place as well. Where neither side was repeated,
 * the dyno's stated repeatability is taken, with how rough the curves are. What the sides don't share of days, dynos and
 * bridges comes on top, by name.
 *
 * @param step of the grid that the curves are compared on, rad/s
 * @returns empty lists when the curves share no engine speed
 * @throws {RangeError} when a side has no curve, or doubts are not one for each curve
 * @source mean of two samples with a pooled relative variance; its degrees of freedom f·(tr Σ)²/tr Σ² after
 * Satterthwaite, Biometrics Bull. 2 (1946) 110, for covariances estimated from f repeats; Student's t; {@link differenceOf}
 * @example compareCurves({ curves: [stock], doubts: [{ scatter: 0.01 }] }, { curves: [long], doubts: [{ scatter: 0.01 }] }, 10).difference
 */
export function compareCurves(before: CurveSide, after: CurveSide, step: number): CurveDifference {
  if (before.curves.length === 0 || after.curves.length === 0)
    throw new RangeError('each side needs at least one curve')
  for (const { curves, doubts } of [before, after])
    if (doubts.length !== curves.length) throw new RangeError('each curve has a doubt of its own')
  const all = [...before.curves, ...after.curves]
  const low = Math.max(...all.map((c) => c[0]!.speed))
  const high = Math.min(...all.map((c) => c.at(-1)!.speed))
  const speeds: number[] = []
  for (let s = Math.ceil(low / step - 1e-9) * step; s <= high; s += step) speeds.push(s)
  const powers = (side: CurveSide) =>
    side.curves.map((curve) => speeds.map((s) => torqueAt(curve, s)! * s * (side.scale ?? 1)))
  const sides = [powers(before), powers(after)] as const
  const means = sides.map((curves) =>
    speeds.map((_, i) => curves.reduce((sum, c) => sum + c[i]!, 0) / curves.length),
  )
  const [meanBefore, meanAfter] = means as [number[], number[]]

  const { variance, freedom } = pooledSpread(
    sides.map((curves, side) => ({
      shares: curves.map((c) => c.map((v, i) => v / means[side]![i]!)),
      days: (side === 0 ? before : after).doubts.map(({ day }) => day ?? ''),
    })),
    speeds.length,
  )
  const repeated = freedom > 0
  const rough = repeated ? 0 : roughness(all, speeds)
  const stated = mean([...before.doubts, ...after.doubts].map(({ scatter }) => scatter ** 2))
  const spread = repeated ? variance : stated + rough
  const half = speeds.map((_, i) => {
    const [a, b] = [meanBefore[i]!, meanAfter[i]!]
    const at = (side: CurveSide, value: number) => side.doubts.map((doubt) => readingOf(value, doubt))
    const found = differenceOf(at(before, a), at(after, b))
    const own = spread * (a ** 2 * sumOfSquares(found.before) + b ** 2 * sumOfSquares(found.after))
    // The band of no difference: what Welch's test would need to call it one.
    const [low, high] = welchFrom(0, [
      { error: own, freedom: repeated ? freedom : Infinity },
      { error: sigmaOf(found.shared) ** 2, freedom: Infinity },
    ]).interval
    return (high - low) / 2
  })
  return {
    speeds,
    before: meanBefore,
    after: meanAfter,
    difference: speeds.map((_, i) => meanAfter[i]! - meanBefore[i]!),
    half,
    from: repeated ? 'repeats' : 'repeatability',
  }
}

/** Relative variance of one repeat at an engine speed, pooled over all, and how many degrees of freedom it is worth. */
function pooledSpread(
  sides: readonly { readonly shares: readonly (readonly number[])[]; readonly days: readonly string[] }[],
  count: number,
): { variance: number; freedom: number } {
  const rows: number[][] = []
  let repeats = 0
  for (const { shares, days } of sides) {
    const columns = Array.from({ length: count }, (_, i) =>
      withinDays(
        shares.map((s) => s[i]!),
        days,
      ),
    )
    repeats += columns[0]?.freedom ?? 0
    shares.forEach((_, c) => rows.push(columns.map((column) => column.residuals[c]!)))
  }
  if (repeats === 0 || count === 0) return { variance: 0, freedom: 0 }
  // S = RᵀR/f over the engine speeds; tr S² needs only the products of the rows with each other.
  const traced = rows.reduce((sum, row) => sum + row.reduce((q, v) => q + v * v, 0), 0) / repeats
  let squared = 0
  for (const a of rows)
    for (const b of rows) squared += (a.reduce((sum, v, i) => sum + v * b[i]!, 0) / repeats) ** 2
  if (!(traced > 0)) return { variance: 0, freedom: repeats }
  // What S overstates of tr Σ², having been estimated itself.
  const trace2 =
    ((squared - traced ** 2 / repeats) * repeats ** 2) / Math.max(1, (repeats - 1) * (repeats + 2))
  // (tr Σ)² likewise; one repeat can't tell how far a wobble reaches.
  const times = repeats > 1 && trace2 > 0 ? (traced ** 2 - (2 * trace2) / repeats) / trace2 : 1
  return { variance: traced / count, freedom: repeats * Math.max(1, Math.min(count, times)) }
}

/** Relative variance of what wobbles from one engine speed to the next, from second differences. */
function roughness(curves: readonly (readonly PullPoint[])[], speeds: readonly number[]): number {
  if (speeds.length < 5) return 0
  const each = curves.map((curve) => {
    const torques = speeds.map((s) => torqueAt(curve, s)!)
    const bends = torques.slice(2).map((t, i) => (t - 2 * torques[i + 1]! + torques[i]!) / torques[i + 1]!)
    return bends.map((b) => b * b).sort((a, b) => a - b)[Math.floor(bends.length / 2)]! / 6 / MEDIAN_SQUARE
  })
  return mean(each)
}
/** Median of the square of a standard normal number: a hump or two of the curve doesn't count as wobble. */
const MEDIAN_SQUARE = 0.4549
