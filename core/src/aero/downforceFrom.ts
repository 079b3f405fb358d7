import { mean } from '../numeric/mean'
import { studentPoint } from '../numeric/studentT'
import { dynamicPressure } from './aeroBalance'
import type { Fitted } from './coastDown'
import type { RidePoint } from './steadyStretches'

/** What turns a place of the suspension into a load. SI. */
export interface RideSetup {
  /** Damper travel rises as the car sinks; a ride height falls. */
  readonly sensor: 'damper' | 'rideHeight'
  /** Damper travel over wheel travel; 1 for ride heights. */
  readonly motionRatio: { readonly front: number; readonly rear: number }
  /** Of one wheel; with the tyre in it for ride heights, N/m. */
  readonly wheelRate: { readonly front: number; readonly rear: number }
  readonly airDensity: number
  /** True speed of the air over the speed that was logged. */
  readonly speedFactor: number
}

export interface MeasuredDownforce {
  /** C_L·A that each axle gets, m², with what drag moves from front to rear. */
  readonly front: Fitted
  readonly rear: Fitted
  readonly total: Fitted
  /** Front share of it; `null` where the car as a whole isn't pressed down. */
  readonly frontShare: { readonly value: number; readonly sigma: number } | null
}

const FEWEST = 3

/** Slope of a straight line with its standard error. */
function slopeOf(xs: readonly number[], ys: readonly number[]): { slope: number; sigma: number } {
  const n = xs.length
  const [mx, my] = [mean(xs), mean(ys)]
  const sxx = xs.reduce((s, x) => s + (x - mx) ** 2, 0)
  if (!(sxx > 1e-9)) throw new RangeError('all stretches are at one speed: a second, slower one is wanted')
  const slope = xs.reduce((s, x, i) => s + (x - mx) * (ys[i]! - my), 0) / sxx
  const left = ys.reduce((s, y, i) => s + (y - my - slope * (xs[i]! - mx)) ** 2, 0)
  return { slope, sigma: Math.sqrt(left / (n - 2) / sxx) }
}

/**
 * The downforce of each axle from where its suspension stands at several steady speeds.
 *
 * Where it stands without wind isn't asked: a straight line over ½ρv² starts there.
 *
 * @param points at least three, at two speeds or more
 * @throws {RangeError} for too few points, or rates, ratios and air that are not above zero
 * @source F = 2·k·Δz, C_L·A = dF/d(½ρv²), least squares with intervals by Student's t; share by propagation
 * @example downforceFrom(points, setup).front.value // 0.31
 */
export function downforceFrom(points: readonly RidePoint[], setup: RideSetup): MeasuredDownforce {
  const { sensor, motionRatio, wheelRate, airDensity, speedFactor } = setup
  if (
    ![...Object.values(motionRatio), ...Object.values(wheelRate), airDensity, speedFactor].every((n) => n > 0)
  )
    throw new RangeError('rates, ratios, air and the speed’s factor are above zero')
  if (points.length < FEWEST) throw new RangeError(`${FEWEST} steady stretches are the least`)
  const pressures = points.map((p) => dynamicPressure(airDensity, p.speed * speedFactor))
  const t90 = studentPoint(0.95, points.length - 2)
  const sign = sensor === 'damper' ? 1 : -1
  const axle = (end: 'front' | 'rear') =>
    slopeOf(
      pressures,
      points.map((p) => (sign * p[end] * 2 * wheelRate[end]) / motionRatio[end]),
    )
  const known = ({ slope, sigma }: { slope: number; sigma: number }): Fitted => ({
    value: slope,
    sigma,
    interval: [slope - t90 * sigma, slope + t90 * sigma],
  })
  const [front, rear] = [axle('front'), axle('rear')]
  const sum = front.slope + rear.slope
  return {
    front: known(front),
    rear: known(rear),
    total: known({ slope: sum, sigma: Math.hypot(front.sigma, rear.sigma) }),
    frontShare:
      sum > 1e-6
        ? {
            value: front.slope / sum,
            sigma: Math.hypot(rear.slope * front.sigma, front.slope * rear.sigma) / sum ** 2,
          }
        : null,
  }
}

/**
 * What an airspeed tube reads too little or too much, from stretches both ways: wind comes out in the mean.
 *
 * @param pairs speed over the ground and speed that the tube says, m/s, the same number each way
 * @throws {RangeError} for none, or a tube that says nothing
 * @source ratio of the sums
 * @example pitotFactor([{ ground: 50, tube: 47 }, { ground: 50, tube: 53 }]) // 1
 */
export function pitotFactor(pairs: readonly { readonly ground: number; readonly tube: number }[]): number {
  const sum = (of: (p: (typeof pairs)[number]) => number) => pairs.reduce((s, p) => s + of(p), 0)
  const tube = sum((p) => p.tube)
  if (!(tube > 0)) throw new RangeError('the tube says nothing')
  return sum((p) => p.ground) / tube
}
