import {
  FORMAT_VERSION,
  type RecordPlace,
  type Share,
  type SharedAnswer,
  type ShareToAdd,
} from '@bold-ballast/contract'
import { randomBytes } from 'node:crypto'
import type { Knex } from 'knex'
import { ROW_OF } from '../database/rowOf'
import { ShareRow } from '../database/models/ShareRow'
import { notFound, Refusal } from '../http/Refusal'

/** Long enough that nobody guesses it: 192 bits, 32 letters. */
const TOKEN_BYTES = 24
const MOST_OPEN = 100

const asShare = ({ id, stageId, token, createdAt, endsAt, withdrawnAt }: ShareRow): Share => ({
  id,
  stageId,
  token,
  createdAt: createdAt.toISOString(),
  endsAt: endsAt.toISOString(),
  withdrawnAt: withdrawnAt?.toISOString() ?? null,
})

/** @throws {Refusal} 404 for a token nobody gave out, 410 for a link that has ended */
export async function readShared(db: Knex, token: string): Promise<SharedAnswer> {
  const row = await ShareRow.query(db).findOne({ token })
  if (!row) throw notFound('shared sheet')
  if (row.withdrawnAt || row.endsAt.getTime() <= Date.now())
    throw new Refusal(
      ...([410, 'not-found', 'This link has ended'] as const),
      'Whoever sent it can send another.',
    )
  return {
    sheet: row.sheet,
    sharedAt: row.createdAt.toISOString(),
    endsAt: row.endsAt.toISOString(),
  }
}

/** Proof sheets that somebody outside may read, by a link with an end. */
export class ShareStore {
  constructor(
    private readonly db: Knex,
    private readonly workshopId: string,
  ) {}

  async list(buildId: string): Promise<Share[]> {
    const rows = await ShareRow.query(this.db)
      .where({ buildId, workshopId: this.workshopId })
      .orderBy([{ column: 'createdAt', order: 'desc' }, 'id'])
      .limit(500)
    return rows.map(asShare)
  }

  /** @throws {Refusal} 404 for a stage that is not there, 422 where too many links are open */
  async add(buildId: string, { id, stageId, sheet, endsAt }: ShareToAdd): Promise<Share> {
    const { workshopId } = this
    return this.db.transaction(async (trx) => {
      const stage = await ROW_OF.stage.query(trx).findOne({ id: stageId, buildId, workshopId })
      if (!stage) throw notFound('stage')
      const open = await ShareRow.query(trx)
        .where({ buildId, workshopId, withdrawnAt: null })
        .where('endsAt', '>', trx.fn.now())
        .resultSize()
      if (open >= MOST_OPEN)
        throw new Refusal(
          ...([422, 'not-valid', 'Too many links'] as const),
          `${MOST_OPEN} links of this build are open. Withdraw one first.`,
        )
      const token = randomBytes(TOKEN_BYTES).toString('base64url')
      const row = await ShareRow.query(trx)
        .insert({
          id,
          workshopId,
          buildId,
          stageId,
          token,
          sheet,
          endsAt: new Date(endsAt),
          formatVersion: FORMAT_VERSION,
        })
        .returning('*')
      return asShare(row)
    })
  }

  /** It opens nothing from now on; that there was a link stays in the list. */
  async withdraw(buildId: string, id: string): Promise<void> {
    const count = await ShareRow.query(this.db)
      .where({ id, buildId, workshopId: this.workshopId, withdrawnAt: null })
      .patch({ withdrawnAt: new Date() })
    if (count === 0) throw notFound('open link')
  }

  /**
   * The stage or the signed sheet whose id begins so.
   *
   * @param start hex digits
   */
  async placeOf(start: string): Promise<RecordPlace> {
    const begin = (fill: string) =>
      start.padEnd(32, fill).replace(/^(.{8})(.{4})(.{4})(.{4})(.{12})$/, '$1-$2-$3-$4-$5')
    const range = [begin('0'), begin('f')] as const
    const { workshopId } = this
    const seal = await ROW_OF.seal
      .query(this.db)
      .where({ workshopId })
      .whereBetween('id', [...range])
      .first()
      .castTo<{ id: string; buildId: string; stageId: string } | undefined>()
    if (seal) return { buildId: seal.buildId, stageId: seal.stageId, sealId: seal.id }
    const stage = await ROW_OF.stage
      .query(this.db)
      .where({ workshopId })
      .whereBetween('id', [...range])
      .first()
      .castTo<{ id: string; buildId: string } | undefined>()
    if (!stage) throw notFound('record')
    return { buildId: stage.buildId, stageId: stage.id, sealId: null }
  }
}
