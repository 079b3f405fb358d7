import { LOG_COLUMNS } from '@bold-ballast/core'
import * as z from 'zod'
import * as f from '../records/fields'

/** Of a packed log: see docs/logs.md. */
export const RUN_LOG_TYPE = 'application/vnd.bold-ballast.log'

/** Of which runs of a build there are logs, with how large each is, packed, and its SHA-256. */
export const runLogList = z.array(z.strictObject({ runId: f.id, bytes: z.int(), sha256: z.string() }))
export type RunLogList = z.infer<typeof runLogList>

/** What the columns of a logger's file were said to be, by their titles; null for one that is kept by its name. */
export const logColumns = z
  .strictObject({
    titles: z.array(z.string().max(300)).max(100),
    columns: z.array(z.enum(LOG_COLUMNS.filter((c) => c !== null)).nullable()).max(100),
  })
  .refine(({ titles, columns }) => titles.length === columns.length, 'Each title has one column.')
export type LogColumns = z.infer<typeof logColumns>

/** How loggers' files were read in a workshop, the newest first. */
export const logColumnsList = z.array(logColumns)
