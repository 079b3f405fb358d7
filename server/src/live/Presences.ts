import type { Present, Whereabouts } from '@bold-ballast/contract'
import type { Knex } from 'knex'

/** Somebody who has not been heard of for so long is not there: a tab says every twenty seconds that it is. */
const GONE_S = 45

/** Who is where, in the database: any server may be asked. */
export class Presences {
  constructor(private readonly db: Knex) {}

  /** @returns whether anything is otherwise than it was */
  async set(
    owner: { workshopId: string; buildId: string },
    { isGone, ...where }: Whereabouts,
    person: { id: string; name: string } | null,
  ): Promise<boolean> {
    if (isGone)
      return (
        (await this.db('presences')
          .where({ ...owner, tab: where.tab })
          .delete()) > 0
      )
    const row = {
      ...owner,
      ...where,
      personId: person?.id ?? null,
      name: person?.name ?? where.name,
      seenAt: new Date(),
    }
    const { rows } = (await this.db.raw(
      `with before as (select * from presences where tab = :tab)
       insert into presences (tab, workshop_id, build_id, person_id, name, room, stage_id, record_id, seen_at)
       select :tab, workshop_id, id, :personId, :name, :room, :stageId::uuid, :recordId::uuid, :seenAt
         from builds where id = :buildId and workshop_id = :workshopId
       on conflict (tab) do update set build_id = excluded.build_id, workshop_id = excluded.workshop_id,
         name = excluded.name, person_id = excluded.person_id, room = excluded.room,
         stage_id = excluded.stage_id, record_id = excluded.record_id, seen_at = excluded.seen_at
       returning not exists (
         select from before where build_id = :buildId and name = :name and room = :room
           and stage_id is not distinct from :stageId::uuid and record_id is not distinct from :recordId::uuid
           and seen_at > now() - interval '${GONE_S} seconds') as is_other`,
      row,
    )) as { rows: { is_other: boolean }[] }
    return rows[0]?.is_other ?? false
  }

  /** Who is in a build now. */
  async of(owner: { workshopId: string; buildId: string }): Promise<Present[]> {
    return (await this.db('presences')
      .where(owner)
      .whereRaw(`seen_at > now() - interval '${GONE_S} seconds'`)
      .orderBy(['name', 'tab'])
      .select('tab', 'name', 'room', 'stageId', 'recordId', 'personId')) as Present[]
  }

  /** Forgets who has gone without a word. */
  async sweep(): Promise<void> {
    await this.db('presences').whereRaw(`seen_at < now() - interval '1 hour'`).delete()
  }
}
