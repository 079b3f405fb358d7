import {
  may,
  RUN_LOG_TYPE,
  type BuildAtHome,
  type BuildFile,
  type Home,
  type Homeward,
  type HomewardResult,
} from '@bold-ballast/contract'
import { randomUUID } from 'node:crypto'
import type { Knex } from 'knex'
import type { BuildStore } from '../builds/BuildStore'
import type { HeavyWork } from '../heavy/HeavyWork'
import { notFound, Refusal } from '../http/Refusal'
import type { BesideFile, BesideStore } from '../beside/BesideStore'
import { runLogMore, type RunLogMore } from '../logs/runLogMore'
import type { PhotoMore } from '../photos/photoRoutes'
import { authorityAt, away, HomeLine, NONE, signedOut, type HomeAddress } from './HomeLine'

interface Kept extends HomeAddress {
  readonly id: string
  readonly person: string
  readonly createdAt: Date
}
/** The SHA-256 of each file, by its record. */
type Digests = Readonly<Record<string, string>>

/** Files of another server that lie beside records: where they are listed, and how one is asked for. */
interface BesideAway {
  readonly list: 'photos' | 'pictures' | 'logs'
  readonly at: (buildId: string, recordId: string) => string
}
const PHOTO_FILES: BesideAway = {
  list: 'photos',
  at: (buildId, lineId) => `/builds/${buildId}/lines/${lineId}/photo`,
}
const PICTURE_FILES: BesideAway = {
  list: 'pictures',
  at: (buildId, pictureId) => `/builds/${buildId}/pictures/${pictureId}/photo`,
}
const LOG_FILES: BesideAway = {
  list: 'logs',
  at: (buildId, runId) => `/builds/${buildId}/runs/${runId}/log`,
}
/**
 * What is said of a link that led to no pairing, whatever answered there or didn't: before somebody is known there, nothing
 * is told of what is on a network, and nothing quoted.
 */
const NOT_PAIRED =
  'This link led to no workshop that could be paired with. It works once and for five minutes, its garage has to be open, and this machine on the same network. Take a new link there, and copy it by the button, with its end.'

interface Fetched {
  readonly digests: Digests
  readonly files: readonly { readonly recordId: string; readonly type: string; readonly bytes: Buffer }[]
}

/** Somebody else's, another than was seen, or frozen there. */
const STAYS: readonly number[] = [403, 409, 422]
const MOST_HOMES = 20
const digestsOf = (list: readonly { readonly recordId: string; readonly sha256: string }[]): Digests =>
  Object.fromEntries(list.map(({ recordId, sha256 }) => [recordId, sha256]))
const shown = ({ id, origin, person, createdAt }: Kept): Home => ({
  id,
  origin,
  person,
  since: createdAt.toISOString(),
})

/**
 * Other workshops' servers on the network, which builds are taken along from and brought home to. This installation is
 * signed in there as somebody, like a phone of theirs: what it may do there is what they may, and they can end it.
 */
export class HomeStore {
  constructor(
    private readonly db: Knex,
    private readonly workshopId: string,
    private readonly builds: BuildStore,
    private readonly heavy: HeavyWork,
    private readonly beside: {
      readonly photos: BesideStore<PhotoMore>
      readonly pictures: BesideStore<PhotoMore>
      readonly logs: BesideStore<RunLogMore>
    },
  ) {}

  async list(): Promise<Home[]> {
    return ((await this.rows().orderBy('createdAt')) as Kept[]).map(shown)
  }

  /** Signs in at another server, by a link that it gave out. */
  async add(link: string): Promise<Home> {
    if ((await this.list()).length >= MOST_HOMES)
      throw new Refusal(422, 'not-valid', 'Too many workshops', 'Forget one that isn’t used any more first.')
    const row = await this.pairBy(link).catch((error: unknown) => {
      throw error instanceof Refusal && error.type === 'not-valid' ? error : away(NOT_PAIRED)
    })
    await this.db('homes').insert({ ...row, workshopId: this.workshopId })
    return shown(row)
  }

  private async pairBy(link: string): Promise<Kept> {
    const { origin, pathname, hash } = new URL(link)
    const authority = hash ? await authorityAt(origin, hash.slice(1)) : null
    const token = pathname.slice(pathname.lastIndexOf('/') + 1)
    const line = new HomeLine({ origin, authority, cookie: '' }, this.heavy)
    const opens = await line.read(`/passes/${token}`, 'opens')
    if (opens.kind !== 'pairing')
      throw new Refusal(
        422,
        'not-valid',
        'Another kind of link',
        'This link is for somebody to join, or for a new password. A link that pairs is made there under Crew, You.',
      )
    const said = await line.ask(`/passes/${token}`, { method: 'POST', body: Buffer.from('{}') })
    const cookie = said.cookies.map((one) => one.split(';')[0] ?? '').find((one) => one.includes('='))
    const who = (await line.readAs('me', said.body))?.person
    if (!cookie || !who) throw away(NOT_PAIRED)
    return { id: randomUUID(), origin, authority, cookie, person: who.name, createdAt: new Date() }
  }

  /** Signs out there, where that can be said now, and forgets it. */
  async remove(id: string): Promise<void> {
    const home = await this.home(id)
    await new HomeLine(home, this.heavy)
      .ask('/sign-out', { method: 'POST', body: Buffer.from('{}') })
      .catch(() => null)
    await this.rows().where({ id }).delete()
  }

  /** The builds there that may be taken along. */
  async buildsAt(id: string): Promise<BuildAtHome[]> {
    const line = new HomeLine(await this.home(id), this.heavy)
    const { person, workshops } = await line.read('/me', 'me')
    if (!person) throw signedOut()
    const lists = await Promise.all(
      workshops
        .filter(({ role }) => may(role, 'export'))
        .map(async ({ id: workshop, name }) =>
          (await line.read(`/workshops/${workshop}/builds`, 'builds', { isLarge: true })).map((build) => ({
            id: build.id,
            name: build.name,
            workshop: name,
          })),
        ),
    )
    const there = lists.flat()
    const here = (await this.db('builds')
      .where({ workshopId: this.workshopId })
      .whereIn(
        'id',
        there.map((build) => build.id),
      )
      .select('id')) as { id: string }[]
    const ids = new Set(here.map((row) => row.id))
    return there.map((build) => ({ ...build, isHere: ids.has(build.id) }))
  }

  /** A build as it is there. */
  async file(id: string, buildId: string): Promise<BuildFile> {
    const line = new HomeLine(await this.home(id), this.heavy)
    const file = await line.read(`/builds/${buildId}/file`, 'build', { isLarge: true })
    if (file.build.id !== buildId) throw away('It sends a build that this version can’t read.')
    return file
  }

  /** Takes a build along, with its photographs, pictures and logs. */
  async take(id: string, buildId: string, signal: AbortSignal): Promise<string> {
    const line = new HomeLine(await this.home(id), this.heavy)
    const { body } = await line.ask(`/builds/${buildId}/file`, { isLarge: true })
    // All of it is here before any of it is taken: a line that breaks leaves nothing half done.
    const taken = await this.fetched(line, buildId, PHOTO_FILES)
    const shown = await this.fetched(line, buildId, PICTURE_FILES)
    const recorded = await this.fetched(line, buildId, LOG_FILES)
    const added = await this.builds.add(body, true, signal)
    const { photos, pictures, logs } = this.beside
    for (const { recordId, type, bytes } of taken.files) await photos.keep(buildId, recordId, bytes, { type })
    for (const { recordId, type, bytes } of shown.files)
      await pictures.keep(buildId, recordId, bytes, { type })
    for (const { recordId, bytes } of recorded.files)
      await logs.keep(buildId, recordId, bytes, await runLogMore(bytes))
    await this.noteTaken(buildId, PHOTO_FILES, taken.digests)
    await this.noteTaken(buildId, PICTURE_FILES, shown.digests)
    await this.noteTaken(buildId, LOG_FILES, recorded.digests)
    return added.summary
  }

  /** Brings a build home: what was done here, and the photographs and logs that were made here. */
  async bring(
    id: string,
    buildId: string,
    from: string,
    { look, ...chosen }: Homeward,
  ): Promise<HomewardResult> {
    const line = new HomeLine(await this.home(id), this.heavy)
    const { file } = await this.builds.homecoming(buildId, from)
    const { base, mine } = file
    const result = await line.read(`/builds/${buildId}/homecoming`, 'homecoming', {
      method: 'POST',
      isLarge: true,
      body: Buffer.from(JSON.stringify({ ...chosen, look, from, base, mine })),
    })
    const none = { brought: 0, stayed: 0 }
    if (!result.isDone) return { result, photographs: none, pictures: none, logs: none }
    const { photos, pictures, logs } = this.beside
    return {
      result,
      photographs: await this.bringFiles(line, buildId, PHOTO_FILES, photos, ({ type }) => type),
      pictures: await this.bringFiles(line, buildId, PICTURE_FILES, pictures, ({ type }) => type),
      logs: await this.bringFiles(line, buildId, LOG_FILES, logs, () => RUN_LOG_TYPE),
    }
  }

  private async fetched(line: HomeLine, buildId: string, { list, at }: BesideAway): Promise<Fetched> {
    const digests = digestsOf(await line.read(`/builds/${buildId}/${list}`, list))
    const files: Fetched['files'][number][] = []
    for (const recordId of Object.keys(digests)) {
      const { status, type, body: bytes } = await line.ask(at(buildId, recordId), { isLarge: true })
      // One that was taken away meanwhile is none.
      if (status === 200) files.push({ recordId, type, bytes })
    }
    return { digests, files }
  }

  /** Those that were made here; where home has another too, both stay where they are. */
  private async bringFiles<More extends Readonly<Record<string, unknown>>>(
    line: HomeLine,
    buildId: string,
    away: BesideAway,
    store: BesideStore<More>,
    typeOf: (file: BesideFile<More>) => string,
  ): Promise<HomewardResult['photographs']> {
    const theirs = digestsOf(await line.read(`/builds/${buildId}/${away.list}`, away.list))
    const both: Record<string, string> = {}
    let [brought, stayed] = [0, 0]
    for (const { recordId, sha256, was } of await store.takenAway(buildId)) {
      const there = theirs[recordId] ?? null
      if (there !== null && there !== was && there !== sha256) {
        stayed += 1
        continue
      }
      if (there !== sha256) {
        const file = await store.read(buildId, recordId)
        if (!file) continue
        const { status } = await line.ask(away.at(buildId, recordId), {
          method: 'PUT',
          body: file.bytes,
          type: typeOf(file),
          or: [NONE, ...STAYS],
          headers: there === null ? { 'if-none-match': '*' } : { 'if-match': `"${there}"` },
        })
        // Its record was removed there: the file has no place.
        if (status === NONE) continue
        if (STAYS.includes(status)) {
          stayed += 1
          continue
        }
        brought += 1
      }
      both[recordId] = sha256
    }
    await this.noteTaken(buildId, away, both)
    return { brought, stayed }
  }

  /** What both sides have of such files, from now on. */
  private async noteTaken(buildId: string, { list }: BesideAway, digests: Digests): Promise<void> {
    await this.takenRow(buildId).update({
      [list]: this.db.raw('?? || ?::jsonb', [list, JSON.stringify(digests)]),
    })
  }

  private rows() {
    return this.db('homes').where({ workshopId: this.workshopId })
  }
  private takenRow(buildId: string) {
    return this.db('taken_along').where({ buildId, workshopId: this.workshopId })
  }
  private async home(id: string): Promise<Kept> {
    const row = (await this.rows().where({ id }).first()) as Kept | undefined
    if (!row) throw notFound('workshop')
    return row
  }
}
