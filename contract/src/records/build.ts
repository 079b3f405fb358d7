import * as z from 'zod'
import { bridge } from './bridge'
import { DISCIPLINE, DISCIPLINES, LAYOUT, LAYOUTS } from './choices'
import { conditionOf } from './condition'
import { defineKind } from './defineKind'
import { choice, field } from './field'
import * as f from './fields'
import * as spring from './springFields'

const axleSprings = z.strictObject({
  springRate: spring.springRate,
  motionRatio: spring.motionRatio,
  tyreRate: spring.tyreRate,
  threadPitch: spring.threadPitch,
})

/** What the perch solver needs to know of the car. */
const springs = z.strictObject({
  front: field(axleSprings, { label: 'Front' }),
  rear: field(axleSprings, { label: 'Rear' }),
  turnStep: spring.turnStep,
})

const shareTarget = z.strictObject({
  value: field(f.share, { label: 'Wanted' }),
  tolerance: field(
    z.number('Type how far off still counts.').min(0.0001, 'At least 0.01 %.').max(0.2, 'At most 20 %.'),
    { quantity: 'share', label: '±' },
  ),
})

const spot = z.strictObject({
  id: f.id,
  name: f.name,
  x: field(f.metres, { label: 'Behind front axle' }),
  y: field(f.metres, { label: 'Left of middle' }),
  limit: field(
    z
      .number('Type what may hang there, such as 20 kg.')
      .gt(0, 'A limit is above zero.')
      .max(500, 'Over 500 kg: check the unit.'),
    { quantity: 'mass', label: 'Holds at most' },
  ),
})
const plate = z.strictObject({
  mass: field(
    z
      .number('Type the mass of a plate, such as 5 kg.')
      .gt(0, 'A plate weighs more than nothing.')
      .max(200, 'Over 200 kg: check the unit.'),
    { quantity: 'mass', label: 'Each' },
  ),
  count: field(
    z.int('Type how many there are.').min(0, 'How many can’t be below zero.').max(200, 'At most 200.'),
    { quantity: 'number', label: 'How many' },
  ),
})
/** Where ballast may go, what plates there are, and what it should reach. */
const ballast = z.strictObject({
  spots: field(z.array(spot).max(24, 'At most 24 spots.'), { label: 'Spots', many: 'spots' }),
  plates: field(z.array(plate).max(8, 'At most 8 sizes.'), { label: 'Plates', many: 'sizes of plate' }),
  minimumMass: field(
    z
      .number('Type a mass, 0 for none.')
      .min(0, 'A mass can’t be below zero.')
      .max(20_000, 'That is over 20 t: check the unit.'),
    { quantity: 'mass', label: 'Minimum mass', hint: 'As the class weighs it; 0 for none' },
  ),
  front: field(shareTarget.nullable(), { label: 'Front' }),
  left: field(shareTarget.nullable(), { label: 'Left' }),
  cross: field(shareTarget.nullable(), { label: 'Cross' }),
})

const times = (most: number) =>
  z.number('Type a factor, such as 1.25.').min(1, `From 1 to ${most}.`).max(most, `From 1 to ${most}.`)
/** What gusts and kerbs make of a steady load, and what is wanted beyond that. */
const airLoads = z.strictObject({
  gust: field(times(5), { quantity: 'number', label: 'Gusts, times' }),
  kerb: field(z.number('Type a factor, such as 1.2.').min(1, 'From 1 to 5.').max(5, 'From 1 to 5.'), {
    quantity: 'number',
    label: 'Kerbs, times',
  }),
  wanted: field(z.number('Type a factor, such as 2.').min(1, 'From 1 to 10.').max(10, 'From 1 to 10.'), {
    quantity: 'number',
    label: 'Wanted in hand, times',
  }),
})

const ofBoth = (each: z.ZodNumber, guess: string, claim: string) =>
  z.strictObject({
    guess: field(each, { quantity: 'share', label: guess }),
    claim: field(each, { quantity: 'share', label: claim }),
  })
const growth = z
  .number('Type a share in per cent.')
  .min(0, 'A growth can’t be below zero.')
  .max(2, 'Over 200 % is no plan.')
const doubt = z
  .number('Type a share in per cent.')
  .min(0.005, 'From 0.5 to 100 %.')
  .max(1, 'From 0.5 to 100 %.')
const lean = z
  .number('Type a share in per cent.')
  .min(0, 'It can’t be below zero.')
  .max(1, 'From 0 to 100 %.')

export const wheelbase = field(
  z
    .number('Type a length, such as 2.4 m or 95 in.')
    .min(1, 'A wheelbase is at least 1 m.')
    .max(6, 'A wheelbase is at most 6 m: check the unit.'),
  { quantity: 'length' },
)
export const track = field(
  z
    .number('Type a length, such as 1.46 m.')
    .min(0.5, 'A track is at least 0.5 m.')
    .max(3, 'A track is at most 3 m: check the unit.'),
  { quantity: 'length' },
)

/** One car project: what it is, its base geometry, and the car as bought. SI units throughout. */
export const build = defineKind({
  name: 'build',
  within: 'workshop',
  words: { one: 'build', many: 'builds' },
  sortedBy: 'id',
  most: 1,
  fields: {
    name: f.name,
    car: f.words('Car', 200),
    discipline: choice(DISCIPLINES, DISCIPLINE, 'Discipline', 'Choose track, drift or time attack.'),
    layout: choice(LAYOUTS, LAYOUT, 'Layout', 'Choose which wheels drive.'),
    wheelbase: field(wheelbase, { label: 'Wheelbase' }),
    trackFront: field(track, { label: 'Front track' }),
    trackRear: field(track, { label: 'Rear track' }),
    baseMass: field(
      z
        .number('Type a mass, such as 1,180 kg.')
        .min(50, 'A car weighs at least 50 kg: check the unit.')
        .max(20_000, 'That is over 20 t: check the unit.'),
      { quantity: 'mass', label: 'Mass as bought', hint: 'With fluids, no driver' },
    ),
    baseGrade: field(f.grade, { label: 'Mass as bought, known by' }),
    baseSigma: field(f.sigma, { label: '± of the mass as bought' }),
    /** Centre of mass as bought. */
    baseCentre: field(f.position, { label: 'Centre of mass as bought' }),
    /** Fuel that was in the tank when it was weighed as bought, m³. */
    baseFuel: field(f.volume, { label: 'Fuel that was in it' }),
    fuelDensity: field(
      z.number().min(500, 'Fuel weighs at least 500 kg/m³.').max(1200, 'Fuel weighs at most 1,200 kg/m³.'),
      { quantity: 'density', label: 'Density of the fuel', hint: 'Petrol 745, E85 782' },
    ),
    tank: field(f.position, { label: 'Tank' }),
    seat: field(f.position, { label: 'Driver' }),
    /** The driver in full gear, kg. */
    driverMass: field(f.mass.max(300, 'That is over 300 kg: check the unit.'), {
      label: 'Driver in full gear',
    }),
    /** The condition that masses are stated for: fuel in m³, driver in kg (0 for none). */
    reference: field(conditionOf, { label: 'Masses are stated with' }),
    /** The correction that power is stated under, all stages alike. */
    powerBasis: field(f.correction, { label: 'Power is stated' }),
    springs: field(springs.nullable(), { label: 'Springs' }),
    ballast: field(ballast.nullable(), { label: 'Ballast' }),
    airLoads: field(airLoads, { label: 'Air loads' }),
    /** Days on two dynos that the same car in the same tune joins. */
    bridges: field(z.array(bridge).max(50, 'At most 50 bridges.'), { label: 'Bridges', many: 'bridges' }),
    /** What parts still to come are expected to grow by, as a share; null takes the usual ones. */
    growth: field(ofBoth(growth, 'A guess grows by', 'A maker’s claim grows by').nullable(), {
      label: 'Growth',
    }),
    /** How far off guesses and claims of masses are, one standard uncertainty as a share; null takes the usual. */
    doubts: field(ofBoth(doubt, 'A guess is known to ±', 'A maker’s claim to ±').nullable(), {
      label: 'Doubt',
    }),
    /** How far all guesses, and all claims, lean the same way, as shares of what is open; null takes the usual. */
    lean: field(ofBoth(lean, 'All guesses may lean by ±', 'All claims by ±').nullable(), { label: 'Lean' }),
    /** What money is counted in, such as EUR. */
    currency: field(f.words('Currency', 8, 'Keep it under 8 characters, such as EUR.'), {
      hint: 'Stands beside every price, such as EUR',
    }),
    units: f.units,
    note: f.note,
  },
})
