/** A wing's section, as angles in rad and coefficients; lift counts down. */
export interface WingSection {
  /** Rise of lift with angle in two dimensions, 1/rad: 2π for a thin one. */
  readonly slope: number
  /** Angle at which it makes none. */
  readonly zeroLift: number
  readonly profileDrag: number
  /** Lift at which the flow lets go. */
  readonly maxLift: number
}
/** Measured or computed by somebody else: coefficients over angle, in rising order of angle. */
export interface PolarPoint {
  readonly angle: number
  readonly lift: number
  readonly drag: number
}
export interface WingShape {
  readonly foils: 1 | 2 | 3
  readonly angle: number
  /** Height of the end plates, m; 0 for none. */
  readonly endPlate: number
  /** Height of the lip at the trailing edge, m; 0 for none. */
  readonly gurney: number
  /** Of the whole wing as it is; empty takes the usual section for its number of foils. */
  readonly polar: readonly PolarPoint[]
}

export interface WingCoefficients {
  readonly lift: number
  readonly drag: number
  /** True beyond the angle at which the flow lets go, or the ends of a polar. */
  readonly stalled: boolean
}

/** Share of the ideal lift distribution that a plain rectangular wing has (Oswald's e, common practice). */
const OSWALD = 0.85
const DEG = Math.PI / 180
/** Lift that a lip of the chord's height adds to a wing without load, and the share of it that is gone at the stall. */
const LIP_GAIN = 20
const LIP_FADES = 0.5

/** What a section of one, two or three foils usually does; common practice, so a guess. */
export const usualSection = (foils: WingShape['foils']): WingSection =>
  ({
    1: { slope: 2 * Math.PI * 0.9, zeroLift: -4 * DEG, profileDrag: 0.015, maxLift: 1.4 },
    2: { slope: 2 * Math.PI * 0.9, zeroLift: -12 * DEG, profileDrag: 0.03, maxLift: 2.2 },
    3: { slope: 2 * Math.PI * 0.9, zeroLift: -18 * DEG, profileDrag: 0.045, maxLift: 2.8 },
  })[foils]

/**
 * The aspect ratio that a wing acts with: span over chord, more with end plates.
 *
 * @throws {RangeError} for a span or chord that is not above zero, or a negative end plate
 * @source AR_eff = AR·(1 + 1.9·h/b), Hoerner, Fluid-Dynamic Drag, chapter VII, Drag due to Lift
 * @example effectiveAspect({ span: 1.6, chord: 0.3 }, 0.2) // 6.6
 */
export function effectiveAspect(
  { span, chord }: { readonly span: number; readonly chord: number },
  endPlate: number,
): number {
  if (!(span > 0 && chord > 0)) throw new RangeError('a wing has a span and a chord above zero')
  if (!(endPlate >= 0)) throw new RangeError('an end plate’s height is not below zero')
  return (span / chord) * (1 + (1.9 * endPlate) / span)
}

/**
 * Lift and drag coefficients of a wing of finite span.
 *
 * @param angle of attack, rad, nose down counting up
 * @source lifting line: C_L = a₀(α − α₀)/(1 + a₀/(π e AR)), C_Di = C_L²/(π e AR) (Prandtl; Katz & Plotkin,
 * Low-Speed Aerodynamics, chapter 8, finite wing: the lifting-line model); a gurney adds 0.2 of lift for each per cent of the
 * chord on a wing without load, half of that on one about to let go (common practice)
 * @example finiteWing(usualSection(1), { span: 1.6, chord: 0.3 }, { endPlate: 0.2, gurney: 0 }, 0.17).lift
 */
export function finiteWing(
  section: WingSection,
  size: { readonly span: number; readonly chord: number },
  { endPlate, gurney }: { readonly endPlate: number; readonly gurney: number },
  angle: number,
): WingCoefficients {
  const loss = Math.PI * OSWALD * effectiveAspect(size, endPlate)
  const lip = gurney / size.chord
  const plain = (section.slope * (angle - section.zeroLift)) / (1 + section.slope / loss)
  // How far the plain wing is on its way to letting go.
  const steep = Math.min(1, Math.max(0, plain / section.maxLift))
  const free = plain + LIP_GAIN * lip * (1 - LIP_FADES * steep)
  const most = section.maxLift + LIP_GAIN * lip * (1 - LIP_FADES)
  const stalled = free > most
  const lift = stalled ? most : free
  return { lift, drag: section.profileDrag + 1.5 * lip + (lift * lift) / loss, stalled }
}

/**
 * Coefficients of a wing from points of a polar, straight between them and held beyond its ends.
 *
 * @throws {RangeError} for fewer than two points, or angles that don't rise
 * @source linear interpolation
 * @example polarAt([{ angle: 0, lift: 0.6, drag: 0.05 }, { angle: 0.2, lift: 1.5, drag: 0.16 }], 0.1).lift // 1.05
 */
export function polarAt(points: readonly PolarPoint[], angle: number): WingCoefficients {
  if (points.length < 2) throw new RangeError('a polar has two points or more')
  if (points.some((p, i) => i > 0 && !(p.angle > points[i - 1]!.angle)))
    throw new RangeError('the angles of a polar rise from point to point')
  const [first, last] = [points[0]!, points.at(-1)!]
  if (angle <= first.angle) return { lift: first.lift, drag: first.drag, stalled: angle < first.angle - 1e-9 }
  if (angle >= last.angle) return { lift: last.lift, drag: last.drag, stalled: angle > last.angle + 1e-9 }
  const i = points.findIndex((p) => p.angle > angle)
  const [a, b] = [points[i - 1]!, points[i]!]
  const share = (angle - a.angle) / (b.angle - a.angle)
  return {
    lift: a.lift + share * (b.lift - a.lift),
    drag: a.drag + share * (b.drag - a.drag),
    stalled: false,
  }
}

/** Coefficients of a wing as it is shaped: from its own polar where there is one. */
export const wingCoefficients = (
  size: { readonly span: number; readonly chord: number },
  wing: WingShape,
): WingCoefficients =>
  wing.polar.length > 0
    ? polarAt(wing.polar, wing.angle)
    : finiteWing(usualSection(wing.foils), size, wing, wing.angle)
