import { torqueAt } from './curveFigures'
import type { PullPoint } from './pull'

/**
 * The mean of several pulls, at the first one's engine speeds as far as all of them cover these.
 *
 * @param curves in rising order of speed
 * @returns no points for no curves, or for curves that share no engine speed
 * @example meanCurve([[{ speed: 300, torque: 200 }], [{ speed: 300, torque: 210 }]]) // [{ speed: 300, torque: 205 }]
 */
export function meanCurve(curves: readonly (readonly PullPoint[])[]): PullPoint[] {
  const [first = [], ...rest] = curves
  return first.flatMap(({ speed, torque }) => {
    const others = rest.map((curve) => torqueAt(curve, speed))
    if (others.some((t) => t === null)) return []
    return [{ speed, torque: others.reduce<number>((sum, t) => sum + t!, torque) / curves.length }]
  })
}
