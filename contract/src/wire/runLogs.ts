import * as z from 'zod'
import * as f from '../records/fields'

/** Of a packed log: see docs/logs.md. */
export const RUN_LOG_TYPE = 'application/vnd.bold-ballast.log'

/** Of which runs of a build there are logs, with how large each is, packed. */
export const runLogList = z.array(z.strictObject({ runId: f.id, bytes: z.int() }))
export type RunLogList = z.infer<typeof runLogList>
