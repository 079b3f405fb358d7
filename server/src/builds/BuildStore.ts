import {
  fileOf,
  FORMAT_VERSION,
  HOMECOMING_FORMAT,
  type AlongList,
  type BuildDocument,
  type EditResult,
  type HomecomingFile,
  type HomecomingResult,
} from '@bold-ballast/contract'
import type { Knex } from 'knex'
import { ROW_OF } from '../database/rowOf'
import type { Hand } from '../access/Caller'
import type { HeavyWork } from '../heavy/HeavyWork'
import { notFound } from '../http/Refusal'
import { tell } from '../live/Signals'
import { buildAt } from './buildAt'
import { buildFileText } from './buildFileText'
import { BuildSummaries } from './BuildSummaries'
import { withoutMoneyText, type BuildTexts, type Sees } from './BuildTexts'
import { readBuildText } from './readBuildText'
import { cameAs, takeHome } from './takeHome'
import { takeBuild, takeEdits } from './takeIn'

/** Bytes from which on a build, or a batch of edits, is read in another thread: some ten milliseconds' worth. */
const LARGE = 500_000

/** The builds of one workshop: read whole, changed by batches, all in transactions. */
export class BuildStore {
  private readonly summaries: BuildSummaries

  constructor(
    private readonly db: Knex,
    private readonly workshopId: string,
    private readonly heavy: HeavyWork,
    private readonly texts: BuildTexts,
  ) {
    this.summaries = new BuildSummaries(
      db,
      workshopId,
      (owner) => heavy.run('keepSummary', owner),
      () => void this.tellOfBuilds().catch(() => undefined),
    )
  }

  /** One build as JSON, all of it as of one moment. */
  async text(buildId: string, sees: Sees): Promise<Buffer> {
    const text = await this.texts.read(this.owner(buildId), sees)
    if (!text) throw notFound('build')
    return text
  }

  /** The summaries of all builds as JSON. */
  list(): Promise<Buffer> {
    return this.summaries.list()
  }

  async file(buildId: string): Promise<{ name: string; text: string }> {
    const owner = this.owner(buildId)
    return (await this.isLarge(buildId))
      ? this.heavy.run('buildFileText', owner)
      : buildFileText(this.db, owner)
  }

  /** The build as it was after a batch, or at a time, as JSON. */
  async at(buildId: string, moment: string | Date, sees: Sees): Promise<string> {
    const owner = this.owner(buildId)
    const text = await ((await this.isLarge(buildId))
      ? this.heavy.run('buildAt', { owner, moment })
      : buildAt(this.db, owner, moment))
    return sees === 'all' ? text : withoutMoneyText(text)
  }

  /**
   * Adds the build of a body.
   *
   * @returns its id, and its summary as JSON
   */
  async add(body: Buffer, isAlong: boolean, signal: AbortSignal): Promise<{ id: string; summary: string }> {
    const { workshopId } = this
    const added = await (body.length > LARGE
      ? this.heavy.run('takeBuild', { workshopId, body, isAlong }, signal)
      : takeBuild(this.db, workshopId, body, isAlong))
    await this.tellOfBuilds()
    return added
  }

  async remove(buildId: string): Promise<void> {
    const count = await ROW_OF.build
      .query(this.db)
      .delete()
      .where({ id: buildId, workshopId: this.workshopId })
    if (count === 0) throw notFound('build')
    await this.tellOfBuilds()
  }

  /** Carries out the edits of a body. */
  edit(buildId: string, body: Buffer, by: Hand, signal: AbortSignal): Promise<EditResult> {
    const owner = this.owner(buildId)
    return body.length > LARGE
      ? this.heavy.run('takeEdits', { owner, body, by }, signal)
      : takeEdits(this.db, owner, body, by)
  }

  /** Builds that were taken along from elsewhere. */
  async along(): Promise<AlongList> {
    const rows = (await this.db('taken_along')
      .where({ workshopId: this.workshopId })
      .orderBy('takenAt')
      .select('buildId', 'takenAt')) as { buildId: string; takenAt: Date }[]
    return rows.map(({ buildId, takenAt }) => ({ buildId, takenAt: takenAt.toISOString() }))
  }

  /** A build that was taken along, to be brought home: as it was taken, and as it is. */
  async homecoming(buildId: string, from: string): Promise<{ name: string; file: HomecomingFile }> {
    const owner = this.owner(buildId)
    const base = await cameAs(this.db, owner)
    const read = await readBuildText(this.db, owner)
    if (!base || !read) throw notFound('build that was taken along')
    const mine = fileOf(JSON.parse(read.text) as BuildDocument)
    const file: HomecomingFile = {
      format: HOMECOMING_FORMAT,
      formatVersion: FORMAT_VERSION,
      from,
      at: new Date().toISOString(),
      base,
      mine,
      photographs: [],
      pictures: [],
      logs: [],
    }
    return { name: mine.build.name, file }
  }

  /** Takes over what was done to a build elsewhere. */
  takeHome(buildId: string, body: Buffer, by: Hand, signal: AbortSignal): Promise<HomecomingResult> {
    const owner = this.owner(buildId)
    return body.length > LARGE
      ? this.heavy.run('takeHome', { owner, body, by }, signal)
      : takeHome(this.db, owner, body, by)
  }

  /** Another build came, or one went. */
  private tellOfBuilds(): Promise<void> {
    return tell(this.db, { kind: 'builds', workshopId: this.workshopId })
  }

  private owner(buildId: string): { workshopId: string; buildId: string } {
    return { workshopId: this.workshopId, buildId }
  }

  /** By what its longest parts take in the database, which is far quicker to ask for than to read. */
  private async isLarge(buildId: string): Promise<boolean> {
    const { rows } = (await this.db.raw(
      `select (select coalesce(sum(pg_column_size(points)), 0) from pulls where build_id = :buildId)
            + (select 300 * count(*) from lines where build_id = :buildId)
            + (select coalesce(sum(pg_column_size(edits)), 0) from branches where build_id = :buildId) as bytes`,
      { buildId },
    )) as { rows: { bytes: string }[] }
    return Number(rows[0]?.bytes ?? 0) > LARGE
  }
}
