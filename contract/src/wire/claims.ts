import * as z from 'zod'
import * as f from '../records/fields'
import { SYSTEMS } from '../records/choices'
import { line } from '../records/line'

/** Guesses and makers' claims of all builds of a workshop that were put on a scale later; kg for one piece. */
export const claimList = z.array(
  z.strictObject({
    build: f.name,
    line: f.id,
    name: line.record.shape.name,
    system: z.enum(SYSTEMS),
    grade: z.enum(['guess', 'claim']),
    source: line.record.shape.source,
    said: f.mass,
    weighed: f.mass,
  }),
)
export type ClaimChecked = z.infer<typeof claimList>[number]
