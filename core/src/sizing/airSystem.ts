import { GAS_CONSTANT_OF_AIR, STANDARD_PRESSURE, STANDARD_TEMPERATURE } from '../units/constants'
import { bsfcOn, fuelBlend } from './fuelBlend'
import type { FuelDemand } from './fuelSystem'

const GAMMA = 1.4
const EXPONENT = (GAMMA - 1) / GAMMA
const HEAT_CAPACITY = 1005

/** What the engine breathes through. SI. */
export interface AirSystem {
  readonly displacement: number
  /** Volumetric efficiency at the power asked for. */
  readonly volumetricEfficiency: number
  readonly lambda: number
  /** Pressure lost in filter and pipe before the compressor, Pa. */
  readonly inletLoss: number
  readonly intercooler: {
    readonly effectiveness: number
    readonly pressureLoss: number
    readonly rating: number | null
  } | null
  readonly compressor: {
    readonly count: number
    /** Points of its map: corrected mass flow kg/s of one, pressure ratio, efficiency. */
    readonly island: readonly IslandPoint[]
    /** Air that its map was drawn for, Pa and K; left out for 101.325 kPa and 15 °C. */
    readonly reference?: { readonly pressure: number; readonly temperature: number }
    /** Crank power that its maker states, W. */
    readonly rating: number | null
  } | null
}

/** The standard atmosphere at sea level (ISO 2533), where a map doesn't say what it was drawn for. */
export const MAP_REFERENCE = { pressure: STANDARD_PRESSURE, temperature: STANDARD_TEMPERATURE } as const

/**
 * A mass flow as a compressor's map shows it: what the wheel would pass at the map's own reference conditions.
 *
 * @param flow kg/s of one compressor
 * @param inlet pressure and temperature of the air that it takes in
 * @throws {RangeError} for pressures or temperatures that are not above zero
 * @source ṁ·√(T/T_ref)·(p_ref/p) (Dixon & Hall, Fluid Mechanics and Thermodynamics of Turbomachinery, chapter on
 * dimensional analysis)
 * @example correctedFlow(0.25, { pressure: 98e3, temperature: 303 }, MAP_REFERENCE) // 0.2651
 */
export function correctedFlow(
  flow: number,
  inlet: { readonly pressure: number; readonly temperature: number },
  reference: { readonly pressure: number; readonly temperature: number },
): number {
  if (![inlet.pressure, inlet.temperature, reference.pressure, reference.temperature].every((v) => v > 0))
    throw new RangeError('air has a pressure and a temperature above zero')
  return flow * Math.sqrt(inlet.temperature / reference.temperature) * (reference.pressure / inlet.pressure)
}

export interface IslandPoint {
  readonly flow: number
  readonly ratio: number
  readonly efficiency: number
}

export interface AirSizing {
  /** kg/s into the engine */
  readonly massFlow: number
  /** Absolute, Pa, and K, as the engine takes it in. */
  readonly manifoldPressure: number
  readonly manifoldTemperature: number
  /**
   * Manifold over the outside air, Pa; null where it takes more than that and there is no compressor: how hot one makes the
   * air decides how much.
   */
  readonly boost: number | null
  /** Of the compressor; 1 without one. */
  readonly pressureRatio: number
  readonly compressorOut: number
  readonly efficiency: number
  readonly operating: OperatingPoint | null
  /** Heat that the intercooler takes out, W. */
  readonly intercoolerHeat: number
}

/**
 * The air that a power needs, and the pressure and temperature at which the engine can swallow it.
 *
 * Air = power · BSFC · λ · stoichiometric ratio. The engine takes displacement · VE each two turns, so the air's
 * density, and with it the manifold pressure, follows; charge temperature depends on that pressure in turn and
 * is found by going round until it stands still.
 *
 * @param demand boost is not used: it is what comes out
 * @param ambient pressure and temperature of the outside air, Pa and K
 * @throws {RangeError} for an engine without displacement, efficiency or speed
 * @source ideal gas; isentropic compression T₂ = T₁(1 + (π^0.2857 − 1)/η); effectiveness of a heat exchanger
 * (Heywood, Internal Combustion Engine Fundamentals, 6.8, Supercharging and Turbocharging)
 * @example sizeAir(system, demand, { pressure: 101325, temperature: 293.15 }).boost
 */
export function sizeAir(
  system: AirSystem,
  demand: Omit<FuelDemand, 'boost'>,
  ambient: { readonly pressure: number; readonly temperature: number },
): AirSizing {
  if (!(system.displacement > 0 && system.volumetricEfficiency > 0 && demand.speed > 0))
    throw new RangeError('an engine needs displacement, volumetric efficiency and speed')
  const fuel = demand.power * bsfcOn(demand.ethanol, demand.bsfc)
  const massFlow = fuel * system.lambda * fuelBlend(demand.ethanol).stoichiometric
  const volume = (system.displacement * system.volumetricEfficiency * demand.speed) / (4 * Math.PI)
  const inlet = ambient.pressure - system.inletLoss
  const cooler = system.intercooler
  let temperature = ambient.temperature
  let pressureRatio = 1
  let compressorOut = ambient.temperature
  let efficiency = 1
  let operating: OperatingPoint | null = null
  let pressure = ambient.pressure
  for (let i = 0; i < 40; i += 1) {
    pressure = (massFlow / volume) * GAS_CONSTANT_OF_AIR * temperature
    const wanted = (pressure + (cooler?.pressureLoss ?? 0)) / inlet
    pressureRatio = system.compressor ? Math.max(1, wanted) : 1
    const { compressor } = system
    const corrected = correctedFlow(
      massFlow / (compressor?.count ?? 1),
      { pressure: inlet, temperature: ambient.temperature },
      compressor?.reference ?? MAP_REFERENCE,
    )
    operating =
      compressor && pressureRatio > 1 ? operatingPoint(compressor.island, corrected, pressureRatio) : null
    efficiency = operating?.efficiency ?? (compressor ? 0.68 : 1)
    compressorOut = ambient.temperature * (1 + (pressureRatio ** EXPONENT - 1) / efficiency)
    const cooled = compressorOut - (cooler?.effectiveness ?? 0) * (compressorOut - ambient.temperature)
    if (Math.abs(cooled - temperature) < 1e-6) break
    temperature = cooled
  }
  return {
    massFlow,
    manifoldPressure: pressure,
    manifoldTemperature: temperature,
    boost: !system.compressor && pressure > ambient.pressure ? null : pressure - ambient.pressure,
    pressureRatio,
    compressorOut,
    efficiency,
    operating,
    intercoolerHeat: massFlow * HEAT_CAPACITY * (compressorOut - temperature),
  }
}

export interface OperatingPoint extends IslandPoint {
  /** Left of every point of the map it may surge, right of or above them it chokes or overspeeds. */
  readonly where: 'inside' | 'surge' | 'choke' | 'aboveMap' | 'noMap'
}

/**
 * Where on a compressor's map a flow and pressure ratio lie, and how efficient it is there.
 *
 * The map is typed as points off its islands. Efficiency is the mean of the points around, near ones counting
 * more; outside the points nothing is known, so the nearest stands, less a tenth.
 *
 * @param island points of the map; fewer than three give no map
 * @source inverse-distance weighting, Shepard, Proc. 23rd ACM National Conference (1968) 517; distances as shares of the map's span
 * @example operatingPoint(island, 0.22, 2.3).efficiency // 0.675
 */
export function operatingPoint(island: readonly IslandPoint[], flow: number, ratio: number): OperatingPoint {
  if (island.length < 3) return { flow, ratio, efficiency: 0.68, where: 'noMap' }
  const flows = island.map((p) => p.flow)
  const ratios = island.map((p) => p.ratio)
  const [minFlow, maxFlow] = [Math.min(...flows), Math.max(...flows)]
  const [minRatio, maxRatio] = [Math.min(...ratios), Math.max(...ratios)]
  const spanFlow = Math.max(1e-9, maxFlow - minFlow)
  const spanRatio = Math.max(1e-9, maxRatio - minRatio)
  let [sum, weights] = [0, 0]
  let nearest = { distance: Infinity, efficiency: 0 }
  for (const p of island) {
    const distance = Math.hypot((p.flow - flow) / spanFlow, (p.ratio - ratio) / spanRatio)
    if (distance < 1e-9) return { flow, ratio, efficiency: p.efficiency, where: 'inside' }
    if (distance < nearest.distance) nearest = { distance, efficiency: p.efficiency }
    const weight = distance ** -3
    sum += weight * p.efficiency
    weights += weight
  }
  const where = whereOn(island, flow, ratio, maxRatio)
  return { flow, ratio, efficiency: where === 'inside' ? sum / weights : nearest.efficiency * 0.9, where }
}

/** At this height of the map, left and right of what its outline spans. */
function whereOn(
  island: readonly IslandPoint[],
  flow: number,
  ratio: number,
  highest: number,
): OperatingPoint['where'] {
  if (ratio > highest) return 'aboveMap'
  const crossings: number[] = []
  for (let i = 0; i < island.length; i += 1)
    for (let j = i + 1; j < island.length; j += 1) {
      const [a, b] = [island[i]!, island[j]!]
      if ((a.ratio - ratio) * (b.ratio - ratio) > 0 || a.ratio === b.ratio) continue
      crossings.push(a.flow + ((ratio - a.ratio) * (b.flow - a.flow)) / (b.ratio - a.ratio))
    }
  // Below the lowest point the map is as wide as it is there.
  if (crossings.length === 0) crossings.push(...island.map((p) => p.flow))
  if (flow < Math.min(...crossings)) return 'surge'
  return flow > Math.max(...crossings) ? 'choke' : 'inside'
}

export interface BoostProjection {
  readonly low: number
  readonly likely: number
  readonly high: number
}

/**
 * What more boost would make: power with the air's density in the manifold, less what the hotter charge costs in
 * timing and the turbine in back pressure.
 *
 * An honest range, because nobody knows these losses beforehand: the high end is the density alone, the low end
 * gains half of that; beyond the map nothing is promised above what there is now.
 *
 * @param power now, W
 * @param now manifold pressure (absolute) and temperature now
 * @param then the same at the boost that is asked about
 * @param where that operating point lies
 * @source ideal gas; the share of the gain that arrives, 50 to 100 %, is common practice
 * @example projectBoost(200e3, { pressure: 2e5, temperature: 310 }, { pressure: 2.4e5, temperature: 320 }, 'inside')
 */
export function projectBoost(
  power: number,
  now: { readonly pressure: number; readonly temperature: number },
  then: { readonly pressure: number; readonly temperature: number },
  where: OperatingPoint['where'],
): BoostProjection {
  const density = then.pressure / then.temperature / (now.pressure / now.temperature)
  const gain = power * (density - 1)
  const lost = gain > 0 && (where === 'choke' || where === 'aboveMap')
  const shares = lost ? [0, 0.4, 0.8] : [0.5, 0.75, 1]
  const [low, likely, high] = shares.map((s) => power + gain * s) as [number, number, number]
  return gain >= 0 ? { low, likely, high } : { low: high, likely, high: low }
}

/** Manifold temperature at a stated boost, for the projection. */
export function chargeAt(
  system: AirSystem,
  boost: number,
  efficiency: number,
  ambient: { readonly pressure: number; readonly temperature: number },
): { pressure: number; temperature: number; ratio: number } {
  const pressure = ambient.pressure + boost
  const ratio = Math.max(
    1,
    (pressure + (system.intercooler?.pressureLoss ?? 0)) / (ambient.pressure - system.inletLoss),
  )
  const out = ambient.temperature * (1 + (ratio ** EXPONENT - 1) / efficiency)
  return {
    pressure,
    ratio,
    temperature: out - (system.intercooler?.effectiveness ?? 0) * (out - ambient.temperature),
  }
}
