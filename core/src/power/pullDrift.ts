import { mean } from '../numeric/mean'
import { sumOfSquares } from '../numeric/sampleVariance'
import { studentShare } from '../numeric/studentT'

/** A pull in the order of its day. */
export interface PulledAt {
  /** Its place in the day. */
  readonly at: number
  readonly value: number
}

export interface PullDrift {
  /** From one pull to the next, in the unit of the values. */
  readonly slope: number
  /** Chance of so much of it without any drift. */
  readonly p: number
}

/**
 * How pulls of a day drift from one to the next, whatever configuration was on the car: an engine that soaks up heat reads
 * less each time. Configurations may lie apart; the slope is common to them.
 *
 * @param configurations pulls of each
 * @returns `null` where too few of one configuration follow each other to tell
 * @source least squares with a level for each configuration; Student's t on its slope
 * @example pullDrift([[{ at: 0, value: 200 }, { at: 1, value: 199 }, { at: 2, value: 198.1 }], [{ at: 3, value: 204 }, { at: 4, value: 203.1 }]])?.slope // -0.94
 */
export function pullDrift(configurations: readonly (readonly PulledAt[])[]): PullDrift | null {
  const freed = configurations.flatMap((pulls) => {
    const [at, value] = [mean(pulls.map((p) => p.at)), mean(pulls.map((p) => p.value))]
    return pulls.map((p) => ({ at: p.at - at, value: p.value - value }))
  })
  const squares = sumOfSquares(freed.map(({ at }) => at))
  const freedom = freed.length - configurations.filter((pulls) => pulls.length > 0).length - 1
  if (!(squares > 0) || freedom < 1) return null
  const slope = freed.reduce((sum, { at, value }) => sum + at * value, 0) / squares
  const left = freed.reduce((sum, { at, value }) => sum + (value - slope * at) ** 2, 0) / freedom
  if (left === 0) return { slope, p: slope === 0 ? 1 : 0 }
  return { slope, p: 2 * studentShare(-Math.abs(slope / Math.sqrt(left / squares)), freedom) }
}
