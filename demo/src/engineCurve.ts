import type { Pull } from '@bold-ballast/contract'
import type { PullPoint } from '@bold-ballast/core'
import { noise, round } from './noise'

const rpm = (value: number) => (value * Math.PI) / 30

export interface EngineData {
  readonly from: number
  readonly to: number
  /** Torque of the engine breathing by itself: peak N·m and where it stands, rpm. */
  readonly torque: number
  readonly torqueAt: number
  /** How fast torque falls away from there, rpm. */
  readonly width: number
  /** What boost multiplies it by, and the rpm at which half of that has arrived. */
  readonly boost?: readonly [times: number, halfAt: number, rise: number]
  /** Share lost at the top of the range as the turbine chokes or the control opens. */
  readonly droop?: number
  readonly seed: number
  /** Whether boost, mixture, coolant and oil pressure were logged as well. */
  readonly log?: boolean
  /** rpm from which the mixture goes lean. */
  readonly leanFrom?: number
}

/** A curve that looks like an engine: a hump, boost coming in, a droop, and the dyno's noise. */
export function engineCurve(e: EngineData): PullPoint[] {
  const random = noise(e.seed)
  const points: PullPoint[] = []
  let drift = 0
  for (let n = e.from; n <= e.to; n += 50) {
    const hump = Math.exp(-(((n - e.torqueAt) / e.width) ** 2))
    const [times, halfAt, rise] = e.boost ?? [1, 0, 1]
    const boost = 1 + (times - 1) / (1 + Math.exp(-(n - halfAt) / rise))
    const top = 1 - (e.droop ?? 0) * Math.max(0, (n - e.torqueAt) / (e.to - e.torqueAt)) ** 2
    drift = drift * 0.7 + (random() - 0.5) * 0.006
    const torque = e.torque * hump * boost * top * (1 + drift)
    points.push({ speed: rpm(n), torque: Math.round(torque * 10) / 10 })
  }
  return points
}

/** What a logger would have seen beside the curve, at the same engine speeds. */
export function engineLog(e: EngineData): NonNullable<Pull['channels']> {
  const random = noise(e.seed + 1000)
  const speeds: number[] = []
  for (let n = e.from; n <= e.to; n += 50) speeds.push(n)
  const wobble = (by: number) => (random() - 0.5) * 2 * by
  const [times, halfAt, rise] = e.boost ?? [1, 0, 1]
  const boosted = times > 1
  return {
    ...(boosted && {
      boost: speeds.map((n) =>
        round((101_325 * 0.95 * (times - 1)) / (1 + Math.exp(-(n - halfAt) / rise)) + wobble(900), 0),
      ),
    }),
    lambda: speeds.map((n) => {
      const lean = e.leanFrom && n > e.leanFrom ? (n - e.leanFrom) * 0.00032 : 0
      return round((boosted ? 0.8 : 0.88) + lean + wobble(0.008), 3)
    }),
    coolant: speeds.map((n) => round(357 + ((n - e.from) / (e.to - e.from)) * 4 + wobble(0.2), 1)),
    oilPressure: speeds.map((n) => round((1.3 + 0.00062 * n) * 1e5 + wobble(4000), 0)),
  }
}
