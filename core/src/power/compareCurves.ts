import { studentPoint } from '../numeric/studentT'
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
  /** A shift of this whole side, such as a bridge between dynos, and its standard uncertainty as a share. */
  readonly scale?: number
  readonly scaleSigma?: number
}

/**
 * The difference of two configurations along engine speed, with the band in which it lies 95 times of 100.
 *
 * How far repeats lie apart is judged over the whole curve, as a share of power, because a pull that is
 * strong is so nearly everywhere; where neither side was repeated, the dyno's stated repeatability is taken.
 *
 * @param step of the grid that the curves are compared on, rad/s
 * @param repeatability the dyno's stated standard deviation as a share
 * @returns empty lists when the curves share no engine speed
 * @throws {RangeError} when a side has no curve
 * @source mean of two samples with pooled relative spread, Student's t
 * @example compareCurves({ curves: [stock] }, { curves: [long] }, 10, 0.015).difference
 */
export function compareCurves(
  before: CurveSide,
  after: CurveSide,
  step: number,
  repeatability: number,
): CurveDifference {
  if (before.curves.length === 0 || after.curves.length === 0)
    throw new RangeError('each side needs at least one curve')
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

  // Each pull's mean share above or below its side's mean.
  const residuals = sides.flatMap((curves, side) =>
    curves.length < 2
      ? []
      : curves.map(
          (c) =>
            speeds.reduce((sum, _, i) => sum + c[i]! / means[side]![i]! - 1, 0) / Math.max(1, speeds.length),
        ),
  )
  const freedom =
    all.length -
    2 -
    (before.curves.length < 2 ? before.curves.length - 1 : 0) -
    (after.curves.length < 2 ? after.curves.length - 1 : 0)
  const repeated = freedom > 0 && residuals.length > 0
  const spread = repeated ? Math.sqrt(residuals.reduce((sum, r) => sum + r * r, 0) / freedom) : repeatability
  const reach = repeated ? studentPoint(0.975, freedom) : 1.96
  const half = speeds.map((_, i) => {
    const error = (side: number[], count: number) => (spread * side[i]!) ** 2 / count
    const own = error(meanBefore, before.curves.length) + error(meanAfter, after.curves.length)
    const shared =
      ((before.scaleSigma ?? 0) * meanBefore[i]!) ** 2 + ((after.scaleSigma ?? 0) * meanAfter[i]!) ** 2
    return Math.sqrt(reach ** 2 * own + 1.96 ** 2 * shared)
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
