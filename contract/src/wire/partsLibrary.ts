import * as z from 'zod'
import * as f from '../records/fields'
import { SYSTEMS } from '../records/choices'

/** A part that the workshop has weighed once, in whichever build. */
export const weighedPart = z.strictObject({
  lineId: f.id,
  name: f.name,
  system: z.enum(SYSTEMS),
  mass: f.mass,
  sigma: f.sigma,
  grade: f.grade,
  build: f.name,
  stage: f.name,
  /** When its line was last changed. */
  on: f.date,
})
export type WeighedPart = z.infer<typeof weighedPart>
export const partsList = z.array(weighedPart)
