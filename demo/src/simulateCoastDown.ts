import type { CoastDown } from '@bold-ballast/contract'
import { noise, round } from './noise'

export interface RollingData {
  readonly dragArea: number
  readonly rolling: number
  readonly airDensity: number
  /** m/s, against the way out. */
  readonly wind: number
  readonly runs: number
  readonly seed: number
}

/** A car rolling out, there and back, as a logger with five readings a second and its own noise sees it. */
export function simulateCoastDown(of: RollingData, inert: number, mass: number): CoastDown['runs'] {
  const random = noise(of.seed)
  const STEP = 0.01
  return Array.from({ length: of.runs }, (_, r) => {
    const direction = r % 2 === 0 ? ('out' as const) : ('back' as const)
    const wind = direction === 'out' ? of.wind : -of.wind
    const points: { time: number; speed: number }[] = []
    let v = 46 + random() * 2
    for (let i = 0; v > 14; i += 1) {
      if (i % 20 === 0) {
        const seen = v + (random() + random() + random() - 1.5) * 0.14
        points.push({ time: round(i * STEP, 2), speed: round(seen, 3) })
      }
      const force = of.rolling * mass * 9.80665 + 0.5 * of.airDensity * of.dragArea * (v + wind) ** 2
      v -= (force / inert) * STEP
    }
    return { direction, points }
  })
}
