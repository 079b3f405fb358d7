/** Where a rating holds. Torque ratings name a shaft; others name what they are about. */
export const SHAFTS = ['engine', 'gearbox', 'propshaft', 'finalDrive', 'halfshaft'] as const
export type Shaft = (typeof SHAFTS)[number]

export const LAUNCHES = ['smooth', 'brisk', 'dumped', 'clutchKick'] as const
export type Launch = (typeof LAUNCHES)[number]

/** Shock over the engine's own torque, from memory: 1.0 smooth to 2.5 for a clutch kick; editable. */
export const SHOCK: Readonly<Record<Launch, number>> = { smooth: 1, brisk: 1.3, dumped: 2, clutchKick: 2.5 }

/** What loads the driveline. SI. */
export interface DrivelineLoad {
  /** At the crank. */
  readonly power: number
  readonly torque: number
  /** First gear's ratio, what stands between, and the final drive. */
  readonly firstGear: number
  readonly between: number
  readonly finalDrive: number
  readonly rollingRadius: number
  /** Most that all driven tyres together can react, N. */
  readonly tyreForce: number
  readonly shock: number
  /** One half-shaft can take all of it; else it is halved. */
  readonly lockedDifferential: boolean
  /** Share that goes to the axle in question: 1 for two-wheel drive. */
  readonly axleShare: number
}

export interface ShaftDemand {
  /** N·m */
  readonly torque: number
  /** True where the tyres let go before the engine can give more. */
  readonly tyreLimited: boolean
}

/**
 * The torque that reaches a shaft: the engine's times the ratio to it and the shock of the launch, and never more
 * than the tyres can react.
 *
 * @throws {RangeError} for ratios or a radius that are not above zero
 * @source torque times ratio (statics); the shock factors are from memory and editable
 * @example shaftDemand('halfshaft', load).torque
 */
export function shaftDemand(shaft: Shaft, load: DrivelineLoad): ShaftDemand {
  const { firstGear, between, finalDrive, rollingRadius } = load
  if (!(firstGear > 0 && between > 0 && finalDrive > 0 && rollingRadius > 0))
    throw new RangeError('a driveline needs ratios and a tyre radius above zero')
  // Down the line: the shock starts at the clutch, the engine itself sees its own torque only.
  const gearbox = load.torque * load.shock
  const propshaft = gearbox * firstGear * between * load.axleShare
  const ring = propshaft * finalDrive
  const tyres = load.tyreForce * rollingRadius
  const cap = Math.min(1, tyres / Math.max(1e-9, ring))
  const down = {
    engine: load.torque,
    gearbox: gearbox * cap,
    propshaft: propshaft * cap,
    finalDrive: ring * cap,
  }
  const tyreLimited = cap < 1 && shaft !== 'engine'
  if (shaft === 'halfshaft')
    return { torque: down.finalDrive * (load.lockedDifferential ? 1 : 0.5), tyreLimited }
  return { torque: down[shaft], tyreLimited }
}

export type RatingKind = 'torque' | 'power' | 'speed' | 'temperature' | 'current' | 'load'
export interface RatedComponent {
  readonly id: string
  readonly name: string
  readonly kind: RatingKind
  /** Of a torque rating. */
  readonly shaft: Shaft | null
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
      const asked = kind === 'torque' && shaft ? shaftDemand(shaft, load) : null
      const demand = asked?.torque ?? (kind === 'power' ? load.power : component.demand)
      if (demand === null || !(demand > 0) || !(component.rating > 0)) return []
      const margin = component.rating / demand
      const scales = kind === 'torque' || kind === 'power'
      // Where the tyres cap it, more power brings no more load; the link breaks only if it is over already.
      const capped = asked?.tyreLimited && margin >= 1
      return [
        {
          ...{ component, demand, margin, marginSigma: component.ratingSigma / demand },
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
    shaftDemand(component.shaft!, { ...load, power: load.power * factor, torque: load.torque * factor })
      .torque
  let [low, high] = [0, Math.max(4, margin * 4)]
  if (at(high) < component.rating) return null
  for (let i = 0; i < 60; i += 1) {
    const middle = (low + high) / 2
    if (at(middle) >= component.rating) high = middle
    else low = middle
  }
  return load.power * high
}
