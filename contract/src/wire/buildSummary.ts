import * as z from 'zod'
import * as f from '../records/fields'
import { buildRecord } from '../records/build'

const known = z.strictObject({ value: z.number(), sigma: z.number(), grade: f.grade })

/** A car at one moment: power to weight is that power over that mass. */
const carNow = z.strictObject({
  mass: known,
  massFrom: z.enum(['scales', 'books', 'plan']),
  power: known.nullable(),
  powerFrom: z.enum(['dyno', 'plan']).nullable(),
  powerToWeight: known.nullable(),
})

/** A build as the Garage lists it: computed when asked for, never stored. */
export const buildSummary = buildRecord
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
