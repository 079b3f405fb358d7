import {
  buildFile,
  buildList,
  homecomingResult,
  may,
  me,
  photoList,
  upgradeFile,
  type BuildAtHome,
  type BuildFile,
  type Home,
  type Homeward,
  type HomewardResult,
} from '@bold-ballast/contract'
import { randomUUID } from 'node:crypto'
import type { Knex } from 'knex'
import { z } from 'zod'
import type { BuildStore } from '../builds/BuildStore'
import { notFound, Refusal } from '../http/Refusal'
import type { PhotoStore } from '../photos/PhotoStore'
import { authorityAt, away, HomeLine, NONE, signedOut, type HomeAddress } from './HomeLine'

interface Kept extends HomeAddress {
  readonly id: string
  readonly person: string
  readonly createdAt: Date
}
/** The SHA-256 of each photograph, by its line. */
type Digests = Readonly<Record<string, string>>

const MOST_HOMES = 20
const digestsOf = (list: readonly { lineId: string; sha256: string }[]): Digests =>
  Object.fromEntries(list.map(({ lineId, sha256 }) => [lineId, sha256]))
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
    private readonly photos: PhotoStore,
  ) {}

  async list(): Promise<Home[]> {
    return ((await this.rows().orderBy('createdAt')) as Kept[]).map(shown)
  }

  /** Signs in at another server, by a link that it gave out. */
  async add(link: string): Promise<Home> {
    if ((await this.list()).length >= MOST_HOMES)
      throw new Refusal(422, 'not-valid', 'Too many workshops', 'Forget one that isn’t used any more first.')
    const { origin, pathname, hash } = new URL(link)
    const authority = hash ? await authorityAt(origin, hash.slice(1)) : null
    const token = pathname.slice(pathname.lastIndexOf('/') + 1)
    const line = new HomeLine({ origin, authority, cookie: '' })
    const opens = await line.read(`/passes/${token}`, z.looseObject({ kind: z.string() }))
    if (opens.kind !== 'pairing')
      throw new Refusal(
        422,
        'not-valid',
        'Another kind of link',
        'This link is for somebody to join, or for a new password. A link that pairs is made there under Crew, You.',
      )
    const said = await line.ask(`/passes/${token}`, { method: 'POST', body: Buffer.from('{}') })
    const cookie = said.cookies.map((one) => one.split(';')[0] ?? '').find((one) => one.includes('='))
    const who = me.safeParse(JSON.parse(said.body.toString())).data?.person
    if (!cookie || !who) throw away('It let nobody in. Take a new link.')
    const row = { id: randomUUID(), origin, authority, cookie, person: who.name, createdAt: new Date() }
    await this.db('homes').insert({ ...row, workshopId: this.workshopId })
    return shown(row)
  }

  /** Signs out there, where that can be said now, and forgets it. */
  async remove(id: string): Promise<void> {
    const home = await this.home(id)
    await new HomeLine(home).ask('/sign-out', { method: 'POST', body: Buffer.from('{}') }).catch(() => null)
    await this.rows().where({ id }).delete()
  }

  /** The builds there that may be taken along. */
  async buildsAt(id: string): Promise<BuildAtHome[]> {
    const line = new HomeLine(await this.home(id))
    const { person, workshops } = await line.read('/me', me)
    if (!person) throw signedOut()
    const lists = await Promise.all(
      workshops
        .filter(({ role }) => may(role, 'export'))
        .map(async ({ id: workshop, name }) =>
          (await line.read(`/workshops/${workshop}/builds`, buildList)).map((build) => ({
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
    const line = new HomeLine(await this.home(id))
    const read = await line.read(`/builds/${buildId}/file`, z.unknown())
    const file = buildFile.safeParse(upgradeFile(read))
    if (!file.success || file.data.build.id !== buildId)
      throw away('It sends a build that this version can’t read.')
    return file.data
  }

  /** Takes a build along, with its photographs. */
  async take(id: string, buildId: string, signal: AbortSignal): Promise<string> {
    const line = new HomeLine(await this.home(id))
    const { body } = await line.ask(`/builds/${buildId}/file`)
    const there = await line.read(`/builds/${buildId}/photos`, photoList)
    // All of it is here before any of it is taken: a line that breaks leaves nothing half done.
    const pictures: { readonly lineId: string; readonly type: string; readonly bytes: Buffer }[] = []
    for (const { lineId } of there) {
      const { status, type, body: bytes } = await line.ask(`/builds/${buildId}/lines/${lineId}/photo`)
      // One that was taken away meanwhile is none.
      if (status === 200) pictures.push({ lineId, type, bytes })
    }
    const added = await this.builds.add(body, true, signal)
    for (const { lineId, type, bytes } of pictures) await this.photos.keep({ buildId, lineId }, type, bytes)
    await this.noteTaken(buildId, digestsOf(there))
    return added.summary
  }

  /** Brings a build home: what was done here, and the photographs that were taken here. */
  async bring(
    id: string,
    buildId: string,
    from: string,
    { look, ...chosen }: Homeward,
  ): Promise<HomewardResult> {
    const line = new HomeLine(await this.home(id))
    const { file } = await this.builds.homecoming(buildId, from)
    const { base, mine } = file
    const result = await line.read(`/builds/${buildId}/homecoming`, homecomingResult, {
      method: 'POST',
      body: Buffer.from(JSON.stringify({ ...chosen, look, from, base, mine })),
    })
    const photographs = result.isDone ? await this.bringPhotos(line, buildId) : { brought: 0, stayed: 0 }
    return { result, photographs }
  }

  /** Those that were taken here; where home has another too, both stay where they are. */
  private async bringPhotos(line: HomeLine, buildId: string): Promise<HomewardResult['photographs']> {
    const theirs = digestsOf(await line.read(`/builds/${buildId}/photos`, photoList))
    const both: Record<string, string> = {}
    let [brought, stayed] = [0, 0]
    for (const { lineId, type, bytes, sha256, was } of await this.photos.takenAway(buildId)) {
      const there = theirs[lineId] ?? null
      if (there !== null && there !== was && there !== sha256) {
        stayed += 1
        continue
      }
      if (there !== sha256) {
        const put = { method: 'PUT', body: bytes, type, orNone: true } as const
        const { status } = await line.ask(`/builds/${buildId}/lines/${lineId}/photo`, put)
        // Its line was removed there: the photograph has no place.
        if (status === NONE) continue
        brought += 1
      }
      both[lineId] = sha256
    }
    await this.noteTaken(buildId, both)
    return { brought, stayed }
  }

  /** What both sides have of photographs, from now on. */
  private async noteTaken(buildId: string, photos: Digests): Promise<void> {
    await this.takenRow(buildId).update({
      photos: this.db.raw('photos || ?::jsonb', [JSON.stringify(photos)]),
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
