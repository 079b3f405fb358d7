import { CHANNEL_RANGE, PULL_CHANNELS } from '@bold-ballast/core'
import * as z from 'zod'
import { timeOfDay } from './airReading'
import { PULL_SOURCE, PULL_SOURCES } from './choices'
import { defineKind } from './defineKind'
import { choice, field } from './field'
import * as f from './fields'

const speed = field(
  z
    .number('Type an engine speed, such as 6,500 rpm.')
    .gt(0, 'Engine speed must be above zero.')
    .max(2700, 'Over 25,000 rpm: check the unit.'),
  { quantity: 'engineSpeed', label: 'Engine speed' },
)
const torque = field(
  z
    .number('Type a torque, such as 240 N·m.')
    .min(-20_000, 'Over 20,000 N·m the other way: check the unit.')
    .max(20_000, 'Over 20,000 N·m: check the unit.'),
  { quantity: 'torque', label: 'Torque' },
)

const [LOWEST, HIGHEST] = [
  Math.min(...PULL_CHANNELS.map((c) => CHANNEL_RANGE[c][0])),
  Math.max(...PULL_CHANNELS.map((c) => CHANNEL_RANGE[c][1])),
]
const channels = z.partialRecord(
  z.enum(PULL_CHANNELS),
  z.array(z.number().min(LOWEST).max(HIGHEST).nullable()).max(2000),
)

/** One dyno run, as its sheet or file gives it: a curve, or typed peaks. Engine speed in rad/s. */
export const pull = defineKind({
  name: 'pull',
  within: 'dynoDay',
  isLogged: true,
  words: { one: 'pull', many: 'pulls' },
  sortedBy: 'order',
  most: 5000,
  fields: {
    name: field(f.name, { label: 'Name of the pull' }),
    /** What was on the car: pulls of the same configuration are repeats. */
    configuration: field(f.words('Configuration', 120), {
      hint: 'What was on the car: “long runners”. Pulls of one configuration are repeats.',
    }),
    time: field(timeOfDay, { label: 'Made at', hint: 'Sets which air counts' }),
    source: choice(PULL_SOURCES, PULL_SOURCE, 'From'),
    order: f.order,
    grade: field(f.grade, { hint: 'A sheet somebody gave you is a claim' }),
    standsForStage: field(z.boolean(), { label: 'This pull stands for the stage' }),
    points: field(
      z.array(z.strictObject({ speed, torque })).max(2000, 'At most 2,000 points a pull.').nullable(),
      {
        label: 'Curve',
        many: 'points',
      },
    ),
    /** As many values as points, null where there is a gap. */
    channels: field(channels.nullable(), { label: 'Channels', whole: 'what was logged beside' }),
    peakPower: field(f.watts.nullable(), { label: 'Peak power', hint: 'As the sheet gives it' }),
    peakPowerSpeed: field(speed.nullable(), { label: 'Peak power at' }),
    peakTorque: field(torque.gt(0, 'A peak torque is above zero.').nullable(), { label: 'Peak torque' }),
    peakTorqueSpeed: field(speed.nullable(), { label: 'Peak torque at' }),
    note: field(f.note, { hint: 'What was changed' }),
  },
  check: (record) =>
    record
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
      }),
})
