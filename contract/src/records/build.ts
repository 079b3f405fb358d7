import * as z from 'zod'
import * as f from './fields'

export const DISCIPLINES = ['track', 'drift', 'timeAttack'] as const
export const LAYOUTS = ['front', 'rear', 'all'] as const

/** One car project: what it is, its base geometry, and the car as bought. SI units throughout. */
export const buildRecord = z.strictObject({
  id: f.id,
  name: f.name,
  car: z.string().trim().max(200, 'Keep it under 200 characters.'),
  discipline: z.enum(DISCIPLINES, 'Choose track, drift or time attack.'),
  layout: z.enum(LAYOUTS, 'Choose which wheels drive.'),
  wheelbase: z
    .number('Type a length, such as 2.4 m or 95 in.')
    .min(1, 'A wheelbase is at least 1 m.')
    .max(6, 'A wheelbase is at most 6 m: check the unit.'),
  trackFront: z
    .number('Type a length, such as 1.46 m.')
    .min(0.5, 'A track is at least 0.5 m.')
    .max(3, 'A track is at most 3 m: check the unit.'),
  trackRear: z
    .number('Type a length, such as 1.46 m.')
    .min(0.5, 'A track is at least 0.5 m.')
    .max(3, 'A track is at most 3 m: check the unit.'),
  baseMass: z
    .number('Type a mass, such as 1,180 kg.')
    .min(50, 'A car weighs at least 50 kg: check the unit.')
    .max(20_000, 'That is over 20 t: check the unit.'),
  baseGrade: f.grade,
  baseSigma: f.sigma,
  /** Centre of mass as bought. */
  baseCentre: f.position,
  /** Fuel that was in the tank when it was weighed as bought, m³. */
  baseFuel: f.volume,
  fuelDensity: z
    .number()
    .min(500, 'Fuel weighs at least 500 kg/m³.')
    .max(1200, 'Fuel weighs at most 1,200 kg/m³.'),
  tank: f.position,
  seat: f.position,
  /** The driver in full gear, kg. */
  driverMass: f.mass.max(300, 'That is over 300 kg: check the unit.'),
  /** The condition that masses are stated for: fuel in m³, driver in kg (0 for none). */
  reference: z.strictObject({ fuel: f.volume, driver: f.mass }),
  /** The correction that power is stated under, all stages alike. */
  powerBasis: f.correction,
  units: f.units,
  note: f.note,
})

/** An ordered step of a build. Its state is the base car plus all swaps up to it. */
export const stageRecord = z.strictObject({
  id: f.id,
  name: f.name,
  order: f.order,
  /** Planned wheel power, W; `null` carries the last plan on. */
  plannedWheelPower: f.watts.nullable(),
  plannedPowerGrade: f.grade,
  note: f.note,
})
