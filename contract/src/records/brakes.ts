import { isRising } from '@bold-ballast/core'
import * as z from 'zod'
import { AXLE_END } from './choices'
import { defineKind } from './defineKind'
import { choice, field } from './field'
import * as f from './fields'

const bore = f.length('19.05 mm', 0.008, 0.06, '8 to 60 mm')
export const discTemperature = (such: string) =>
  z
    .number(`Type a temperature, such as ${such}.`)
    .min(223, 'Below −50 °C: check the unit.')
    .max(1473, 'Over 1,200 °C no disc lives: check the unit.')
export const barShare = field(
  z
    .number('Type a share in per cent, such as 52 %.')
    .min(0.05, 'At 0 or 100 % one axle has no brakes: from 5 to 95 %.')
    .max(0.95, 'At 0 or 100 % one axle has no brakes: from 5 to 95 %.'),
  { quantity: 'share' },
)

export const axleBrakes = z
  .strictObject({
    /** Diameters on one side of a caliper; of a floating one, on its only side. */
    pistons: field(
      z
        .array(
          z.strictObject({
            diameter: field(f.length('38 mm', 0.01, 0.1, '10 to 100 mm'), { label: 'Piston', unit: 'mm' }),
          }),
        )
        .min(1, 'A caliper has one piston at least.')
        .max(6, 'At most six pistons on a side.'),
      { label: 'Pistons, one side' },
    ),
    /** From the wheel's axis to where the pads act, m. */
    radius: field(f.length('140 mm', 0.05, 0.3, '50 to 300 mm'), {
      label: 'Pads act at',
      hint: 'From the axis to the pad’s middle',
      unit: 'mm',
    }),
    pad: f.words('Pad', 80),
    friction: field(
      z
        .array(
          z.strictObject({
            temperature: field(discTemperature('300 °C'), { quantity: 'temperature', label: 'At' }),
            friction: field(
              z
                .number('Type a coefficient, such as 0.45.')
                .gt(0, 'A pad rubs.')
                .max(1.5, 'Over 1.5: check it.'),
              { quantity: 'number', label: 'Friction' },
            ),
          }),
        )
        .min(1, 'One figure at least.')
        .max(20, 'At most 20 points.')
        .refine((p) => isRising(p.map((q) => q.temperature)), 'Write the points by rising temperature.'),
      { label: 'Friction', many: 'points' },
    ),
    /** Where the pad works, K. */
    padFrom: field(discTemperature('150 °C'), { quantity: 'temperature', label: 'Pad works from' }),
    padTo: field(discTemperature('600 °C'), { quantity: 'temperature', label: 'to' }),
    /** Of one disc, kg. */
    discMass: field(f.mass.gt(0, 'A disc weighs something.').max(60, 'Over 60 kg: check the unit.'), {
      label: 'One disc',
    }),
    /** Time in which what is left falls to a third, s. */
    cooling: field(
      z
        .number('Type a time, such as 120 s.')
        .gt(1, 'Below 1 s: check the unit.')
        .max(3600, 'Over an hour: check the unit.'),
      {
        quantity: 'time',
        unit: 's',
        label: 'Cools to a third in',
        hint: '60 to 180 s; ducts make it shorter',
      },
    ),
    /** Of a pad's lining, new and where it has to go, m. */
    padNew: field(f.length('17 mm', 0.002, 0.05, '2 to 50 mm'), { label: 'Lining, new', unit: 'mm' }),
    padLeast: field(f.length('4 mm', 0, 0.03, '0 to 30 mm'), { label: 'Lining, least', unit: 'mm' }),
  })
  .refine((a) => a.padTo > a.padFrom, { path: ['padTo'], message: 'A window ends above where it begins.' })
  .refine((a) => a.padNew > a.padLeast, { path: ['padLeast'], message: 'A pad wears down, not up.' })

const alternative = z.strictObject({
  id: f.id,
  name: f.name,
  axle: choice(['front', 'rear'], AXLE_END, 'For the', 'Choose an axle.'),
  brakes: field(axleBrakes, { label: 'Brakes' }),
  /** Of the whole axle, against what is fitted, kg. */
  massChange: field(
    z
      .number('Type a mass, below zero where it is lighter.')
      .min(-100, 'Check the unit.')
      .max(100, 'Check the unit.'),
    { quantity: 'mass', label: 'Heavier by', hint: 'The axle; below zero where lighter' },
  ),
  price: f.price,
})

const speed = (label: string) =>
  field(z.number('Type a speed, such as 180 km/h.').min(0, 'Not below zero.').max(150, 'Over 540 km/h.'), {
    quantity: 'velocity',
    label,
  })
const stop = z
  .strictObject({
    from: speed('From'),
    to: speed('To'),
    /** Since the stop before, s. */
    after: field(
      z.number('Type a time, such as 20 s.').gt(0, 'Some time passes.').max(3600, 'Over an hour.'),
      { quantity: 'time', unit: 's', label: 'After' },
    ),
  })
  .refine((s) => s.from > s.to, { path: ['to'], message: 'A stop ends slower than it began.' })

/** Pedal, cylinders, calipers, discs and pads of a stage, and the stops they are judged on. SI. */
export const brakes = defineKind({
  name: 'brakes',
  collection: 'brakes',
  within: 'stage',
  isCarriedOn: true,
  words: { one: 'brakes', many: 'brakes' },
  sortedBy: 'id',
  most: 200,
  fields: {
    pedalRatio: field(
      z.number('Type a ratio, such as 5.2.').min(1.5, 'From 1.5 to 12.').max(12, 'From 1.5 to 12.'),
      { quantity: 'number', label: 'Pedal ratio', hint: 'Travel of the foot over travel of the bar' },
    ),
    /** A servo's push over the foot's; 1 without. */
    servo: field(
      z.number('Type a factor, 1 without a servo.').min(1, 'From 1 to 10.').max(10, 'From 1 to 10.'),
      { quantity: 'number', label: 'Servo, times', hint: '1 without' },
    ),
    /** The front cylinder's share of the push; a tandem cylinder has one half and no bar. */
    barShare: field(barShare, { label: 'Bar, front' }),
    barLeast: field(barShare, { label: 'It reaches from' }),
    barMost: field(barShare, { label: 'to' }),
    cylinderFront: field(bore, { label: 'Front cylinder', unit: 'mm' }),
    cylinderRear: field(bore, { label: 'Rear cylinder', unit: 'mm' }),
    /** In the rear line: from a pressure on, only a part gets through. */
    valve: field(
      z
        .strictObject({
          from: field(
            z.number('Type a pressure, such as 30 bar.').gt(0, 'Above zero.').max(3e7, 'Over 300 bar.'),
            { quantity: 'pressure', unit: 'bar', label: 'Rear valve from' },
          ),
          passes: field(
            z.number('Type a share in per cent.').min(0, 'From 0 to 100 %.').max(1, 'From 0 to 100 %.'),
            { quantity: 'share', label: 'Lets through beyond' },
          ),
        })
        .nullable(),
      { label: 'Rear valve' },
    ),
    front: field(axleBrakes, { label: 'Front' }),
    rear: field(axleBrakes, { label: 'Rear' }),
    /** Rolling radius of the wheels, m. */
    wheelRadius: field(f.axles(f.length('305 mm', 0.1, 0.6, '100 to 600 mm')), { label: 'Wheels roll at' }),
    /** μ; null takes what stands under gears and grip. */
    grip: field(
      z
        .number('Type a coefficient, such as 1.2.')
        .min(0.1, 'Below 0.1 is ice.')
        .max(3, 'Over 3: check it.')
        .nullable(),
      { quantity: 'number', label: 'Grip of the tyres, μ', hint: 'Empty: as under gears and grip' },
    ),
    /** Around the discs, K. */
    air: field(discTemperature('25 °C'), { quantity: 'temperature', label: 'Air' }),
    stops: field(z.array(stop).max(40, 'At most 40 stops.'), { label: 'Stops of a lap', many: 'stops' }),
    alternatives: field(z.array(alternative).max(12, 'At most 12 alternatives.'), {
      label: 'Alternatives',
      many: 'alternatives',
    }),
    note: f.note,
  },
  check: (record) =>
    record
      .refine((b) => b.barMost >= b.barLeast, {
        path: ['barMost'],
        message: 'The bar reaches from the smaller share to the larger.',
      })
      .refine((b) => b.barShare >= b.barLeast && b.barShare <= b.barMost, {
        path: ['barShare'],
        message: 'The bar stands within what it reaches.',
      }),
})
