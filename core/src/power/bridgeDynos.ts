import { mean as meanOf } from '../numeric/mean'
import { combineRepeats } from '../evidence/combineRepeats'

export interface DynoBridge {
  /** What a figure of the first dyno is multiplied by to stand beside one of the second. */
  readonly ratio: number
  /** Its standard uncertainty as a share of the ratio. */
  readonly relativeSigma: number
}

/**
 * A bridge between two dynos: the same car in the same tune on both. Nothing else makes their figures
 * comparable.
 *
 * @param first peak powers on the first dyno, same configuration, same correction
 * @param second peak powers on the second
 * @param repeatabilities the two dynos' stated standard deviations as shares
 * @throws {RangeError} when a side has no figure, or one of zero
 * @source JCGM 100:2008, 5.1.6, equation 12: relative variances of a ratio add; a mean's error is the larger of
 * stated and seen
 * @example bridgeDynos([210e3, 211e3], [198e3, 199e3], [0.008, 0.02]).ratio // 0.943
 */
export function bridgeDynos(
  first: readonly number[],
  second: readonly number[],
  repeatabilities: readonly [number, number],
): DynoBridge {
  const mean = (figures: readonly number[], repeatability: number) => {
    const average = meanOf(figures)
    const { value, sigma } = combineRepeats(figures, repeatability * average)
    if (!(value > 0)) throw new RangeError('a bridge needs powers above zero')
    return { value, share: sigma / value }
  }
  const a = mean(first, repeatabilities[0])
  const b = mean(second, repeatabilities[1])
  return { ratio: b.value / a.value, relativeSigma: Math.hypot(a.share, b.share) }
}
