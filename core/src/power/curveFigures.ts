import { peaksOf, powerAt, type Peak, type PullPoint } from './pull'

/** Torque of a curve at an engine speed, straight between its points; `null` beyond its ends. */
export function torqueAt(curve: readonly PullPoint[], speed: number): number | null {
  const first = curve[0]
  const last = curve.at(-1)
  if (!first || !last || speed < first.speed || speed > last.speed) return null
  if (curve.length === 1) return first.torque
  let low = 0
  let high = curve.length - 1
  while (high - low > 1) {
    const middle = (low + high) >> 1
    if (curve[middle]!.speed <= speed) low = middle
    else high = middle
  }
  const [a, b] = [curve[low]!, curve[high]!]
  return a.torque + ((b.torque - a.torque) * (speed - a.speed)) / (b.speed - a.speed)
}

/**
 * Mean power over a band of engine speed: the area under the power curve over its width.
 *
 * @param curve in rising order of speed
 * @returns W; `null` where the curve doesn't cover the band
 * @source trapezoidal rule, with power straight between points
 * @example meanPower([{ speed: 100, torque: 2 }, { speed: 200, torque: 2 }], [100, 200]) // 300
 */
export function meanPower(curve: readonly PullPoint[], [from, to]: readonly [number, number]): number | null {
  const low = torqueAt(curve, from)
  const high = torqueAt(curve, to)
  if (low === null || high === null || !(to > from)) return null
  const inside = curve.filter((p) => p.speed > from && p.speed < to)
  const points = [{ speed: from, torque: low }, ...inside, { speed: to, torque: high }]
  let area = 0
  for (let i = 1; i < points.length; i += 1) {
    const [a, b] = [points[i - 1]!, points[i]!]
    area += ((powerAt(a) + powerAt(b)) / 2) * (b.speed - a.speed)
  }
  return area / (to - from)
}

export interface CurveFigures {
  readonly power: Peak
  readonly torque: Peak
  /** From the first to the last engine speed with 90 % of the peak power, rad/s. */
  readonly band90: readonly [number, number]
  /** Where boost, or torque when there is no boost to read, first reaches 90 % of its peak, rad/s. */
  readonly arrival: number
  readonly arrivalFrom: 'boost' | 'torque'
  /** Area under the power curve over engine speed, W·rad/s. */
  readonly area: number
}

/**
 * What a builder compares of a curve.
 *
 * @param curve in rising order of speed, at least one point
 * @param boost gauge pressure at each point, Pa, where it was logged
 * @throws {RangeError} for a curve without points
 * @source common practice; boost that stays below 0.1 bar is none (common practice)
 * @example curveFigures(points).band90
 */
export function curveFigures(
  curve: readonly PullPoint[],
  boost?: readonly (number | null)[] | undefined,
): CurveFigures {
  const { power, torque } = peaksOf(curve)
  const strong = curve.map((p) => powerAt(p) >= 0.9 * power.value)
  const first = strong.indexOf(true)
  const last = strong.lastIndexOf(true)
  const edge = (inside: number, outside: number) => {
    const [a, b] = [curve[inside]!, curve[outside]]
    if (!b) return a.speed
    const share = (powerAt(a) - 0.9 * power.value) / (powerAt(a) - powerAt(b))
    return a.speed + share * (b.speed - a.speed)
  }
  const most = Math.max(...(boost ?? []).map((b) => b ?? 0), 0)
  const boosted = boost && most > 10_000
  const arrived = boosted
    ? boost.findIndex((b) => b !== null && b >= 0.9 * most)
    : curve.findIndex((p) => p.torque >= 0.9 * torque.value)
  const span = [curve[0]!.speed, curve.at(-1)!.speed] as const
  return {
    power,
    torque,
    band90: [edge(first, first - 1), edge(last, last + 1)],
    arrival: curve[Math.max(0, arrived)]!.speed,
    arrivalFrom: boosted ? 'boost' : 'torque',
    area: (meanPower(curve, span) ?? 0) * (span[1] - span[0]),
  }
}
