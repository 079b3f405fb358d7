import type { AlreadyHere, WorkshopImported } from '@bold-ballast/contract'
import type { Knex } from 'knex'
import { importWorkshop, readyLines } from './importWorkshop'
import { oneAhead } from './oneAhead'
import { readWorkshopFile } from './readWorkshopFile'

class LookedThrough extends Error {
  constructor(readonly report: Omit<WorkshopImported, 'isDone'>) {
    super('looked through')
  }
}

/** Takes a packed workshop file in, all or none; or only looks it through, in a transaction that is taken back. */
export async function unpackWorkshop(
  db: Knex,
  given: { workshopId: string; path: string; here: AlreadyHere; look: boolean },
): Promise<WorkshopImported> {
  const { workshopId, path, here, look } = given
  try {
    const report = await db.transaction(async (trx) => {
      const lines = oneAhead(readyLines(readWorkshopFile(path), workshopId))
      const found = await importWorkshop(trx, workshopId, lines, here)
      if (look) throw new LookedThrough(found)
      return found
    })
    return { ...report, isDone: true }
  } catch (error) {
    if (!(error instanceof LookedThrough)) throw error
    return { ...error.report, isDone: false }
  }
}
