import * as z from 'zod'
import * as f from '../records/fields'
import { RECORDS } from '../records/kinds'

/** Of every build of the workshop what tells how its work goes: its jobs, waits and parts to come, and what came off and was kept. */
export const workLibrary = z.array(
  z.strictObject({
    buildId: f.id,
    build: f.name,
    stages: z.array(z.strictObject({ id: f.id, name: f.name })),
    jobs: z.array(RECORDS.job),
    waits: z.array(RECORDS.wait),
    parts: z.array(RECORDS.part),
    stored: z.array(RECORDS.line),
  }),
)
export type WorkOfBuild = z.infer<typeof workLibrary>[number]
