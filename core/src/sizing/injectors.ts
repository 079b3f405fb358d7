/** A set of injectors. SI: flow in m³/s each, pressures in Pa, times in s. */
export interface Injectors {
  readonly count: number
  /** Flow of one, held open, at the rated pressure. */
  readonly flow: number
  readonly ratedPressure: number
  /** Time from the signal to fuel, which every pulse loses. */
  readonly deadTime: number
  /** Highest share of the cycle that they may be open. */
  readonly maxDuty: number
}

/** Flow through a hole goes with the root of the pressure across it. */
export const flowAt = (flow: number, rated: number, actual: number): number =>
  flow * Math.sqrt(Math.max(0, actual) / rated)

export interface InjectorNeed {
  /** Share of the cycle that they are held open, dead time included. */
  readonly duty: number
  /** Flow each would need at the rated pressure to stay within the highest duty, m³/s. */
  readonly flowNeeded: number
  /** Fuel that all give at the highest duty, kg/s. */
  readonly most: number
}

/**
 * What a fuel flow asks of a set of injectors at an engine speed.
 *
 * @param fuel kg/s of all of them
 * @param density of the fuel, kg/m³
 * @param pressure across the injector, Pa: rail less manifold
 * @param speed of the engine, rad/s; each injector fires once in two turns
 * @throws {RangeError} for no injectors, or no flow, pressure or speed
 * @source conservation of mass; flow with √pressure (Bernoulli); dead time is lost from each pulse
 * @example injectorNeed(injectors, 0.0315, 720, 3e5, 680).duty // 0.898
 */
export function injectorNeed(
  injectors: Injectors,
  fuel: number,
  density: number,
  pressure: number,
  speed: number,
): InjectorNeed {
  const { count, flow, ratedPressure, deadTime, maxDuty } = injectors
  if (!(count > 0 && flow > 0 && ratedPressure > 0 && pressure > 0 && speed > 0))
    throw new RangeError('injectors need a number, a flow, a pressure and an engine speed')
  const cycle = (4 * Math.PI) / speed
  const each = flowAt(flow, ratedPressure, pressure) * density
  const lost = deadTime / cycle
  const share = fuel / (count * each)
  const usable = Math.max(1e-9, maxDuty - lost)
  return {
    duty: share + lost,
    flowNeeded: (flow * share) / usable,
    most: count * each * Math.max(0, maxDuty - lost),
  }
}
