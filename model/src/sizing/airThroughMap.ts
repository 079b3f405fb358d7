import type { Pull } from '@bold-ballast/contract'
import {
  powerAt,
  sizeAir,
  type AirSizing,
  type AirSystem,
  type FuelDemand,
  type Ambient,
} from '@bold-ballast/core'

/** One point of a curve in eight is enough to draw by. */
const EVERY = 8
/** Below so much of the peak, a curve is the start of a pull: no load that the map is read at. */
const LEAST = 0.35

/** An engine speed, rad/s, and where the compressor works there. */
export type MapPoint = NonNullable<AirSizing['operating']> & { readonly speed: number }

/**
 * The way of a pull through a compressor's map: the shape of its curve, brought to a wanted peak.
 *
 * @param demandAt what the engine asks for at a power, W, and a speed, rad/s
 * @param peak wanted, W at the crank
 * @throws {RangeError} as {@link sizeAir} does
 */
export function airThroughMap(
  pull: Pick<Pull, 'points'> | null,
  peak: number,
  system: AirSystem,
  demandAt: (power: number, speed: number) => Omit<FuelDemand, 'boost'>,
  outside: Pick<Ambient, 'pressure' | 'temperature'>,
): MapPoint[] {
  const points = pull?.points ?? []
  const highest = Math.max(0, ...points.map(powerAt))
  return points
    .filter((p, i) => i % EVERY === 0 && powerAt(p) > LEAST * highest)
    .flatMap((p) => {
      const { operating } = sizeAir(system, demandAt((powerAt(p) * peak) / highest, p.speed), outside)
      return operating ? [{ speed: p.speed, ...operating }] : []
    })
}
