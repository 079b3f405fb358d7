import { LAUNCHES, tyreSize } from '@bold-ballast/core'
import * as z from 'zod'
import * as f from './fields'

const angular = z
  .number('Type an engine speed, such as 6,800 rpm.')
  .gt(0, 'An engine speed is above zero.')
  .max(2700, 'Over 25,000 rpm: check the unit.')
const spin = z
  .number('Type a figure, such as 1.3.')
  .min(1, 'Below 1 the wheel is braked.')
  .max(4, 'Over 4 there is only smoke.')
const loss = z
  .number('Type a share in per cent.')
  .min(0, 'A loss can’t be below zero.')
  .max(0.5, 'Over 50 % is no loss, it is a fault.')

/** What stands between the engine and the road, and what holds the car back. SI. */
export const drivetrain = z
  .strictObject({
    ratios: z
      .array(
        z
          .number('Type a ratio, such as 1.45.')
          .min(0.2, 'Below 0.2 is no gear.')
          .max(12, 'Over 12 is no gear.'),
      )
      .min(1, 'At least one gear.')
      .max(10, 'At most ten gears.'),
    finalDrive: z
      .number('Type a ratio, such as 4.1.')
      .min(0.5, 'Below 0.5 is no final drive.')
      .max(15, 'Over 15 is no final drive.'),
    /** Drop gears, a quick-change set or a transfer box, multiplied into every gear; 1 without. */
    between: z
      .number('Type a ratio, 1 without drop gears or transfer box.')
      .min(0.3, 'Below 0.3 is no such gear.')
      .max(5, 'Over 5 is no such gear.'),
    /** As written on the driven tyre; empty when the radius was measured. */
    tyreSize: z
      .string()
      .trim()
      .max(40, 'Keep it under 40 characters.')
      .superRefine((text, context) => {
        const read = text === '' ? null : tyreSize(text)
        if (read && 'problem' in read) context.addIssue({ code: 'custom', message: read.problem })
      }),
    /** Distance of one turn with the car on it, and outside diameter unloaded, m; where somebody measured. */
    rollOut: z
      .number('Type a length, such as 1.95 m.')
      .min(0.6, 'Below 0.6 m: check the unit.')
      .max(3.8, 'Over 3.8 m: check the unit.')
      .nullable(),
    tyreDiameter: z
      .number('Type a diameter, such as 640 mm.')
      .min(0.2, 'Below 200 mm: check the unit.')
      .max(1.2, 'Over 1.2 m: check the unit.')
      .nullable(),
    /** Of the driven tyres under load, m. */
    rollingRadius: z
      .number('Type a radius, such as 305 mm.')
      .min(0.1, 'Below 100 mm: check the unit.')
      .max(0.6, 'Over 600 mm: check the unit, a radius is meant.'),
    /** Share that the tyre's radius has grown by at 200 km/h. */
    growth: z
      .number('Type a share in per cent.')
      .min(0, 'A tyre doesn’t shrink with speed.')
      .max(0.1, 'Over 10 % no tyre survives.'),
    limiter: angular,
    /** From here on boost, or enough torque, is there; null takes half of the limiter. */
    boostThreshold: angular.nullable(),
    /** Where it is shifted; null shifts at the limiter. */
    shiftSpeed: angular.nullable(),
    shiftTime: z
      .number('Type a time, such as 0.3 s.')
      .min(0, 'A shift takes no less than no time.')
      .max(3, 'Over 3 s is no shift.'),
    launchSpeed: angular,
    grip: z
      .number('Type a coefficient, such as 1.1.')
      .min(0.1, 'Below 0.1 is ice.')
      .max(3, 'Over 3: check it.'),
    dragArea: z
      .number('Type an area, such as 0.7 m².')
      .min(0, 'A drag area can’t be below zero.')
      .max(5, 'Over 5 m²: check the unit.'),
    rollingResistance: z
      .number('Type a coefficient, such as 0.012.')
      .min(0, 'It can’t be below zero.')
      .max(0.2, 'Over 0.2: check it.'),
    /** Of all four wheels, and of what turns with the crank, kg·m². */
    wheelInertia: z
      .number('Type an inertia, such as 4 kg·m².')
      .min(0, 'It can’t be below zero.')
      .max(50, 'Over 50 kg·m²: check the unit.'),
    engineInertia: z
      .number('Type an inertia, such as 0.15 kg·m².')
      .min(0, 'It can’t be below zero.')
      .max(5, 'Over 5 kg·m²: check the unit.'),
    propshaftInertia: z
      .number('Type an inertia, such as 0.02 kg·m².')
      .min(0, 'It can’t be below zero.')
      .max(2, 'Over 2 kg·m²: check the unit.'),
    /** Downforce area C_L·A on the driven axle, m². */
    axleDownforce: z
      .number('Type an area, 0 without wings.')
      .min(-1, 'Below −1 m² is lift no car has.')
      .max(6, 'Over 6 m²: check the unit.'),
    /** All-wheel drive: share of the torque that goes to the rear axle. */
    rearSplit: f.share,
    /** Torque that the clutch passes slipping, at the engine; null where nobody knows. */
    clutchTorque: z
      .number('Type a torque, such as 450 N·m.')
      .gt(0, 'A clutch passes some torque.')
      .max(1e4, 'Check the unit.')
      .nullable(),
    /** Steel of flywheel and pressure plate that takes the heat of a launch, kg. */
    clutchMass: z
      .number('Type a mass, such as 9 kg.')
      .min(0.5, 'Below 0.5 kg no clutch takes heat.')
      .max(60, 'Over 60 kg: check the unit.'),
    lockedDifferential: z.boolean(),
    launch: z.enum(LAUNCHES, 'Choose how it is launched.'),
    /** Road speeds of a layout where the car comes in and goes out, m/s. */
    layout: z
      .strictObject({
        entry: z
          .number('Type a speed, such as 90 km/h.')
          .gt(0, 'A speed is above zero.')
          .max(120, 'Check the unit.'),
        exit: z
          .number('Type a speed, such as 55 km/h.')
          .gt(0, 'A speed is above zero.')
          .max(120, 'Check the unit.'),
      })
      .nullable(),
    /**
     * Slip angle of the rear axle in a slide on that layout, rad, and how far it may be off, with how fast its wheels
     * turn; null takes what is usual.
     */
    slide: z
      .strictObject({
        angle: z
          .number('Type an angle, such as 35°.')
          .min(0.05, 'Below 3° nothing slides.')
          .max(1.4, 'Over 80° it has spun.'),
        doubt: z
          .number('Type an angle, such as 7°.')
          .min(0.005, 'From 0.3 to 30°.')
          .max(0.53, 'From 0.3 to 30°.'),
        /** Wheel speed over road speed, between which it is driven. */
        least: spin,
        most: spin,
      })
      .refine((s) => s.most > s.least, { path: ['most'], message: 'The most is above the least.' })
      .nullable(),
    /** Share of crank power lost on the way to the wheels; null takes what is usual. */
    loss: z.strictObject({ least: loss, most: loss }).nullable(),
  })
  .refine((d) => d.ratios.every((r, i) => i === 0 || r < d.ratios[i - 1]!), {
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

/** The gears, grip and drag of a stage; carried on until another stage has its own. */
export const drivetrainRecord = z.strictObject({ id: f.id, stageId: f.id, drive: drivetrain, note: f.note })

/** The same car in the same tune on two dynos: the only thing that makes them comparable. */
export const bridge = z
  .strictObject({
    id: f.id,
    firstDayId: f.id,
    secondDayId: f.id,
    firstConfiguration: z.string().max(120),
    secondConfiguration: z.string().max(120),
    note: f.note,
  })
  .refine((b) => b.firstDayId !== b.secondDayId, {
    path: ['secondDayId'],
    message: 'A bridge joins two days.',
  })
