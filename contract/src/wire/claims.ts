import * as z from 'zod'
import * as f from '../records/fields'
import { lineRecord, SYSTEMS } from '../records/ledger'

/** Guesses and makers' claims of all builds of a workshop that were put on a scale later; kg for one piece. */
export const claimList = z.array(
  z.strictObject({
    build: f.name,
    line: f.id,
    name: lineRecord.shape.name,
    system: z.enum(SYSTEMS),
    grade: z.enum(['guess', 'claim']),
    source: lineRecord.shape.source,
    said: f.mass,
    weighed: f.mass,
  }),
)
export type ClaimChecked = z.infer<typeof claimList>[number]
