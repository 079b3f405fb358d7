import { CHANNEL_RANGE, DYNO_KINDS, PULL_CHANNELS, PULL_ROLES } from '@bold-ballast/core'
import * as z from 'zod'
import * as f from './fields'

const timeOfDay = z
  .string('Write a time as 14:30.')
  .regex(/^([01]\d|2[0-3]):[0-5]\d$/, 'Write a time as 14:30.')
  .nullable()

/** The air as somebody read it at the dyno. */
/** The air as somebody read it. */
export const ambient = z.strictObject({
  temperature: z
    .number('Type a temperature, such as 19 °C.')
    .min(223, 'Below −50 °C: check the unit.')
    .max(343, 'Above 70 °C: check the unit.'),
  pressure: z
    .number('Type what the barometer reads, such as 101.2 kPa.')
    .min(50_000, 'Below 50 kPa: check the unit.')
    .max(115_000, 'Above 115 kPa: is that gauge pressure?'),
  humidity: f.share,
})
const airReading = ambient.extend({ time: timeOfDay })

export const BOOST_CONTROLS = ['none', 'spring', 'controlled'] as const
export const PULL_SOURCES = ['file', 'peaks', 'points', 'photo', 'live'] as const

/** What the log of a pull should stay within. */
const limits = z
  .strictObject({
    richest: z.number('Type a λ, such as 0.75.').min(0.4, 'Below λ 0.4 nothing burns.').max(2, 'Over λ 2.'),
    leanest: z.number('Type a λ, such as 0.9.').min(0.4, 'Below λ 0.4 nothing burns.').max(2, 'Over λ 2.'),
    /** Pa for every 1,000 rpm. */
    oilPer1000: z
      .number('Type a pressure, such as 0.7 bar.')
      .min(0, 'A pressure can’t be below zero.')
      .max(3e5, 'Over 3 bar for 1,000 rpm: check the unit.'),
    /** K */
    coolant: z
      .number('Type a temperature, such as 70 °C.')
      .min(273, 'Below freezing: check the unit.')
      .max(423, 'Above 150 °C: check the unit.'),
  })
  .refine((l) => l.leanest > l.richest, {
    path: ['leanest'],
    message: 'The leanest λ lies above the richest.',
  })

/** Which column of this dyno's files holds what, so that the next file needn't be matched again. */
const sheetColumns = z.strictObject({
  columns: z.partialRecord(
    z.enum(PULL_ROLES),
    z.strictObject({ title: z.string().max(200), unit: z.string().max(20).nullable() }),
  ),
  decimal: z.enum(['.', ',']),
})
export type SheetColumns = z.infer<typeof sheetColumns>
export const dynoColumns = sheetColumns

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
  boostControl: z.enum(BOOST_CONTROLS, 'Choose how boost is held.'),
  /** The gear of the pulls, counted from 1. */
  gear: z
    .int('Type a gear, such as 4.')
    .min(1, 'Gears count from 1.')
    .max(10, 'At most the tenth gear.')
    .nullable(),
  air: z.array(airReading).max(48, 'At most 48 readings a day.'),
  /** The correction the sheet was printed under. */
  sheetCorrection: f.correction,
  /** `null` takes the usual ones. */
  limits: limits.nullable(),
  sheetColumns: sheetColumns.nullable(),
  note: f.note,
})

const speed = z
  .number('Type an engine speed, such as 6,500 rpm.')
  .gt(0, 'Engine speed must be above zero.')
  .max(2700, 'Over 25,000 rpm: check the unit.')
const torque = z
  .number('Type a torque, such as 240 N·m.')
  .min(-20_000, 'Over 20,000 N·m the other way: check the unit.')
  .max(20_000, 'Over 20,000 N·m: check the unit.')

const [LOWEST, HIGHEST] = [
  Math.min(...PULL_CHANNELS.map((c) => CHANNEL_RANGE[c][0])),
  Math.max(...PULL_CHANNELS.map((c) => CHANNEL_RANGE[c][1])),
]
const channels = z.partialRecord(
  z.enum(PULL_CHANNELS),
  z.array(z.number().min(LOWEST).max(HIGHEST).nullable()).max(2000),
)

/** One dyno run, as its sheet or file gives it: a curve, or typed peaks. Engine speed in rad/s. */
export const pullRecord = z
  .strictObject({
    id: f.id,
    dynoDayId: f.id,
    name: f.name,
    /** What was on the car: pulls of the same configuration are repeats. */
    configuration: z.string().trim().max(120, 'Keep it under 120 characters.'),
    time: timeOfDay,
    source: z.enum(PULL_SOURCES),
    order: f.order,
    grade: f.grade,
    standsForStage: z.boolean(),
    points: z.array(z.strictObject({ speed, torque })).max(2000, 'At most 2,000 points a pull.').nullable(),
    /** As many values as points, null where there is a gap. */
    channels: channels.nullable(),
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
  .refine((p) => Object.values(p.channels ?? {}).every((values) => values?.length === p.points?.length), {
    path: ['channels'],
    message: 'Each channel has one value a point.',
  })
  .refine((p) => p.source !== 'photo' || p.grade === 'claim' || p.grade === 'guess', {
    path: ['grade'],
    message: 'A curve taken off a photograph is a claim, or a guess.',
  })
