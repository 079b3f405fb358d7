import * as z from 'zod'
import { defineKind } from './defineKind'
import { field } from './field'
import * as f from './fields'

const length = (most: number) =>
  field(
    z
      .number('Type a length, such as 1.32 m.')
      .min(0, 'A length can’t be below zero.')
      .max(most, `Over ${most} m: check the unit.`)
      .nullable(),
    { quantity: 'length' },
  )

/** From an axle to the end of the body: no car reaches so far beyond its own. */
const beyond = (axle: 'front' | 'rear', other: 'front' | 'rear') =>
  field(
    z
      .number('Type a length, such as 0.86 m.')
      .min(0, 'A length can’t be below zero.')
      .max(
        2,
        `Over 2 m from the ${axle} axle: check the unit. If it was measured from the ${other} axle, take the wheelbase off.`,
      )
      .nullable(),
    { quantity: 'length' },
  )

/** What a scrutineer measures and no other room knows, and the class that a stage is built for. SI. */
export const scrutiny = defineKind({
  name: 'scrutiny',
  collection: 'scrutinies',
  within: 'stage',
  isCarriedOn: true,
  isLogged: true,
  words: { one: 'scrutiny', many: 'scrutinies' },
  sortedBy: 'id',
  most: 200,
  fields: {
    rulebookId: f.linkTo('rulebook', 'Class'),
    roofHeight: field(length(2.5), { label: 'Roof, above the ground' }),
    /** Outline of the bumpers: ahead of the front axle, behind the rear one. */
    bumperFront: field(beyond('front', 'rear'), { label: 'Front bumper, ahead of the front axle' }),
    bumperRear: field(beyond('rear', 'front'), { label: 'Rear bumper, behind the rear axle' }),
    overallWidth: field(length(3), { label: 'Overall width' }),
    groundClearance: field(length(0.6), { label: 'Ground clearance', hint: 'Without splitter and floor' }),
    tyreWidth: field(length(0.6), { label: 'Tyre, widest', unit: 'mm' }),
    cageOutside: field(length(0.1), { label: 'Cage tube, outside', unit: 'mm' }),
    cageWall: field(length(0.02), { label: 'Cage tube, wall', unit: 'mm' }),
    /** dB(A), as the event measures it. */
    noise: field(
      z
        .number('Type a figure in dB, such as 98.')
        .min(30, 'From 30 to 150 dB.')
        .max(150, 'From 30 to 150 dB.')
        .nullable(),
      { quantity: 'number', label: 'Noise, dB(A)', hint: 'As the event measures it' },
    ),
    note: f.note,
  },
})
