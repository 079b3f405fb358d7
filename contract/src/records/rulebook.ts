import { RULE_MEASURES, type RuleMeasure } from '@bold-ballast/core'
import * as z from 'zod'
import * as f from './fields'

const MEASURES = Object.keys(RULE_MEASURES) as [RuleMeasure, ...RuleMeasure[]]

/** The rules of a class as the builder read them, dated: the organiser's own book decides. Limits in SI. */
export const rulebookRecord = z.strictObject({
  id: f.id,
  name: f.name,
  order: f.order,
  date: f.date,
  edition: z.string().trim().max(60, 'Keep it under 60 characters.'),
  rules: z
    .array(
      z.strictObject({
        id: f.id,
        measure: z.enum(MEASURES, 'Choose what is limited.'),
        comparator: z.enum(['atMost', 'atLeast'], 'Choose at most or at least.'),
        limit: z.number('Type the limit.').min(-10, 'Check the unit.').max(1e7, 'Check the unit.'),
        wording: z.string().trim().max(400, 'Keep it under 400 characters.'),
        clause: z.string().trim().max(60, 'Keep it under 60 characters.'),
      }),
    )
    .max(80, 'At most 80 rules.'),
  note: f.note,
})

const length = (most: number) =>
  z
    .number('Type a length, such as 1.32 m.')
    .min(0, 'A length can’t be below zero.')
    .max(most, `Over ${most} m: check the unit.`)
    .nullable()

/** What a scrutineer measures and no other room knows, and the class that a stage is built for; carried on. SI. */
export const scrutinyRecord = z.strictObject({
  id: f.id,
  stageId: f.id,
  rulebookId: f.id.nullable(),
  roofHeight: length(2.5),
  /** Outline of the bumpers: ahead of the front axle, behind the rear one. */
  bumperFront: length(2),
  bumperRear: length(2),
  overallWidth: length(3),
  groundClearance: length(0.6),
  tyreWidth: length(0.6),
  cageOutside: length(0.1),
  cageWall: length(0.02),
  /** dB(A), as the event measures it. */
  noise: z
    .number('Type a figure in dB, such as 98.')
    .min(30, 'From 30 to 150 dB.')
    .max(150, 'From 30 to 150 dB.')
    .nullable(),
  note: f.note,
})
