import { buildFile, type BuildFile } from '@bold-ballast/contract'
import type { Knex } from 'knex'
import type { WorkshopRow } from '../database/models/WorkshopRow'
import { BuildStore } from './BuildStore'

/** Loads demo builds once in the life of a workshop, through the same check as a person's import. */
export async function loadDemo(
  db: Knex,
  workshop: WorkshopRow,
  demo: { workshop: string; builds: () => BuildFile[] },
): Promise<WorkshopRow> {
  if (workshop.demoLoadedAt) return workshop
  const store = new BuildStore(db, workshop.id)
  for (const file of demo.builds()) await store.add(buildFile.parse(file))
  return workshop.$query(db).patchAndFetch({ name: demo.workshop, demoLoadedAt: new Date().toISOString() })
}
