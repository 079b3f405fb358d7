import { pchip } from '../numeric/pchip'
import type { ChannelValues, PullChannel } from './pullChannels'
import type { PullPoint } from './pull'

/** A pull as it was logged: as many values of each channel as rows, NaN where the log has none. */
export interface LoggedPull {
  readonly speed: Float64Array
  readonly torque: Float64Array
  readonly channels: Readonly<Partial<Record<PullChannel, Float64Array>>>
}

export interface GriddedPull {
  readonly points: PullPoint[]
  readonly channels: ChannelValues
  /** Highest power of the rows as they were logged, W. */
  readonly rawPeakPower: number
}

/**
 * Lays a logged pull on an even grid of engine speed: rows that share a step are averaged, and a curve that
 * keeps their shape is laid through the averages. A log with fewer rows than steps gains points, but no
 * height.
 *
 * @param log rows in any order
 * @param step of the grid, rad/s; grid points are whole multiples of it, the ends are the log's own
 * @returns the points in rising order, the channels beside them, and what the peak was before
 * @throws {RangeError} for fewer than two different speeds
 * @source {@link pchip}; averaging before interpolation is common practice
 * @example resamplePull({ speed, torque, channels: {} }, (25 * Math.PI) / 30).points
 */
export function resamplePull(log: LoggedPull, step: number): GriddedPull {
  const n = log.speed.length
  let low = Infinity
  let high = -Infinity
  let rawPeakPower = -Infinity
  for (let i = 0; i < n; i += 1) {
    low = Math.min(low, log.speed[i]!)
    high = Math.max(high, log.speed[i]!)
    rawPeakPower = Math.max(rawPeakPower, log.speed[i]! * log.torque[i]!)
  }
  if (!(high > low)) throw new RangeError('a pull needs rows at two or more engine speeds')
  const first = Math.round(low / step)
  const cells = Math.round(high / step) - first + 1
  const averaged = (values: Float64Array) => {
    const sum = new Float64Array(cells)
    const at = new Float64Array(cells)
    const count = new Uint32Array(cells)
    for (let i = 0; i < n; i += 1) {
      const value = values[i]!
      if (Number.isNaN(value)) continue
      const cell = Math.round(log.speed[i]! / step) - first
      sum[cell]! += value
      at[cell]! += log.speed[i]!
      count[cell]! += 1
    }
    const xs: number[] = []
    const ys: number[] = []
    for (let c = 0; c < cells; c += 1) {
      if (!count[c]) continue
      xs.push(at[c]! / count[c]!)
      ys.push(sum[c]! / count[c]!)
    }
    return { xs, ys }
  }
  const { xs, ys } = averaged(log.torque)
  if (xs.length < 2) {
    // All within one step of the grid: the ends themselves are the pull.
    const torque = ys[0]!
    return {
      points: [
        { speed: low, torque },
        { speed: high, torque },
      ],
      channels: {},
      rawPeakPower,
    }
  }
  const curve = pchip(xs, ys)
  const [start, end] = [xs[0]!, xs.at(-1)!]
  const speeds = [
    start,
    ...Array.from({ length: cells }, (_, c) => (first + c) * step).filter(
      (s) => s > start + step / 4 && s < end - step / 4,
    ),
    end,
  ]
  const channels = Object.entries(log.channels).map(([name, values]) => {
    const known = averaged(values)
    if (known.xs.length < 2) return [name, speeds.map(() => known.ys[0] ?? null)] as const
    const along = pchip(known.xs, known.ys)
    const inside = (s: number) => s >= known.xs[0]! - step && s <= known.xs.at(-1)! + step
    return [name, speeds.map((s) => (inside(s) ? along(s) : null))] as const
  })
  return {
    points: speeds.map((speed) => ({ speed, torque: curve(speed) })),
    channels: Object.fromEntries(channels),
    rawPeakPower,
  }
}
