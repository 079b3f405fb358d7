import type { DownforceTest } from '@bold-ballast/contract'
import { noise, round } from './noise'

export interface RiddenData {
  readonly airDensity: number
  /** C_L·A that each axle gets with the wing at the angle, m². */
  readonly settings: readonly {
    readonly angle: number | null
    readonly front: number
    readonly rear: number
  }[]
  readonly seed: number
}

const SPEEDS = [22, 31, 38, 44, 50, 55]
/** Where the dampers stand without wind, m. */
const AT_REST = { front: 0.031, rear: 0.038 }

/** Dampers of a car held at several speeds, one run for each setting of the wing, as a logger with its own noise sees them. */
export function simulateRide(
  of: RiddenData,
  { motionRatio, wheelRate }: Pick<DownforceTest, 'motionRatio' | 'wheelRate'>,
  wingId: string | null,
): DownforceTest['runs'] {
  const random = noise(of.seed)
  return of.settings.map((setting) => ({
    wingId: setting.angle === null ? null : wingId,
    angle: setting.angle,
    points: SPEEDS.map((v) => {
      const speed = v + random() * 1.5
      const pressure = 0.5 * of.airDensity * speed ** 2
      const at = (end: 'front' | 'rear') =>
        AT_REST[end] +
        (setting[end] * pressure * motionRatio[end]) / (2 * wheelRate[end]) +
        (random() + random() + random() - 1.5) * 0.00025
      return {
        speed: round(speed, 3),
        front: round(at('front'), 6),
        rear: round(at('rear'), 6),
        held: round(2.5 + random() * 3, 1),
      }
    }),
  }))
}
