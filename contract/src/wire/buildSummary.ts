import * as z from 'zod'
import * as f from '../records/fields'
import { build } from '../records/build'

const known = z.strictObject({ value: z.number(), sigma: z.number(), grade: f.grade })

/** A car at one moment: power to weight is that power over that mass. */
const carNow = z.strictObject({
  mass: known,
  massFrom: z.enum(['scales', 'books', 'plan']),
  power: known.nullable(),
  powerFrom: z.enum(['dyno', 'plan']).nullable(),
  powerToWeight: known.nullable(),
})

/** Why a build has no figures, or none that mean anything. */
const buildFault = z.discriminatedUnion('why', [
  /** At a stage more has come off than the car weighs; kg. */
  z.strictObject({ why: z.literal('weighsNothing'), stageId: f.id, stage: z.string(), mass: z.number() }),
  /** Its records are there, and can't be worked out; it opens all the same. */
  z.strictObject({ why: z.literal('cantBeSummarised') }),
])
export type BuildFault = z.infer<typeof buildFault>

/** A build as the Garage lists it: computed when asked for, never stored. */
export const buildSummary = build.record
  .pick({ id: true, name: true, car: true, discipline: true, layout: true, units: true })
  .extend({
    stages: z.array(
      z.strictObject({
        id: f.id,
        name: z.string(),
        mass: known,
        massFrom: z.enum(['scales', 'books', 'plan']),
        /** Half done, a stage is two cars; done, they are the same. */
        standing: carNow,
        finished: carNow,
        isDone: z.boolean(),
      }),
    ),
    fault: buildFault.nullable(),
    /** Its figures are those of before its last change, or none yet: new ones are being worked out. */
    isWorkingOut: z.literal(true).optional(),
    marks: z.strictObject({ met: z.int(), missed: z.int(), cantTell: z.int() }),
  })
export type BuildSummary = z.infer<typeof buildSummary>
export const buildList = z.array(buildSummary)

export const workshopInfo = z.strictObject({
  name: f.name,
  /** Where links to shared sheets lead; null where only this machine opens them. */
  shareOrigin: z.url().nullable(),
})
export type WorkshopInfo = z.infer<typeof workshopInfo>
