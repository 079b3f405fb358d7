import { sampleVariance } from '../numeric/sampleVariance'
import type { LoggedTrace } from './lapTrace'
import { cornerMarks } from './cornerMarks'

/** How alike a driver's laps are at a corner and on the way to the next. */
export interface CornerScatter {
  readonly laps: number
  /** s from this corner's start to the next one's: the quickest, the mean, and one standard deviation about it. */
  readonly best: number
  readonly mean: number
  readonly scatter: number
  /** m: one standard deviation of where braking begins; null where the car doesn't slow for it on two laps. */
  readonly braking: number | null
  /** m/s: one standard deviation of the least speed; null without speeds. */
  readonly least: number | null
}

/**
 * Scatter from lap to lap by corner: where a driver isn't sure yet, and where a lap is lost to itself.
 *
 * @param traces of laps that count, laid out with the same step: two or more
 * @param corners from and to of each, m along the lap, in order; time goes on to where the next begins
 * @param length of the lap, m
 * @throws {RangeError} for fewer than two laps
 * @source definition
 * @example cornerScatter([trace, trace], [[100, 150]], 190)[0].scatter // 0
 */
export function cornerScatter(
  traces: readonly LoggedTrace[],
  corners: readonly (readonly [from: number, to: number])[],
  length: number,
): CornerScatter[] {
  if (traces.length < 2) throw new RangeError('scatter needs two laps or more')
  return corners.map((corner, i) => {
    const to = corners[i + 1]?.[0] ?? length
    const times = traces.map(({ step, time }) => {
      const at = (place: number) => time[Math.min(time.length - 1, Math.round(place / step))]!
      return at(to) - at(corner[0])
    })
    const marks = traces.flatMap((trace) => cornerMarks(trace, corner) ?? [])
    const braked = marks.flatMap(({ braking }) => (braking === null ? [] : [braking]))
    const deviation = (values: readonly number[]) =>
      values.length < 2 ? null : Math.sqrt(sampleVariance(values))
    return {
      laps: traces.length,
      best: Math.min(...times),
      mean: times.reduce((a, b) => a + b, 0) / times.length,
      scatter: deviation(times) ?? 0,
      braking: deviation(braked),
      least: deviation(marks.map((m) => m.least)),
    }
  })
}
