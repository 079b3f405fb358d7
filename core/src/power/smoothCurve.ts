import type { PullPoint } from './pull'

/**
 * A curve smoothed over a window of engine speed: at each point a straight line is fitted to its neighbours,
 * near ones counting more. A straight stretch stays as it is; a narrow peak loses height, which is why the
 * peak before and after belong beside each other.
 *
 * @param curve in rising order of speed
 * @param window how far neighbours count to either side, rad/s; 0 gives the curve back
 * @source local regression with tricube weights: Cleveland, J. Am. Stat. Assoc. 74 (1979) 829
 * @example smoothCurve(points, (200 * Math.PI) / 30)
 */
export function smoothCurve(curve: readonly PullPoint[], window: number): readonly PullPoint[] {
  if (!(window > 0) || curve.length < 3) return curve
  let from = 0
  return curve.map(({ speed, torque }) => {
    while (curve[from]!.speed < speed - window) from += 1
    let [w, wx, wy, wxx, wxy] = [0, 0, 0, 0, 0]
    for (let i = from; i < curve.length && curve[i]!.speed <= speed + window; i += 1) {
      const x = curve[i]!.speed - speed
      const weight = (1 - Math.abs(x / window) ** 3) ** 3
      w += weight
      wx += weight * x
      wy += weight * curve[i]!.torque
      wxx += weight * x * x
      wxy += weight * x * curve[i]!.torque
    }
    const spread = w * wxx - wx * wx
    // A point alone in its window has no line through it.
    const fitted = spread > 1e-9 * w * w * window * window ? (wxx * wy - wx * wxy) / spread : torque
    return { speed, torque: fitted }
  })
}
