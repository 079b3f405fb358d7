import { torqueAt } from './curveFigures'
import type { PullPoint } from './pull'

const ENTRIES = 512

/**
 * A curve as a table that is asked often: torque at any engine speed in one look, the ends held beyond them.
 *
 * @param curve in rising order of speed; an empty one gives 0 everywhere
 * @returns N·m at an engine speed in rad/s, straight between 512 entries
 * @source linear interpolation
 * @example torqueTable(curve)(500)
 */
export function torqueTable(curve: readonly PullPoint[]): (speed: number) => number {
  const [first, last] = [curve[0], curve.at(-1)]
  if (!first || !last) return () => 0
  if (last.speed === first.speed) return () => first.torque
  const width = (last.speed - first.speed) / (ENTRIES - 1)
  const values = Float64Array.from(
    { length: ENTRIES },
    (_, i) => torqueAt(curve, Math.min(last.speed, first.speed + i * width)) ?? last.torque,
  )
  return (speed) => {
    const at = (Math.min(last.speed, Math.max(first.speed, speed)) - first.speed) / width
    const i = Math.min(ENTRIES - 2, Math.floor(at))
    return values[i]! + (values[i + 1]! - values[i]!) * (at - i)
  }
}
