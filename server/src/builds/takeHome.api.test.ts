import {
  alongList,
  buildFile,
  buildSummary,
  fileOf,
  homecomingFile,
  homecomingResult,
  type BuildDocument,
  type Edit,
  type HomecomingResult,
} from '@bold-ballast/contract'
import { demo } from '@bold-ballast/demo'
import { randomUUID } from 'node:crypto'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { testServer, type TestServer } from '../testing/testServer'

/** A workshop and two laptops, each with records of its own. */
let home: TestServer
let one: TestServer
let two: TestServer
let buildId: string
beforeAll(async () => {
  ;[home, one, two] = await Promise.all([testServer(), testServer(), testServer()])
  buildId = (await home.add({ ...demo.builds()[0]!, seals: [] })).body.id
  for (const laptop of [one, two]) await takeAlong(laptop)
})
afterAll(() => Promise.all([home, one, two].map((server) => server.close())))

const fileFrom = async (server: TestServer) => (await server.ask(`/builds/${buildId}/file`, buildFile)).body
const read = async (server: TestServer) => (await server.read(buildId)).body
/** All that a build says, without the versions that only its server counts by. */
const said = async (server: TestServer) => fileOf(await read(server))

async function takeAlong(laptop: TestServer): Promise<void> {
  const { status, body } = await laptop.ask('/builds?along=yes', buildSummary, {
    method: 'POST',
    json: await fileFrom(home),
  })
  expect([status, body.id]).toEqual([201, buildId])
}

type Choices = Record<string, 'mine' | 'theirs'>
const bring = async (to: TestServer, given: object): Promise<HomecomingResult> =>
  (
    await to.ask(`/builds/${buildId}/homecoming`, homecomingResult, {
      method: 'POST',
      json: { id: randomUUID(), base: null, choices: {}, look: false, ...given },
    })
  ).body

/** What a laptop hands over to be brought home. */
const handover = async (laptop: TestServer) => {
  const { from, base, mine } = (await laptop.ask(`/builds/${buildId}/homecoming`, homecomingFile)).body
  return { from, base, mine }
}
/** Home takes over what the laptop has, and the laptop what home has since. */
async function sync(laptop: TestServer, choices: Choices = {}): Promise<HomecomingResult> {
  const brought = await bring(home, { ...(await handover(laptop)), choices })
  if (brought.isDone) {
    const back = await bring(laptop, { from: 'Home', mine: await fileFrom(home) })
    expect(back).toMatchObject({ isDone: true, conflicts: [] })
  }
  return brought
}

const edit = async (server: TestServer, change: (document: BuildDocument) => readonly Edit[]) => {
  const answer = await server.edit(buildId, change(await read(server)))
  expect(answer.status).toBe(200)
}
const weigh =
  (at: number, mass: number) =>
  (document: BuildDocument): Edit[] => [{ op: 'put', kind: 'line', record: { ...document.lines[at]!, mass } }]
const lineAt = (document: BuildDocument, id: string) => document.lines.find((l) => l.id === id)!

describe('a build that is taken along', () => {
  it('comes under its own ids, and not twice', async () => {
    expect(await said(one)).toEqual(await said(home))
    expect((await one.ask('/along', alongList)).body.map((a) => a.buildId)).toEqual([buildId])
    expect((await home.ask('/along', alongList)).body).toEqual([])
    const { status, body } = await one.refuse('/builds?along=yes', {
      method: 'POST',
      json: await fileFrom(home),
    })
    expect([status, body.title]).toEqual([409, 'It is here already'])
  })
  it('is brought home from two laptops, in either order, and all three end alike', async () => {
    const [first, second, third] = (await read(home)).lines
    await edit(one, weigh(0, 11.1))
    await edit(two, weigh(1, 22.2))
    await edit(home, weigh(2, 33.3))
    expect((await sync(two)).edits).toHaveLength(1)
    expect((await sync(one)).edits).toHaveLength(1)
    await sync(two)
    const files = await Promise.all([home, one, two].map(said))
    expect(files[1]).toEqual(files[0])
    expect(files[2]).toEqual(files[0])
    const now = await read(home)
    expect([first, second, third].map((line) => lineAt(now, line!.id).mass)).toEqual([11.1, 22.2, 33.3])
  })
  it('brought twice does nothing the second time', async () => {
    await edit(one, weigh(3, 4.4))
    const handed = await handover(one)
    expect((await bring(home, handed)).edits).toHaveLength(1)
    const before = await read(home)
    expect(await bring(home, handed)).toMatchObject({ isDone: true, edits: [] })
    expect(await read(home)).toEqual(before)
    await sync(one)
  })
  it('says what would be done, and waits for somebody to choose what both sides changed', async () => {
    const { id } = (await read(home)).lines[4]!
    await edit(home, weigh(4, 5.5))
    await edit(one, weigh(4, 6.6))
    await edit(one, weigh(5, 7.7))
    const look = await bring(home, { ...(await handover(one)), look: true })
    expect(look).toMatchObject({ isDone: false, conflicts: [{ kind: 'line', id, why: 'both' }] })
    const [conflict] = look.conflicts
    expect([conflict!.mine, conflict!.theirs]).toMatchObject([{ mass: 6.6 }, { mass: 5.5 }])
    // Nothing is done before all is chosen.
    expect((await sync(one)).isDone).toBe(false)
    expect((await read(home)).lines[4]!.mass).toBe(5.5)
    expect((await sync(one, { [id]: 'mine' })).isDone).toBe(true)
    expect(lineAt(await read(home), id).mass).toBe(6.6)
    expect(await said(one)).toEqual(await said(home))
  })
  it('loses nothing that was added to what was removed at home', async () => {
    const document = await read(home)
    const swap = document.swaps.find((s) => document.lines.some((l) => l.swapId === s.id))!
    const line = { ...document.lines[0]!, id: randomUUID(), swapId: swap.id, name: 'Found on the day' }
    await edit(two, () => [{ op: 'put', kind: 'line', record: { ...line, version: 0 } }])
    const below = document.lines.filter((l) => l.swapId === swap.id)
    await edit(home, () => [
      ...below.map(({ id, version }): Edit => ({ op: 'remove', kind: 'line', id, version })),
      { op: 'remove', kind: 'swap', id: swap.id, version: swap.version },
    ])
    expect((await sync(two)).kept).toEqual([{ kind: 'swap', id: swap.id }])
    const now = await read(home)
    expect(now.swaps.some((s) => s.id === swap.id)).toBe(true)
    expect(now.lines.filter((l) => l.swapId === swap.id).map((l) => l.name)).toEqual(['Found on the day'])
    expect(await said(two)).toEqual(await said(home))
  })
  it('is one entry of the history, with who brought it from where', async () => {
    const rows = (await home
      .db('edit_batches')
      .where({ buildId })
      .orderBy('sequence', 'desc')
      .select('label')) as { label: string }[]
    expect(rows[0]!.label).toMatch(/^Brought from /)
  })
})

describe('what can’t be brought home', () => {
  it('is refused in words', async () => {
    const handed = await handover(one)
    const refuse = (to: TestServer, id: string, json: object) =>
      to.refuse(`/builds/${id}/homecoming`, {
        method: 'POST',
        json: {
          id: randomUUID(),
          from: 'X',
          base: null,
          mine: handed.mine,
          choices: {},
          look: false,
          ...json,
        },
      })
    // Home itself did not come along from anywhere.
    expect((await refuse(home, buildId, {})).body.title).toBe('It did not come along')
    expect((await home.refuse(`/builds/${buildId}/homecoming`)).status).toBe(404)
    const other = (await home.add(demo.builds()[1])).body.id
    expect((await refuse(home, other, { base: handed.base })).body.title).toBe('Another build')
    const wrong = await refuse(home, buildId, { base: handed.base, mine: { ...handed.mine, lines: 'none' } })
    expect([wrong.status, wrong.body.errors![0]!.field]).toEqual([422, 'mine.lines'])
    expect((await refuse(home, randomUUID(), { base: handed.base })).status).toBe(422)
  })
})
