import { LAUNCHES, isRising } from '@bold-ballast/core'
import * as z from 'zod'
import { LAUNCH } from './choices'
import { defineKind } from './defineKind'
import { choice, field } from './field'
import * as f from './fields'
import * as tyre from './tyreFields'

const angular = field(
  z
    .number('Type an engine speed, such as 6,800 rpm.')
    .gt(0, 'An engine speed is above zero.')
    .max(2700, 'Over 25,000 rpm: check the unit.'),
  { quantity: 'engineSpeed' },
)
const spin = field(
  z
    .number('Type a figure, such as 1.3.')
    .min(1, 'Below 1 the wheel is braked.')
    .max(4, 'Over 4 there is only smoke.'),
  { quantity: 'number' },
)
const loss = field(
  z
    .number('Type a share in per cent.')
    .min(0, 'A loss can’t be below zero.')
    .max(0.5, 'Over 50 % is no loss, it is a fault.'),
  { quantity: 'share' },
)
const inertia = (such: string, most: number) =>
  field(
    z
      .number(`Type an inertia, such as ${such} kg·m².`)
      .min(0, 'It can’t be below zero.')
      .max(most, `Over ${most} kg·m²: check the unit.`),
    { quantity: 'inertia' },
  )
const layoutSpeed = (such: string) =>
  field(
    z.number(`Type a speed, such as ${such}.`).gt(0, 'A speed is above zero.').max(120, 'Check the unit.'),
    { quantity: 'velocity' },
  )

/** How it slides on a layout; wheel speed over road speed, between which it is driven. */
const slide = z
  .strictObject({
    angle: field(
      z
        .number('Type an angle, such as 35°.')
        .min(0.05, 'Below 3° nothing slides.')
        .max(1.4, 'Over 80° it has spun.'),
      {
        quantity: 'angle',
        label: 'Slip angle, rear axle',
        hint: 'Between where it goes and where it points',
      },
    ),
    doubt: field(
      z.number('Type an angle, such as 7°.').min(0.005, 'From 0.3 to 30°.').max(0.53, 'From 0.3 to 30°.'),
      { quantity: 'angle', label: 'Known to ±' },
    ),
    least: field(spin, { label: 'Wheel over road speed, least', hint: '1.1 is usual' }),
    most: field(spin, { label: 'And at most', hint: '1.6 is usual; less saves tyres' }),
  })
  .refine((s) => s.most > s.least, { path: ['most'], message: 'The most is above the least.' })

/** What stands between the engine and the road, and what holds the car back. SI. */
export const drive = z
  .strictObject({
    ratios: field(
      z
        .array(
          field(
            z
              .number('Type a ratio, such as 1.45.')
              .min(0.2, 'Below 0.2 is no gear.')
              .max(12, 'Over 12 is no gear.'),
            { quantity: 'number' },
          ),
        )
        .min(1, 'At least one gear.')
        .max(10, 'At most ten gears.'),
      { label: 'Gears' },
    ),
    finalDrive: field(
      z
        .number('Type a ratio, such as 4.1.')
        .min(0.5, 'Below 0.5 is no final drive.')
        .max(15, 'Over 15 is no final drive.'),
      { quantity: 'number', label: 'Final drive' },
    ),
    /** Drop gears, a quick-change set or a transfer box, multiplied into every gear; 1 without. */
    between: field(
      z
        .number('Type a ratio, 1 without drop gears or transfer box.')
        .min(0.3, 'Below 0.3 is no such gear.')
        .max(5, 'Over 5 is no such gear.'),
      { quantity: 'number', label: 'Drop or transfer', hint: '1 without' },
    ),
    /** As written on the driven tyre; empty when the radius was measured. */
    tyreSize: field(tyre.size, { label: 'Driven tyre', hint: 'Such as 265/35R18; empty if measured' }),
    rollOut: tyre.rollOut,
    tyreDiameter: field(tyre.diameter, { hint: 'Empty if not measured' }),
    /** Of the driven tyres under load, m. */
    rollingRadius: field(
      z
        .number('Type a radius, such as 305 mm.')
        .min(0.1, 'Below 100 mm: check the unit.')
        .max(0.6, 'Over 600 mm: check the unit, a radius is meant.'),
      { quantity: 'length', label: 'Rolling radius, driven', hint: 'Wheel centre to ground, loaded' },
    ),
    growth: field(tyre.growth, { label: 'Tyre grows by' }),
    limiter: field(angular, { label: 'Limiter' }),
    /** From here on boost, or enough torque, is there; null takes half of the limiter. */
    boostThreshold: field(angular.nullable(), { label: 'On the boil from', hint: 'Boost, or torque enough' }),
    /** Where it is shifted; null shifts at the limiter. */
    shiftSpeed: field(angular.nullable(), { label: 'Shifted at', hint: 'Empty: at the limiter' }),
    shiftTime: field(
      z
        .number('Type a time, such as 0.3 s.')
        .min(0, 'A shift takes no less than no time.')
        .max(3, 'Over 3 s is no shift.'),
      { quantity: 'time', unit: 's', label: 'A shift takes' },
    ),
    launchSpeed: field(angular, { label: 'Clutch slips at' }),
    grip: field(
      z.number('Type a coefficient, such as 1.1.').min(0.1, 'Below 0.1 is ice.').max(3, 'Over 3: check it.'),
      { quantity: 'number', label: 'Grip of the tyres, μ', hint: '0.9 road, 1.1 to 1.4 track' },
    ),
    dragArea: field(
      z
        .number('Type an area, such as 0.7 m².')
        .min(0, 'A drag area can’t be below zero.')
        .max(5, 'Over 5 m²: check the unit.'),
      { quantity: 'area', label: 'Drag area', hint: 'Without wings: 0.6 to 0.9 m²' },
    ),
    rollingResistance: field(
      z
        .number('Type a coefficient, such as 0.012.')
        .min(0, 'It can’t be below zero.')
        .max(0.2, 'Over 0.2: check it.'),
      { quantity: 'number', label: 'Rolling resistance', hint: '0.012 to 0.018' },
    ),
    /** Of all four wheels, and of what turns with the crank, kg·m². */
    wheelInertia: field(inertia('4', 50), { label: 'Wheels, all four', hint: 'About 1 kg·m² each' }),
    engineInertia: field(inertia('0.15', 5), { label: 'Engine and clutch', hint: '0.1 to 0.25 kg·m²' }),
    propshaftInertia: field(inertia('0.02', 2), { label: 'Propeller shaft' }),
    /** Downforce area C_L·A on the driven axle, m². */
    axleDownforce: field(
      z
        .number('Type an area, 0 without wings.')
        .min(-1, 'Below −1 m² is lift no car has.')
        .max(6, 'Over 6 m²: check the unit.'),
      { quantity: 'area', label: 'Downforce, driven axle', hint: 'C_L·A; 0 without wings' },
    ),
    /** All-wheel drive: share of the torque that goes to the rear axle. */
    rearSplit: field(f.share, { label: 'Torque to the rear' }),
    /** Torque that the clutch passes slipping, at the engine; null where nobody knows. */
    clutchTorque: field(
      z
        .number('Type a torque, such as 450 N·m.')
        .gt(0, 'A clutch passes some torque.')
        .max(1e4, 'Check the unit.')
        .nullable(),
      { quantity: 'torque', label: 'Clutch passes', hint: 'Slipping, at the engine' },
    ),
    /** Steel of flywheel and pressure plate that takes the heat of a launch, kg. */
    clutchMass: field(
      z
        .number('Type a mass, such as 9 kg.')
        .min(0.5, 'Below 0.5 kg no clutch takes heat.')
        .max(60, 'Over 60 kg: check the unit.'),
      { quantity: 'mass', label: 'Steel of the clutch', hint: 'Flywheel and plate' },
    ),
    lockedDifferential: field(z.boolean(), { label: 'Locked differential' }),
    launch: choice(LAUNCHES, LAUNCH, 'Launched', 'Choose how it is launched.'),
    /** Road speeds of a layout where the car comes in and goes out, m/s. */
    layout: field(
      z
        .strictObject({
          entry: field(layoutSpeed('90 km/h'), { label: 'Comes in at' }),
          exit: field(layoutSpeed('55 km/h'), { label: 'Goes out at' }),
        })
        .nullable(),
      { label: 'Layout' },
    ),
    /**
     * Slip angle of the rear axle in a slide on that layout, rad, and how far it may be off, with how fast its wheels
     * turn; null takes what is usual.
     */
    slide: field(slide.nullable(), { label: 'Slide' }),
    /** Share of crank power lost on the way to the wheels; null takes what is usual. */
    loss: field(
      z
        .strictObject({
          least: field(loss, { label: 'Lost, at least' }),
          most: field(loss, { label: 'Lost, at most' }),
        })
        .nullable(),
      { label: 'Loss' },
    ),
  })
  .refine((d) => isRising(d.ratios.toReversed()), {
    path: ['ratios'],
    message: 'Each gear is taller than the one before: the ratios fall from first to last.',
  })
  .refine((d) => d.shiftSpeed === null || d.shiftSpeed <= d.limiter * 1.001, {
    path: ['shiftSpeed'],
    message: 'A shift lies at or below the limiter.',
  })
  .refine((d) => d.loss === null || d.loss.most >= d.loss.least, {
    path: ['loss', 'most'],
    message: 'The most is not below the least.',
  })

/** The gears, grip and drag of a stage. */
export const drivetrain = defineKind({
  name: 'drivetrain',
  within: 'stage',
  isCarriedOn: true,
  words: { one: 'gears', many: 'gears' },
  sortedBy: 'id',
  most: 200,
  fields: { drive: field(drive, { label: 'Drive' }), note: f.note },
})
