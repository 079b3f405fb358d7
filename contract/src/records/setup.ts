import * as z from 'zod'
import { wingAngle } from './aeroElement'
import { barShare } from './brakes'
import { defineKind } from './defineKind'
import { field } from './field'
import * as f from './fields'
import { springRate } from './springFields'

const height = f.length('110 mm', 0, 0.6, '0 to 600 mm')
const clicks = field(
  z.int('Type a whole number of clicks.').min(0, 'Clicks count from 0.').max(100, 'At most 100.').nullable(),
  { quantity: 'number' },
)
export const camber = z
  .number('Type an angle, such as −2.5°.')
  .min(-0.262, 'Over 15° the tyre stands on its edge: check the sign and the unit.')
  .max(0.262, 'Over 15° the tyre stands on its edge: check the sign and the unit.')
export const toe = z
  .number('Type toe as an angle or over the width, such as 1.5 mm; in above zero.')
  .min(-0.14, 'Over 8° no wheel rolls: check the unit.')
  .max(0.14, 'Over 8° no wheel rolls: check the unit.')
const caster = z
  .number('Type an angle, such as 7°.')
  .min(-0.35, 'From −20 to 20°.')
  .max(0.35, 'From −20 to 20°.')
export const gauge = z
  .number('Type a pressure, such as 1.8 bar.')
  .gt(0, 'Gauge pressure is above zero.')
  .max(1e6, 'Over 10 bar: check the unit.')
export const toeWidth = field(f.length('600 mm', 0.3, 1, '300 to 1000 mm'), {
  label: 'Toe is stated over',
  hint: 'Such as the rim: 600 mm',
})
const angleOf = (each: z.ZodNumber) => field(each.nullable(), { quantity: 'angle' })

const spring = z.strictObject({
  /** N/m; null leaves it as the suspension says. */
  main: field(springRate.nullable(), {
    label: 'Spring',
    hint: 'Empty: as under Springs',
  }),
  helper: field(springRate.nullable(), { label: 'Helper' }),
  preload: field(f.length('5 mm', 0, 0.2, '0 to 200 mm').nullable(), { label: 'Preload', unit: 'mm' }),
})
const bar = z.strictObject({
  isOn: field(z.boolean(), { label: 'Bar on' }),
  setting: f.words('Hole or blade', 40),
})
const adjusters = z.strictObject({
  bump: field(clicks, { label: 'Bump' }),
  rebound: field(clicks, { label: 'Rebound' }),
  fastBump: field(clicks, { label: 'Fast bump' }),
  fastRebound: field(clicks, { label: 'Fast rebound' }),
})
const tyre = z.strictObject({
  size: f.words('Size', 40),
  compound: f.words('Compound', 60),
  set: f.words('Set', 40),
  /** On them at the start. */
  laps: field(z.int('Type laps.').min(0, 'Not below zero.').max(10_000, 'At most 10,000.').nullable(), {
    quantity: 'number',
    label: 'Laps on them',
  }),
  /** μ; null leaves it as under gears and grip. */
  grip: field(
    z
      .number('Type a coefficient, such as 1.1.')
      .min(0.1, 'Below 0.1 is ice.')
      .max(3, 'Over 3: check it.')
      .nullable(),
    { quantity: 'number', label: 'Grip, μ', hint: 'Empty: as under gears and grip' },
  ),
})
const wing = z.strictObject({
  elementId: f.linkTo('aeroElement', 'Wing or splitter'),
  hole: f.words('Hole or place', 40),
  angle: field(wingAngle.nullable(), { label: 'Set to' }),
})

/** A set-up sheet: all that is turned, bolted or pumped for a run. Changed by writing the next one. SI. */
export const setup = defineKind({
  name: 'setup',
  within: 'stage',
  isFrozen: true,
  isLogged: true,
  words: { one: 'set-up sheet', many: 'set-up sheets' },
  sortedBy: 'order',
  most: 2000,
  fields: {
    /** Its number. */
    order: f.order,
    date: f.date,
    /** A good one has a name; others are known by their number. */
    name: field(z.string().trim().max(120, 'Keep the name under 120 characters.'), {
      label: 'Name',
      hint: 'Once it has proved good',
    }),
    course: f.words('Course', 120),
    weather: f.words('Weather', 80),
    why: field(f.words('Why', 400), { label: 'Why it was changed' }),
    meant: field(f.words('Meant to', 400), { label: 'What that is meant to do' }),
    driver: f.words('Driver', 80),
    fuel: field(f.volume.nullable(), { label: 'Fuel' }),
    springs: field(f.axles(spring), { label: 'Springs' }),
    /** How far up each perch stands, m. */
    perches: field(f.corners(f.length('42 mm', 0, 0.4, '0 to 400 mm').nullable()), { label: 'Perches' }),
    bars: field(f.axles(bar), { label: 'Bars' }),
    /** Between rubber and body, m. */
    packers: field(f.axles(f.length('5 mm', 0, 0.1, '0 to 100 mm').nullable()), { label: 'Packers' }),
    dampers: field(f.corners(adjusters), { label: 'Dampers' }),
    heights: field(f.corners(height.nullable()), { label: 'Ride heights' }),
    heightsAt: field(f.words('Measured at', 120), { hint: 'Such as the sill behind the wheel' }),
    camber: field(f.corners(angleOf(camber)), { label: 'Camber' }),
    caster: field(
      z.strictObject({
        left: field(angleOf(caster), { label: 'Left' }),
        right: field(angleOf(caster), { label: 'Right' }),
      }),
      { label: 'Caster' },
    ),
    toe: field(f.corners(angleOf(toe)), { label: 'Toe' }),
    toeWidth,
    tyres: field(f.axles(tyre), { label: 'Tyres' }),
    cold: field(f.corners(field(gauge.nullable(), { quantity: 'pressure' })), { label: 'Cold pressures' }),
    hot: field(f.corners(field(gauge.nullable(), { quantity: 'pressure' })), {
      label: 'Hot pressures wanted',
    }),
    /** Of what the pedal pushes, the front cylinder's share. */
    brakeBar: field(barShare.nullable(), { label: 'Brake bar, front' }),
    differential: f.words('Differential', 120),
    wings: field(z.array(wing).max(8, 'At most 8.'), { label: 'Wings and splitter' }),
    note: f.note,
  },
})
