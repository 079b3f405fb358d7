import type { LogColumns } from '@bold-ballast/contract'
import { columnsOfPacked } from './columnsOfPacked'

/** What is kept beside a log's bytes: how the columns of its file were read, where it came from one, and when that was. */
export type RunLogMore = { readonly columns: LogColumns | null; readonly keptAt: Date }

/** The same of a packed log that is kept now. */
export const runLogMore = async (packed: Buffer): Promise<RunLogMore> => ({
  columns: await columnsOfPacked(packed),
  keptAt: new Date(),
})
