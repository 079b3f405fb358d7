import * as z from 'zod'
import { condition } from './condition'
import { bridge } from './drivetrain'
import * as f from './fields'

export const DISCIPLINES = ['track', 'drift', 'timeAttack'] as const
export const LAYOUTS = ['front', 'rear', 'all'] as const

const axleSprings = z.strictObject({
  /** N/m */
  springRate: z
    .number('Type a spring rate, such as 60 N/mm or 350 lb/in.')
    .min(1000, 'Below 1 N/mm: check the unit.')
    .max(2e6, 'Over 2,000 N/mm: check the unit.'),
  /** Spring travel over wheel travel. */
  motionRatio: z
    .number('Type the motion ratio, such as 0.7.')
    .min(0.2, 'Below 0.2: spring travel over wheel travel is meant.')
    .max(2, 'Over 2: spring travel over wheel travel is meant.'),
  /** N/m; null leaves the tyre out. */
  tyreRate: z
    .number('Type a tyre rate, or leave it empty.')
    .min(20_000, 'Below 20 N/mm: check the unit.')
    .max(2e6, 'Over 2,000 N/mm: check the unit.')
    .nullable(),
  /** Of the perch’s thread, m a turn. */
  threadPitch: z
    .number('Type the pitch of the thread, such as 2 mm.')
    .gt(0, 'A thread has a pitch.')
    .max(0.02, 'Over 20 mm a turn: check the unit.'),
})

/** What the perch solver needs to know of the car. */
const springs = z.strictObject({
  front: axleSprings,
  rear: axleSprings,
  /** The smallest part of a turn that is set. */
  turnStep: z
    .number('Type a part of a turn, such as 0.25.')
    .gt(0, 'A step is above zero.')
    .max(2, 'At most two turns.'),
})

const shareTarget = z.strictObject({
  value: f.share,
  tolerance: z
    .number('Type how far off still counts.')
    .min(0.0001, 'At least 0.01 %.')
    .max(0.2, 'At most 20 %.'),
})

/** Where ballast may go, what plates there are, and what it should reach. */
const ballast = z.strictObject({
  spots: z
    .array(
      z.strictObject({
        id: f.id,
        name: f.name,
        x: f.metres,
        y: f.metres,
        limit: z
          .number('Type what may hang there, such as 20 kg.')
          .gt(0, 'A limit is above zero.')
          .max(500, 'Over 500 kg: check the unit.'),
      }),
    )
    .max(24, 'At most 24 spots.'),
  plates: z
    .array(
      z.strictObject({
        mass: z
          .number('Type the mass of a plate, such as 5 kg.')
          .gt(0, 'A plate weighs more than nothing.')
          .max(200, 'Over 200 kg: check the unit.'),
        count: z
          .int('Type how many there are.')
          .min(0, 'How many can’t be below zero.')
          .max(200, 'At most 200.'),
      }),
    )
    .max(8, 'At most 8 sizes.'),
  minimumMass: z
    .number('Type a mass, 0 for none.')
    .min(0, 'A mass can’t be below zero.')
    .max(20_000, 'That is over 20 t: check the unit.'),
  front: shareTarget.nullable(),
  left: shareTarget.nullable(),
  cross: shareTarget.nullable(),
})

/** What gusts and kerbs make of a steady load, and what is wanted beyond that. */
const airLoads = z.strictObject({
  gust: z.number('Type a factor, such as 1.25.').min(1, 'From 1 to 5.').max(5, 'From 1 to 5.'),
  kerb: z.number('Type a factor, such as 1.2.').min(1, 'From 1 to 5.').max(5, 'From 1 to 5.'),
  wanted: z.number('Type a factor, such as 2.').min(1, 'From 1 to 10.').max(10, 'From 1 to 10.'),
})

const doubt = z
  .number('Type a share in per cent.')
  .min(0.005, 'From 0.5 to 100 %.')
  .max(1, 'From 0.5 to 100 %.')

const lean = z
  .number('Type a share in per cent.')
  .min(0, 'It can’t be below zero.')
  .max(1, 'From 0 to 100 %.')

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
  reference: condition,
  /** The correction that power is stated under, all stages alike. */
  powerBasis: f.correction,
  springs: springs.nullable(),
  ballast: ballast.nullable(),
  airLoads,
  /** Days on two dynos that the same car in the same tune joins. */
  bridges: z.array(bridge).max(50, 'At most 50 bridges.'),
  /** What parts still to come are expected to grow by, as a share; null takes the usual ones. */
  growth: z
    .strictObject({
      guess: z
        .number('Type a share in per cent.')
        .min(0, 'A growth can’t be below zero.')
        .max(2, 'Over 200 % is no plan.'),
      claim: z
        .number('Type a share in per cent.')
        .min(0, 'A growth can’t be below zero.')
        .max(2, 'Over 200 % is no plan.'),
    })
    .nullable(),
  /** How far off guesses and claims of masses are, one standard uncertainty as a share; null takes the usual. */
  doubts: z.strictObject({ guess: doubt, claim: doubt }).nullable(),
  /** How far all guesses, and all claims, lean the same way, as shares of what is open; null takes the usual. */
  lean: z.strictObject({ guess: lean, claim: lean }).nullable(),
  /** What money is counted in, such as EUR. */
  currency: z.string().trim().max(8, 'Keep it under 8 characters, such as EUR.'),
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
