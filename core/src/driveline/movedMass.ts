/** What of a car a force at the tyres has to speed up. SI. */
export interface TurningCar {
  readonly mass: number
  readonly rollingRadius: number
  readonly driven: 'front' | 'rear' | 'all'
  /** Gears, first to last, and what stands behind them. */
  readonly ratios: readonly number[]
  readonly finalDrive: number
  /** Of all four wheels together, kg·m². */
  readonly wheelInertia: number
  /** Of what turns with the crank, kg·m². */
  readonly engineInertia: number
  /**
   * The gear, counted from 0, in which a roller dyno that measures by inertia pulled the curve; left out, or null,
   * for a curve that holds no losses of what turns.
   */
  readonly inertiaPulledIn?: number | null
}

export interface MovedMass {
  /** Where grip limits: the car and the wheels that are not driven, kg. */
  readonly atGrip: number
  /** Where the engine limits through a slipping clutch: the car and its wheels, kg. */
  readonly slipping: number
  /** Where the engine limits with the clutch closed, gear by gear: what turns with the crank as well, kg. */
  readonly inGear: readonly number[]
}

/** Shares of the four wheels that a layout doesn't drive. */
const UNDRIVEN = { front: 0.5, rear: 0.5, all: 0 } as const

/**
 * The mass that a force has to speed up, by what limits it.
 *
 * A tyre's grip moves the car and the wheels that roll along; the driven wheels and the engine are sped up by the
 * engine, before its torque reaches the road. So they count only where the engine is what limits, and the engine not
 * while its clutch slips at a held speed.
 *
 * A curve off a roller that measures by inertia has lost what the driven wheels and the engine took in the gear of
 * the pull: in that gear nothing is charged again, in a shorter one only what it takes more.
 *
 * @throws {RangeError} for a radius that is not above zero, or a pull in a gear that the car doesn't have
 * @source Newton, with kinetic energy ½Iω² as ½m_eq·v²: m_eq = I·(ratio/r)²
 * @example movedMass({ mass: 1000, rollingRadius: 0.3, driven: 'rear', ratios: [3], finalDrive: 4, wheelInertia: 4, engineInertia: 0.2 }).atGrip // 1022.22
 */
export function movedMass(car: TurningCar): MovedMass {
  const { mass, rollingRadius: r, driven, ratios, finalDrive, wheelInertia, engineInertia } = car
  if (!(r > 0)) throw new RangeError('a tyre has a radius above zero')
  const inWheels = wheelInertia / r ** 2
  const undriven = inWheels * UNDRIVEN[driven]
  const inEngine = ratios.map((ratio) => engineInertia * ((ratio * finalDrive) / r) ** 2)
  const pulledIn = car.inertiaPulledIn ?? null
  if (pulledIn !== null && inEngine[pulledIn] === undefined)
    throw new RangeError('the curve was pulled in a gear that the car doesn’t have')
  const inCurve = pulledIn === null ? 0 : inWheels - undriven + inEngine[pulledIn]!
  const charged = (turning: number) => mass + undriven + Math.max(0, inWheels - undriven + turning - inCurve)
  return {
    atGrip: mass + undriven,
    slipping: charged(0),
    inGear: inEngine.map(charged),
  }
}
