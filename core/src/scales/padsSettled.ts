import { mean } from '../numeric/mean'
import { CORNERS, type Corner } from './fourPadWeighIn'

/** One moment of a set of pads. */
export interface PadReading {
  /** ms, from any clock that goes evenly. */
  readonly at: number
  /** kg; null for a pad that gives nothing. */
  readonly corners: Readonly<Record<Corner, number | null>>
}
export interface PadsNow {
  /** Means over the last stretch, kg; null for a pad that gives nothing. */
  readonly corners: Readonly<Record<Corner, number | null>>
  readonly total: number | null
  /** True once the figures have stood still long enough to be written down. */
  readonly settled: boolean
  /** Why not yet, in words; null when settled. */
  readonly why: string | null
}

/** How long the figures must stand still, ms. */
const STRETCH = 2000
/** Steps that they may wander meanwhile: a pad on the edge between two steps shows both. */
const STEPS = 2

/**
 * Have the pads come to rest? Every pad that reads must have stayed within two of its steps for two seconds.
 *
 * @param readings newest last; older ones than two seconds are passed over
 * @param resolution smallest step of a pad, kg
 * @source common practice: let it settle, then read
 * @example padsSettled(lastTwoSeconds, 0.5) // { total: 880.2, settled: true, … }
 */
export function padsSettled(readings: readonly PadReading[], resolution: number): PadsNow {
  const newest = readings.at(-1)
  const nothing = { frontLeft: null, frontRight: null, rearLeft: null, rearRight: null }
  if (!newest) return { corners: nothing, total: null, settled: false, why: 'Nothing has been read yet.' }
  const stretch = readings.filter((r) => newest.at - r.at <= STRETCH)
  const dead = CORNERS.filter((c) => newest.corners[c] === null)
  let wanders = false
  const corners = Object.fromEntries(
    CORNERS.map((c) => {
      const values = stretch.flatMap((r) => (r.corners[c] === null ? [] : [r.corners[c]!]))
      if (newest.corners[c] === null || values.length === 0) return [c, null]
      if (Math.max(...values) - Math.min(...values) > STEPS * resolution + 1e-9) wanders = true
      return [c, mean(values)]
    }),
  ) as Record<Corner, number | null>
  const long = newest.at - stretch[0]!.at >= STRETCH * 0.9
  const total = dead.length > 0 ? null : CORNERS.reduce((sum, c) => sum + corners[c]!, 0)
  const why =
    dead.length > 0
      ? `${dead.length === 1 ? 'One pad gives' : `${dead.length} pads give`} no reading.`
      : wanders
        ? 'Still settling.'
        : long
          ? null
          : 'Wait a moment.'
  return { corners, total, settled: why === null, why }
}
