import type { Known } from '../evidence/known'

/** One lift: an axle raised by `lift`, and what the other axle gained. */
export interface Tilt {
  /** How far the axle was raised, m. */
  readonly lift: number
  /** What the level axle read more than on the flat, kg. */
  readonly gain: number
}

export interface TiltInputs {
  /** Whole mass, kg. */
  readonly mass: number
  readonly wheelbase: number
  /** Static loaded radius of the tyres, m, the mean of both axles. */
  readonly radius: number
  readonly tilts: readonly Tilt[]
  /** Standard error of a gain, kg. */
  readonly gainSigma: number
  /** Standard error of a lift, m. */
  readonly liftSigma: number
}

/**
 * Height of the centre of mass by tilting: raise one axle with the suspension locked, and read what the other
 * axle gains. Each lift gives h₁ = ΔW·L/(W·tan θ) above the wheel centres, sin θ = H/L; several are fitted as
 * a line through nothing by weighted least squares. The loaded radius is added.
 *
 * @returns metres above the ground
 * @throws {RangeError} for no lift, a lift of nothing, or one steeper than 45°
 * @source Milliken & Milliken, Race Car Vehicle Dynamics, chapter 18, Wheel Loads (from memory)
 * @example tiltHeight({ mass: 1200, wheelbase: 2.5, radius: 0.3, tilts: [{ lift: 0.3, gain: 38 }], gainSigma: 0.5, liftSigma: 0.002 }).value // 0.955
 */
export function tiltHeight({ mass, wheelbase, radius, tilts, gainSigma, liftSigma }: TiltInputs): Known {
  if (tilts.length === 0) throw new RangeError('at least one lift is needed')
  let xx = 0
  let xy = 0
  const points = tilts.map(({ lift, gain }) => {
    const sine = lift / wheelbase
    if (!(sine > 0))
      throw new RangeError('an axle that was not raised tells nothing: type how far it was lifted')
    if (sine > Math.SQRT1_2)
      throw new RangeError('over 45° is no lift anybody should stand beside: check the figure')
    const tan = sine / Math.sqrt(1 - sine ** 2)
    const x = mass * tan
    const y = gain * wheelbase
    xx += x ** 2
    xy += x * y
    return { x, y, tan }
  })
  const height = xy / xx
  const relativeLift = (tan: number) => (liftSigma / wheelbase) * ((1 + tan ** 2) ** 1.5 / tan)
  const stated = Math.sqrt(
    points.reduce(
      (sum, { x, tan }) =>
        sum + x ** 2 * ((gainSigma * wheelbase) ** 2 + (height * x * relativeLift(tan)) ** 2),
      0,
    ) /
      xx ** 2,
  )
  const residual = points.reduce((sum, { x, y }) => sum + (y - height * x) ** 2, 0)
  const seen = points.length > 1 ? Math.sqrt(residual / (points.length - 1) / xx) : 0
  return {
    value: height + radius,
    sigma: Math.max(stated, seen),
    grade: tilts.length > 1 && seen <= 2 * stated ? 'proven' : 'measured',
  }
}
