import { ratioKnown, type Known } from '../evidence/known'

/**
 * A bridge between two dynos: the same car in the same tune on both. Nothing else makes their figures comparable.
 *
 * What each dyno is off by itself is in the bridge and in the figures that it brings across, and cancels there by name; so
 * does a day, or a very pull, that both share.
 *
 * @param first power on the first dyno, W, as `pulledPower` gives it
 * @param second power of the same configuration on the second, under the same correction
 * @returns what a figure of the first is multiplied by to stand beside one of the second
 * @throws {RangeError} for a power that is none
 * @source JCGM 100:2008, 5.2.2
 * @example bridgeDynos(known(210e3, 'measured', 1e3), known(198e3, 'measured', 1e3)).value // 0.9429
 */
export function bridgeDynos(first: Known, second: Known): Known {
  if (!(first.value > 0 && second.value > 0)) throw new RangeError('a bridge needs powers above zero')
  return ratioKnown(second, first)
}
