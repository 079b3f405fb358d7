import { DYNO_KINDS } from '@bold-ballast/core'
import * as z from 'zod'
import * as f from './fields'

const pad = z
  .number('Type what the pad reads, such as 232 kg.')
  .min(0, 'A pad can’t read below zero: set its zero first.')
  .max(5000, 'That is over 5 t on one wheel: check the unit.')
const pascal = z
  .number()
  .min(0, 'A pressure can’t be below zero.')
  .max(1e6, 'That is over 10 bar: check the unit.')

/** A whole-car weighing on four pads. Readings in kg. */
export const weighInRecord = z
  .strictObject({
    id: f.id,
    stageId: f.id,
    date: f.date,
    corners: f.corners(pad),
    /** Smallest step of a pad, kg. */
    resolution: z
      .number()
      .gt(0, 'A pad has a step above zero, such as 0.5 kg.')
      .max(50, 'That step is too coarse to weigh a car.'),
    /** Standard error of a pad as a share of its reading. */
    accuracy: z.number().min(0, 'An accuracy can’t be below zero.').max(0.2, 'Over 20 % is no scale.'),
    condition: z.strictObject({ fuel: f.volume, driver: f.mass }),
    tyrePressures: f.corners(pascal).nullable(),
    note: f.note,
  })
  .refine((w) => Object.values(w.corners).reduce((a, b) => a + b, 0) > 0, {
    path: ['corners'],
    message: 'The four pads add up to zero. Type what they read with the car on them.',
  })
  .refine((w) => w.condition.driver < Object.values(w.corners).reduce((a, b) => a + b, 0), {
    path: ['condition', 'driver'],
    message: 'The driver weighs more than everything on the pads. Check the unit.',
  })

const ambient = z.strictObject({
  temperature: z.number().min(223, 'Below −50 °C: check the unit.').max(343, 'Above 70 °C: check the unit.'),
  pressure: z
    .number()
    .min(50_000, 'Below 50 kPa: check the unit.')
    .max(115_000, 'Above 115 kPa: is that gauge pressure?'),
  humidity: f.share,
})

/** A session of pulls on one dyno. */
export const dynoDayRecord = z.strictObject({
  id: f.id,
  stageId: f.id,
  date: f.date,
  dyno: f.name,
  kind: z.enum(DYNO_KINDS, 'Choose the kind of dyno.'),
  /** Standard deviation of repeats as a share of the figure. */
  repeatability: z
    .number()
    .gt(0, 'No dyno repeats exactly; 1.5 % is usual.')
    .max(0.2, 'Over 20 % proves nothing.'),
  fuel: z.string().trim().max(80, 'Keep it under 80 characters.'),
  /** Measured ethanol by volume; `null` when nobody measured it. */
  ethanol: f.share.nullable(),
  ambient: ambient.nullable(),
  /** The correction the sheet was printed under. */
  sheetCorrection: f.correction,
  note: f.note,
})

const speed = z
  .number()
  .gt(0, 'Engine speed must be above zero.')
  .max(2700, 'Over 25,000 rpm: check the unit.')
const torque = z
  .number()
  .min(-20_000, 'Over 20,000 N·m the other way: check the unit.')
  .max(20_000, 'Over 20,000 N·m: check the unit.')

/** One dyno run, as its sheet or file gives it: a curve, or typed peaks. Engine speed in rad/s. */
export const pullRecord = z
  .strictObject({
    id: f.id,
    dynoDayId: f.id,
    name: f.name,
    order: f.order,
    grade: f.grade,
    standsForStage: z.boolean(),
    points: z.array(z.strictObject({ speed, torque })).max(2000, 'At most 2,000 points a pull.').nullable(),
    peakPower: f.watts.nullable(),
    peakPowerSpeed: speed.nullable(),
    peakTorque: torque.gt(0, 'A peak torque is above zero.').nullable(),
    peakTorqueSpeed: speed.nullable(),
    note: f.note,
  })
  .refine((p) => (p.points && p.points.length > 0) || p.peakPower !== null, {
    path: ['peakPower'],
    message: 'A pull needs a curve or at least its peak power.',
  })
