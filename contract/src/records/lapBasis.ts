import * as z from 'zod'
import { DIFFERENTIAL } from './choices'
import { defineKind } from './defineKind'
import { choice, field } from './field'
import * as f from './fields'

const fitted = (label: string, hint: string) =>
  field(
    z
      .strictObject({
        value: field(
          z.number('Type a factor, such as 0.97.').min(0.5, 'From 0.5 to 1.5.').max(1.5, 'From 0.5 to 1.5.'),
          { quantity: 'number', label: 'Factor' },
        ),
        doubt: field(
          z.number('Type a factor’s doubt, such as 0.02.').min(0, 'Not below zero.').max(0.5, 'Over a half.'),
          { quantity: 'number', label: '±' },
        ),
      })
      .nullable(),
    { label, hint },
  )

/** What a lap of the car is worked out with, beside what other rooms say of it: tyres, differential, driver. SI. */
export const lapBasis = defineKind({
  name: 'lapBasis',
  collection: 'lapBases',
  within: 'stage',
  isCarriedOn: true,
  words: { one: 'lap basis', many: 'lap bases' },
  sortedBy: 'id',
  most: 200,
  fields: {
    /** What of its grip a tyre loses where its load doubles. */
    sensitivity: field(
      z
        .number('Type a share, such as 10 %.')
        .min(0, 'A tyre gains no grip by load: from 0 to 40 %.')
        .max(0.4, 'From 0 to 40 %.'),
      {
        quantity: 'share',
        label: 'Grip lost where a tyre’s load doubles',
        hint: '5 to 15 % for racing tyres: common practice',
      },
    ),
    /** On one tyre, N. */
    tyreLoad: field(
      z
        .number('Type a load, such as 3000 N.')
        .min(500, 'From 0.5 to 15 kN.')
        .max(15_000, 'From 0.5 to 15 kN.'),
      { quantity: 'force', label: 'Grip is stated at, on one tyre' },
    ),
    differential: choice(['open', 'limited', 'locked'], DIFFERENTIAL, 'Driven axle'),
    /** Of a limited-slip differential, 0 to 1. */
    lock: field(
      z
        .number('Type a share, such as 40 %.')
        .min(0, 'From 0 to 95 %.')
        .max(0.95, 'From 0 to 95 %.')
        .nullable(),
      { quantity: 'share', label: 'Locks by', hint: 'Of a limited-slip differential' },
    ),
    /** The front axle’s share of the pull of a car driven by all wheels. */
    driveFront: field(f.share.nullable(), {
      label: 'Pull in front',
      hint: 'Of a car driven by all wheels; empty: each axle gets what it holds',
    }),
    /** The front axle’s share of the braking, where nobody typed brakes. */
    brakeFront: field(f.share.nullable(), {
      label: 'Braking in front',
      hint: 'Empty: as the brakes say, or as both axles would lock at once',
    }),
    /** What the driver uses of the braking that is possible. */
    brakingUsed: field(
      z.number('Type a share, such as 90 %.').min(0.2, 'From 20 to 100 %.').max(1, 'From 20 to 100 %.'),
      { quantity: 'share', label: 'Of the braking, the driver uses' },
    ),
    /** What grip and power were multiplied by to make the lap the one that was driven. */
    gripFactor: fitted('Grip, fitted', 'Times the grip that is typed'),
    powerFactor: fitted('Power, fitted', 'Times the power of the curve'),
    note: f.note,
  },
  check: (record) =>
    record.refine((b) => b.differential !== 'limited' || b.lock !== null, {
      path: ['lock'],
      message: 'Say how much a limited-slip differential locks.',
    }),
})
