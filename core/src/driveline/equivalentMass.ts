/** What turns with the wheels, the propeller shaft and the crank, kg·m². */
export interface RotatingParts {
  readonly wheels: number
  readonly propshaft: number
  readonly engine: number
}

export interface EquivalentMass {
  /** kg by which the car feels heavier when it accelerates in this gear. */
  readonly total: number
  readonly fromWheels: number
  readonly fromPropshaft: number
  readonly fromEngine: number
}

/**
 * The mass that turning parts are felt as in a gear: what a lighter wheel or flywheel is worth.
 *
 * @param gear ratio of the gear and of what stands between it and the wheels
 * @param radius rolling radius, m
 * @throws {RangeError} for a radius that is not above zero
 * @source kinetic energy ½Iω² as ½m_eq·v²: m_eq = I·(ratio/r)²
 * @example equivalentMass({ wheels: 4, propshaft: 0.02, engine: 0.15 }, { ratio: 1, finalDrive: 4.1 }, 0.31).fromWheels // 41.6
 */
export function equivalentMass(
  { wheels, propshaft, engine }: RotatingParts,
  gear: { readonly ratio: number; readonly finalDrive: number },
  radius: number,
): EquivalentMass {
  if (!(radius > 0)) throw new RangeError('a tyre has a radius above zero')
  const felt = (inertia: number, ratio: number) => inertia * (ratio / radius) ** 2
  const fromWheels = felt(wheels, 1)
  const fromPropshaft = felt(propshaft, gear.finalDrive)
  const fromEngine = felt(engine, gear.ratio * gear.finalDrive)
  return { total: fromWheels + fromPropshaft + fromEngine, fromWheels, fromPropshaft, fromEngine }
}
