/** A wheel moved by hand, and what its spring did. Up is positive; SI. */
export interface TravelPair {
  /** m */
  readonly wheel: number
  /** m */
  readonly spring: number
}

export interface MotionRatio {
  /** Spring travel over wheel travel where the car stands. */
  readonly atRest: number
  /** How it changes with wheel travel, 1/m; 0 for a straight line. */
  readonly change: number
  /** What of the pairs the curve leaves over, as a standard deviation, m; `null` where there are too few to say. */
  readonly sigma: number | null
}

/**
 * Whether pairs were measured at two places of the wheel at least, away from where the car stands: fewer make no ratio.
 *
 * @example hasTwoPlaces([{ wheel: -0.04, spring: -0.0264 }, { wheel: 0, spring: 0 }]) // false
 */
export const hasTwoPlaces = (pairs: readonly TravelPair[]): boolean =>
  new Set(pairs.filter(({ wheel }) => wheel !== 0).map(({ wheel }) => wheel)).size >= 2

/**
 * The motion ratio of a suspension from pairs that were measured, and how it changes over the travel.
 *
 * Least squares through nothing, with a square term where the pairs say more than a line: a spring that didn't move while
 * the wheel stood is no measurement.
 *
 * @param pairs of travel from where the car stands; two at least, at different places
 * @throws {RangeError} for too few, or for pairs that are all at one place
 * @source common practice; least squares as in any textbook
 * @example motionRatio([{ wheel: -0.04, spring: -0.0264 }, { wheel: 0.04, spring: 0.0282 }]).atRest // 0.6825
 */
export function motionRatio(pairs: readonly TravelPair[]): MotionRatio {
  if (!hasTwoPlaces(pairs)) throw new RangeError('a motion ratio wants two places of the wheel at least')
  const moved = pairs.filter(({ wheel }) => wheel !== 0)
  const sum = (of: (pair: TravelPair) => number) => moved.reduce((total, pair) => total + of(pair), 0)
  const w2 = sum(({ wheel }) => wheel ** 2)
  const w3 = sum(({ wheel }) => wheel ** 3)
  const w4 = sum(({ wheel }) => wheel ** 4)
  const ws = sum(({ wheel, spring }) => wheel * spring)
  const w2s = sum(({ wheel, spring }) => wheel ** 2 * spring)
  const determinant = w2 * w4 - w3 ** 2
  const atRest = (ws * w4 - w2s * w3) / determinant
  const square = (w2 * w2s - w3 * ws) / determinant
  const left = sum(({ wheel, spring }) => (spring - atRest * wheel - square * wheel ** 2) ** 2)
  return {
    atRest,
    change: 2 * square,
    sigma: moved.length > 2 ? Math.sqrt(left / (moved.length - 2)) : null,
  }
}

/**
 * The motion ratio at a place of the travel.
 *
 * @param wheel travel from where the car stands, m
 * @example motionRatioAt({ atRest: 0.683, change: 1.125 }, 0.03) // 0.717
 */
export const motionRatioAt = (
  { atRest, change }: Pick<MotionRatio, 'atRest' | 'change'>,
  wheel: number,
): number => atRest + change * wheel
