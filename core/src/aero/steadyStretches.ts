import { mean as meanOf } from '../numeric/mean'
/** A row of a log: time, speed, and where the suspension of each axle stands. SI. */
export interface RideRow {
  readonly time: number
  readonly speed: number
  readonly front: number
  readonly rear: number
  /** What an airspeed tube says, where there is one. */
  readonly tube?: number
}
/** The means over a stretch at one speed. */
export interface RidePoint {
  readonly speed: number
  readonly front: number
  readonly rear: number
  readonly tube?: number
  /** How long it was held, s. */
  readonly held: number
}

/** Rows further apart than that, s, are two pieces of a log. */
const LONGEST_PAUSE = 1

/**
 * The stretches of a log at which the speed was held, each as its means.
 *
 * A stretch goes on for as long as its speeds stay within a band and no second is missing; bumps come out in the mean.
 *
 * @param rows in order of time
 * @param options.band widest difference of speeds in a stretch, m/s
 * @param options.least shortest stretch, s
 * @param options.slowest below that no stretch counts, m/s
 * @throws {RangeError} for times that fall
 * @source definition
 * @example steadyStretches(rows, { band: 0.8, least: 2 })
 */
export function steadyStretches(
  rows: readonly RideRow[],
  {
    band = 0.8,
    least = 2,
    slowest = 5,
  }: { readonly band?: number; readonly least?: number; readonly slowest?: number } = {},
): RidePoint[] {
  const found: RidePoint[] = []
  let start = 0
  let [low, high] = [Infinity, -Infinity]
  const close = (end: number) => {
    const some = rows.slice(start, end)
    const held = some.length > 1 ? some.at(-1)!.time - some[0]!.time : 0
    const mean = (of: (r: RideRow) => number) => meanOf(some.map(of))
    if (held < least || mean((r) => r.speed) < slowest) return
    const hasTube = some.every((r) => r.tube !== undefined)
    found.push({
      speed: mean((r) => r.speed),
      front: mean((r) => r.front),
      rear: mean((r) => r.rear),
      held,
      ...(hasTube && { tube: mean((r) => r.tube!) }),
    })
  }
  for (let i = 0; i < rows.length; i += 1) {
    const { speed, time } = rows[i]!
    if (i > 0 && time < rows[i - 1]!.time) throw new RangeError('the times of a log don’t fall')
    const isTorn = i > 0 && time - rows[i - 1]!.time > LONGEST_PAUSE
    if (isTorn || Math.max(high, speed) - Math.min(low, speed) > band) {
      close(i)
      start = i
      ;[low, high] = [speed, speed]
    } else {
      low = Math.min(low, speed)
      high = Math.max(high, speed)
    }
  }
  close(rows.length)
  return found
}
