import { bisect } from '../numeric/bisect'
/** Where a rating holds. Torque ratings name a shaft; others name what they are about. */
export const SHAFTS = ['engine', 'gearbox', 'propshaft', 'finalDrive', 'halfshaft'] as const
export type Shaft = (typeof SHAFTS)[number]

export const LAUNCHES = ['smooth', 'brisk', 'dumped', 'clutchKick'] as const
export type Launch = (typeof LAUNCHES)[number]

/** Shock over the engine's own torque, 1.0 smooth to 2.5 for a clutch kick (common practice); editable. */
export const SHOCK: Readonly<Record<Launch, number>> = { smooth: 1, brisk: 1.3, dumped: 2, clutchKick: 2.5 }

/** What loads the driveline. SI. */
export interface DrivelineLoad {
  /** At the crank. */
  readonly power: number
  readonly torque: number
  /** Of all gears: the tyres may cap a low one while a tall one still passes all the engine has. */
  readonly ratios: readonly number[]
  /** Drop gears or a transfer box; 1 without. */
  readonly between: number
  readonly finalDrive: number
  readonly rollingRadius: number
  readonly shock: number
  /** One half-shaft can take all of it; else it is halved. */
  readonly lockedDifferential: boolean
  /** Only those that are driven. */
  readonly axles: Partial<Record<AxleEnd, AxleLoad>>
}

export const AXLE_ENDS = ['front', 'rear'] as const
export type AxleEnd = (typeof AXLE_ENDS)[number]

/** What one driven axle gets, and what it can hold. */
export interface AxleLoad {
  /** Of the torque: 1 for two-wheel drive. */
  readonly share: number
  /** Most that its tyres can react in each gear, N: downforce presses harder the faster a gear goes. */
  readonly tyreForces: readonly number[]
}

export interface ShaftDemand {
  /** N·m */
  readonly torque: number
  /** True where the tyres let go before the engine can give more. */
  readonly tyreLimited: boolean
}

/** The axle that a rating behind the gearbox is for: its own, or the one that gets most. */
function axleOf({ axles }: DrivelineLoad, end: AxleEnd | null): AxleLoad {
  const own = end && axles[end]
  if (own) return own
  const most = Object.values(axles).reduce<AxleLoad | null>((a, b) => (a && a.share >= b.share ? a : b), null)
  if (!most) throw new RangeError('a driveline drives an axle')
  return most
}

/**
 * The torque that reaches a shaft: the engine's times the ratio to it, never more than the tyres can react, times
 * the shock of the launch. It is taken in the gear that loads the shaft most.
 *
 * @param end the axle, for what stands behind the gearbox of an all-wheel drive
 * @throws {RangeError} for ratios or a radius that are not above zero, or without a driven axle
 * @source torque times ratio (statics); the shock factors are common practice and editable
 * @example shaftDemand('halfshaft', load).torque
 */
export function shaftDemand(shaft: Shaft, load: DrivelineLoad, end: AxleEnd | null = null): ShaftDemand {
  const { ratios, between, finalDrive, rollingRadius } = load
  if (ratios.length === 0 || ![...ratios, between, finalDrive, rollingRadius].every((r) => r > 0))
    throw new RangeError('a driveline needs ratios and a tyre radius above zero')
  // The shock starts at the clutch: the engine itself sees its own torque only.
  if (shaft === 'engine') return { torque: load.torque, tyreLimited: false }
  const axle = axleOf(load, end)
  // The gearbox passes what all driven axles take; behind it each axle has its own.
  const driven = shaft === 'gearbox' ? Object.values(load.axles) : [axle]
  const share = driven.reduce((sum, a) => sum + a.share, 0)
  return ratios
    .map((ratio, gear): ShaftDemand => {
      const propshaft = load.torque * ratio * between * share
      const ring = propshaft * finalDrive
      const tyres = driven.reduce((sum, a) => sum + (a.tyreForces[gear] ?? Infinity), 0) * rollingRadius
      const cap = Math.min(1, tyres / Math.max(1e-9, ring))
      const reached = {
        gearbox: load.torque,
        propshaft,
        finalDrive: ring,
        halfshaft: ring * (load.lockedDifferential ? 1 : 0.5),
      }[shaft]
      return { torque: reached * cap * load.shock, tyreLimited: cap < 1 }
    })
    .reduce((most, d) => (d.torque > most.torque ? d : most))
}

export const RATING_KINDS = ['torque', 'power', 'speed', 'temperature', 'current', 'load'] as const
export type RatingKind = (typeof RATING_KINDS)[number]
export interface RatedComponent {
  readonly id: string
  readonly name: string
  readonly kind: RatingKind
  /** Of a torque rating. */
  readonly shaft: Shaft | null
  /** Of an all-wheel drive: the axle it belongs to; `null` for the one that gets most. */
  readonly axle: AxleEnd | null
  /** N·m, W, rad/s, K, A or N. */
  readonly rating: number
  readonly ratingSigma: number
  /** What is asked of it, for ratings that don't follow from torque or power; same unit. */
  readonly demand: number | null
}

export interface Link {
  readonly component: RatedComponent
  readonly demand: number
  /** Rating over demand; below 1 it is over its rating. */
  readonly margin: number
  readonly marginSigma: number
  /** Crank power at which it reaches its rating, W; `null` where power doesn't load it, or the tyres let go first. */
  readonly breaksAt: number | null
  readonly tyreLimited: boolean
}

/**
 * The ladder of links, weakest first, at a power.
 *
 * @param load at the power that the ladder is for
 * @returns components without anything to be compared with are left out
 * @source margin = rating / demand
 * @example weakLinks(components, load)[0].component.name
 */
export function weakLinks(components: readonly RatedComponent[], load: DrivelineLoad): Link[] {
  return components
    .flatMap((component): Link[] => {
      const { kind, shaft } = component
      const asked = kind === 'torque' && shaft ? shaftDemand(shaft, load, component.axle) : null
      const demand = asked?.torque ?? (kind === 'power' ? load.power : component.demand)
      if (demand === null || !(demand > 0) || !(component.rating > 0)) return []
      const margin = component.rating / demand
      const scales = kind === 'torque' || kind === 'power'
      // Where the tyres cap it, more power brings no more load; the link breaks only if it is over already.
      const capped = asked?.tyreLimited && margin >= 1
      return [
        {
          component,
          demand,
          margin,
          marginSigma: component.ratingSigma / demand,
          breaksAt: scales && !capped ? breaking(component, load, margin) : null,
          tyreLimited: asked?.tyreLimited ?? false,
        },
      ]
    })
    .sort((a, b) => a.margin - b.margin)
}

/** The power at which a link reaches its rating, with torque growing in step with power. */
function breaking(component: RatedComponent, load: DrivelineLoad, margin: number): number | null {
  if (component.kind === 'power') return component.rating
  const at = (factor: number) =>
    shaftDemand(
      component.shaft!,
      { ...load, power: load.power * factor, torque: load.torque * factor },
      component.axle,
    ).torque
  const most = Math.max(4, margin * 4)
  const { rating } = component
  return at(most) < rating ? null : load.power * bisect((factor) => at(factor) < rating, 0, most).high
}
