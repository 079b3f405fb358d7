import { combineRepeats } from '../evidence/combineRepeats'
import type { Known } from '../evidence/known'

/** What was read on a bench or hanging scale. kg throughout. */
export interface PartWeighing {
  /** Gross readings, each after taking the part off and putting it on again. */
  readonly readings: readonly number[]
  /** Box, hook or strap that was weighed along. */
  readonly tare: number
  /** Smallest step of the scale. */
  readonly resolution: number
  /** Pieces on the scale at once. */
  readonly pieces: number
}
export interface WeighedPart {
  /** One piece. */
  readonly each: Known
  /** Everything on the scale, without the tare. */
  readonly together: Known
  /** Standard deviation of the readings; `null` for one. */
  readonly spread: number | null
}

/**
 * A part's mass from readings on a scale: the mean less the tare, shared by the pieces.
 *
 * A reading is good to half its step, and so is the tare. Two or more readings that agree
 * prove the figure as far as this scale goes; the scale's own error is not in it, see `sharing` of a line.
 *
 * @throws {RangeError} for no readings, no pieces, or a tare that is not less than the mean
 * @source JCGM 100:2008 (GUM), 5.1.2, equation 10, for the propagation; half a step is common practice, because a
 * scale that is loaded twice seldom shows the same last digit
 * @example weighPart({ readings: [4.21, 4.22], tare: 0.35, resolution: 0.01, pieces: 1 }).each.value // 3.865
 */
export function weighPart({ readings, tare, resolution, pieces }: PartWeighing): WeighedPart {
  if (readings.length === 0) throw new RangeError('at least one reading is needed')
  if (!(pieces >= 1)) throw new RangeError('at least one piece lies on the scale')
  const step = resolution / 2
  const gross = combineRepeats(readings, step)
  const net = gross.value - tare
  if (!(net > 0)) throw new RangeError('the tare weighs as much as the whole: check the readings')
  const sigma = Math.hypot(gross.sigma, tare > 0 ? step : 0)
  const mean = gross.value
  const spread =
    readings.length < 2
      ? null
      : Math.sqrt(readings.reduce((sum, r) => sum + (r - mean) ** 2, 0) / (readings.length - 1))
  return {
    each: { value: net / pieces, sigma: sigma / pieces, grade: gross.grade },
    together: { value: net, sigma, grade: gross.grade },
    spread,
  }
}

/**
 * One weighing shared out over several lines, in proportion to what each was thought to weigh: a box of clips.
 * The shares add up to what was weighed, exactly; how well each is known by itself stays as good as the thoughts.
 *
 * @param total what they weigh together, kg
 * @param thought what each was thought to weigh, kg; all alike where nobody thought anything
 * @example shareOut(1.2, [1, 1, 2]) // [0.3, 0.3, 0.6]
 */
export function shareOut(total: number, thought: readonly number[]): number[] {
  const sum = thought.reduce((a, b) => a + b, 0)
  return thought.map((t) => (sum > 0 ? (t / sum) * total : total / thought.length))
}
