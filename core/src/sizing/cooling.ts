import { bisect } from '../numeric/bisect'
import type { OilCoolerPlace } from './oilCoolerPlace'

/** What carries the engine's heat away. SI. */
export interface CoolingSystem {
  /** Share of crank power that goes into the coolant, and into the oil, at full load. */
  readonly coolantShare: number
  readonly oilShare: number
  /** Share of full power over a lap or a run, which is what the radiator sees. */
  readonly dutyCycle: number
  /** Frontal area of the radiator's core, and heat it passes for each m² and kelvin at the rated air speed, W/(m²·K). */
  readonly coreArea: number
  readonly coreTransfer: number
  readonly ratedAirSpeed: number
  /** Air speed through the core as a share of road speed, with its ducts. */
  readonly ductShare: number
  readonly oilCoolerArea: number
  /** Whether the oil cooler stands in air of its own, ahead of the radiator or behind it; left out for its own. */
  readonly oilCoolerPlace?: OilCoolerPlace
  /** Heat that other cores ahead of the radiator put into its air, W: an intercooler, a condenser; left out for none. */
  readonly heatAhead?: number
  /** Of coolant in engine, hoses and radiator, m³, and of its mixture, kg/m³. */
  readonly coolantVolume: number
  readonly coolantDensity: number
  /** Where the thermostat opens, K; null without one. */
  readonly thermostat: number | null
  /** Share of the core that is blanked off. */
  readonly blanking: number
  readonly radiatorMass: number
  /** Behind the front axle, m. */
  readonly radiatorX: number
}

export interface CoolingSizing {
  /** W */
  readonly coolantHeat: number
  readonly oilHeat: number
  /** Coolant where it settles at the stated speed, with its thermostat and with everything open; and oil. K. */
  readonly coolantTemperature: number
  readonly openTemperature: number
  readonly oilTemperature: number
  /** Core area that would hold the highest temperature allowed, m². */
  readonly areaNeeded: number
  /** Air through the core now, m³/s, and what is needed with the core as it is; null when no airflow is enough. */
  readonly airflow: number
  readonly airflowNeeded: number | null
  /** Share of full power on an easy lap, and where the coolant would settle then with everything open, K. */
  readonly lightLoad: number
  readonly lightLoadTemperature: number
  /** Outside air as it reaches the radiator and the oil cooler, K: what stands ahead of them has heated it. */
  readonly airAtRadiator: number
  readonly airAtOilCooler: number
  readonly verdict: 'enough' | 'tooHot' | 'neverWarm'
  /** Share of the core to blank for the coolant to reach running temperature with everything open, 0 when it does. */
  readonly blankingAdvised: number
  readonly coolantMass: number
}

const AIR_HEAT_CAPACITY = 1005
/** 105 °C: what coolant under a pressure cap stands in the long run; 130 °C for oil (common practice). */
const HOTTEST = 378.15
const RUNNING = 348.15
/** Of the share of power that a lap takes: an easy lap, a wet day (common practice). */
const LIGHT = 0.4

/** Heat that a core passes for each kelvin between coolant and outside air, W/K. */
function conductance(
  area: number,
  transfer: number,
  airSpeed: number,
  ratedAirSpeed: number,
  density: number,
): number {
  if (area <= 0 || airSpeed <= 0) return 0
  const capacity = density * area * airSpeed * AIR_HEAT_CAPACITY
  // Transfer grows with the air's speed to the power 0.6; what the air itself can carry caps it.
  const ntu = (transfer * area * (airSpeed / ratedAirSpeed) ** 0.6) / capacity
  return capacity * (1 - Math.exp(-ntu))
}

/**
 * Will it stay cool, and will it get warm at all? Heat into coolant and oil from the power, against what core,
 * ducts and road speed carry away.
 *
 * A core that stands behind another gets the air that the first one heated. Whether the engine ever gets warm is asked
 * at the load, speed and air that are stated, with everything open: a thermostat can hold the coolant up only by closing
 * what was sized too large.
 *
 * @param power at the crank, W
 * @param roadSpeed mean over the lap, m/s
 * @param air outside, K and kg/m³
 * @throws {RangeError} for a core without area, or shares outside 0 to 1
 * @source effectiveness = 1 − e^(−NTU) with the coolant's side not limiting (Incropera & DeWitt, Fundamentals of
 * Heat and Mass Transfer, chapter 11, Heat Exchangers); heated air ΔT = Q/(ṁ·c); heat shares and the
 * exponent 0.6 are common practice
 * @example sizeCooling(system, 250e3, 33, { temperature: 303, density: 1.16 }).coolantTemperature - 273.15
 */
export function sizeCooling(
  system: CoolingSystem,
  power: number,
  roadSpeed: number,
  air: { readonly temperature: number; readonly density: number },
): CoolingSizing {
  const { coreArea, coreTransfer, ratedAirSpeed, ductShare, blanking, dutyCycle, thermostat } = system
  if (!(coreArea > 0)) throw new RangeError('a radiator needs a core area above zero')
  if (!(blanking >= 0 && blanking < 1))
    throw new RangeError('blanking covers from none to less than all of the core')
  const speed = roadSpeed * ductShare
  const place = system.oilCoolerArea > 0 ? (system.oilCoolerPlace ?? 'own') : 'own'
  const passes = (area: number, airSpeed: number) =>
    conductance(area, coreTransfer, airSpeed, ratedAirSpeed, air.density)
  const open = coreArea * (1 - blanking)
  const coolantHeat = power * dutyCycle * system.coolantShare
  const oilHeat = power * dutyCycle * system.oilShare
  /** By how much heat warms the air that goes through an area, K. */
  const warmed = (heat: number, area: number) =>
    heat / Math.max(1e-6, air.density * area * speed * AIR_HEAT_CAPACITY)
  const settle = (from: number, heat: number, perKelvin: number) => from + heat / Math.max(1e-6, perKelvin)

  const ahead = (system.heatAhead ?? 0) + (place === 'ahead' ? oilHeat : 0)
  const airAtRadiator = air.temperature + warmed(ahead, open)
  const airAtOilCooler = air.temperature + (place === 'behind' ? warmed(coolantHeat + ahead, open) : 0)
  const openTemperature = settle(airAtRadiator, coolantHeat, passes(open, speed))
  const coolantTemperature = Math.max(openTemperature, thermostat ?? 0)
  const wanted = coolantHeat / Math.max(1, HOTTEST - airAtRadiator)
  const perArea = passes(1, speed)

  const lightLoad = LIGHT * dutyCycle
  const lightAir = air.temperature + warmed(ahead * LIGHT, open)
  const lightLoadTemperature = settle(lightAir, LIGHT * coolantHeat, passes(open, speed))
  const neverWarm = openTemperature < RUNNING
  const warmArea = coolantHeat / Math.max(1, RUNNING - airAtRadiator) / Math.max(1e-9, perArea)
  return {
    coolantHeat,
    oilHeat,
    coolantTemperature,
    openTemperature,
    oilTemperature: settle(airAtOilCooler, oilHeat, passes(Math.max(1e-4, system.oilCoolerArea), speed)),
    areaNeeded: wanted / Math.max(1e-9, perArea),
    airflow: open * speed,
    airflowNeeded: airflowFor(wanted, (v) => passes(open, v), open),
    lightLoad,
    lightLoadTemperature,
    airAtRadiator,
    airAtOilCooler,
    verdict: coolantTemperature > HOTTEST ? 'tooHot' : neverWarm ? 'neverWarm' : 'enough',
    blankingAdvised: neverWarm ? Math.min(0.95, Math.max(0, 1 - warmArea / coreArea)) : 0,
    coolantMass: system.coolantVolume * system.coolantDensity,
  }
}

/** No air goes through a core faster, m/s. */
const FASTEST_AIR = 80

function airflowFor(wanted: number, passes: (speed: number) => number, area: number): number | null {
  return passes(FASTEST_AIR) < wanted
    ? null
    : bisect((speed) => passes(speed) < wanted, 0, FASTEST_AIR).high * area
}

/**
 * Front share of a car after a radiator with its coolant moves to another place, hoses included.
 *
 * @param car mass kg, front share, wheelbase m
 * @param moved what moves with the radiator, kg, from x to x, m behind the front axle
 * @param hoses added: kg, spread evenly between the two places
 * @throws {RangeError} for a car without mass or wheelbase
 * @source centre of mass, statics
 * @example frontShareAfter({ mass: 1100, frontShare: 0.55, wheelbase: 2.5 }, { mass: 16, from: -0.3, to: 2.9 }, 5)
 */
export function frontShareAfter(
  car: { readonly mass: number; readonly frontShare: number; readonly wheelbase: number },
  moved: { readonly mass: number; readonly from: number; readonly to: number },
  hoses: number,
): { frontShare: number; mass: number } {
  if (!(car.mass > 0 && car.wheelbase > 0)) throw new RangeError('a car has mass and a wheelbase')
  const moment = car.mass * (1 - car.frontShare) * car.wheelbase
  const after = moment + moved.mass * (moved.to - moved.from) + (hoses * (moved.from + moved.to)) / 2
  const mass = car.mass + hoses
  return { mass, frontShare: 1 - after / (mass * car.wheelbase) }
}
