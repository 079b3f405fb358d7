import {
  buildDocument,
  buildFile,
  buildList,
  buildsAtHome,
  buildSummary,
  home as homeShape,
  homecomingFile,
  homeList,
  homewardResult,
  newJob,
  passAdded,
  photoList,
  RUN_LOG_TYPE,
  sessionList,
  type BuildDocument,
  type Edit,
  type Home,
} from '@bold-ballast/contract'
import { sampleBuild, sampleOuting, sampleRun } from '@bold-ballast/contract/sampleBuild'
import { createHash, randomUUID } from 'node:crypto'
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { pino } from 'pino'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { Garage } from '../garage/Garage'
import { packedLog, packedLogName } from '../testing/packedLog'
import type { Visitor } from '../testing/testPeople'
import { testServer, type TestServer } from '../testing/testServer'

const folder = mkdtempSync(join(tmpdir(), 'bold-ballast-homes-'))
const garage = new Garage({
  folder,
  host: 'bench',
  port: 0,
  // A loopback address stands for the local network.
  addresses: () => ['127.0.0.1'],
  log: pino({ level: 'silent' }),
})
let shop: TestServer
let laptop: TestServer
let rosa: Visitor
beforeAll(async () => {
  shop = await testServer({ garage })
  laptop = await testServer()
  rosa = await shop.people.owner()
  await garage.turnOn()
})
afterAll(async () => {
  await laptop.close()
  await shop.close()
  rmSync(folder, { recursive: true, force: true })
})

/** A link that pairs, as the shop shows it. */
async function linkBy(who: Visitor): Promise<string> {
  const pass = await who.ask('/pairings', passAdded, { method: 'POST', json: {} })
  expect(pass.fingerprint).toMatch(/^([0-9A-F]{2}:){31}[0-9A-F]{2}$/)
  return `${pass.origin}/join/${pass.token}#${pass.fingerprint}`
}
const connect = async (who = rosa): Promise<Home> => {
  const { status, body } = await laptop.ask('/homes', homeShape, {
    method: 'POST',
    json: { link: await linkBy(who) },
  })
  expect(status).toBe(201)
  return body
}
/** A build at the shop. */
async function built() {
  const file = sampleBuild(randomUUID, { swaps: 1, linesEach: 4 })
  const day = sampleOuting(file.stages[0]!.id, randomUUID())
  file.outings.push(day)
  file.runs.push(sampleRun(day.id, randomUUID(), [61.2]), sampleRun(day.id, randomUUID(), [60.9]))
  const job = newJob({ id: randomUUID(), stageId: file.stages[0]!.id, name: 'Hoses out', order: 0 })
  file.jobs.push(job)
  for (const date of ['2026-11-02', '2026-11-09'])
    file.pictures.push({ id: randomUUID(), jobId: job.id, what: '', date })
  await rosa.ask('/builds', buildSummary, { method: 'POST', json: file })
  return file
}
const photo = (text: string, before?: string) => ({
  method: 'PUT',
  body: Buffer.from(text),
  headers: {
    'content-type': 'image/jpeg',
    ...(before ? { 'if-match': `"${createHash('sha256').update(before).digest('hex')}"` } : {}),
  },
})
const log = (text: string) => ({
  method: 'PUT',
  body: packedLog(text) as unknown as string,
  headers: { 'content-type': RUN_LOG_TYPE },
})
const textOf = async (answer: Response) => packedLogName(Buffer.from(await answer.arrayBuffer()))
const atLaptop = (path: string, init: RequestInit) => fetch(`${laptop.base}/api/v1${path}`, init)
const weigh = (line: BuildDocument['lines'][number], mass: number) => ({
  id: randomUUID(),
  label: 'Weigh',
  author: '',
  edits: [{ op: 'put', kind: 'line', record: { ...line, mass } }],
})
const bring = async (home: Home, buildId: string, choices = {}, look = false) =>
  (
    await laptop.ask(`/homes/${home.id}/builds/${buildId}`, homewardResult, {
      method: 'POST',
      json: { id: randomUUID(), choices, look },
    })
  ).body

describe('another workshop on the network', () => {
  it('lends a build with its photographs, and gets home what was done, once', async () => {
    const file = await built()
    const { id } = file.build
    const [first, second, third] = [file.lines[0]!, file.lines[1]!, file.lines[2]!]
    const at = (line: { id: string }) => `/builds/${id}/lines/${line.id}/photo`
    await rosa.fetch(at(first), photo('of the shop'))
    await rosa.fetch(at(third), photo('also of the shop'))
    const logAt = (run: { id: string }) => `/builds/${id}/runs/${run.id}/log`
    const pictureAt = (one: { id: string }) => `/builds/${id}/pictures/${one.id}/photo`
    const [before, afterwards] = [file.pictures[0]!, file.pictures[1]!]
    await rosa.fetch(pictureAt(before), photo('of a job'))
    const [morning, noon] = [file.runs[0]!, file.runs[1]!]
    await rosa.fetch(logAt(morning), log('of the shop'))
    const home = await connect()
    expect(home).toMatchObject({ person: 'Rosa' })
    const devices = await rosa.ask('/sessions', sessionList)
    expect(devices.map(({ device }) => device).some((device) => device.startsWith('Laptop ('))).toBe(true)

    const there = (await laptop.ask(`/homes/${home.id}/builds`, buildsAtHome)).body
    expect(there.find((one) => one.id === id)).toMatchObject({ isHere: false })
    const taken = await laptop.ask(`/homes/${home.id}/builds`, buildSummary, {
      method: 'POST',
      json: { buildId: id },
    })
    expect([taken.status, taken.body.id]).toEqual([201, id])
    expect(await (await atLaptop(at(first), {})).text()).toBe('of the shop')
    expect(await textOf(await atLaptop(logAt(morning), {}))).toBe('of the shop')
    expect(await (await atLaptop(pictureAt(before), {})).text()).toBe('of a job')
    const again = await laptop.refuse(`/homes/${home.id}/builds`, { method: 'POST', json: { buildId: id } })
    expect(again.status).toBe(409)

    // At the track: a part is weighed, one is photographed, one photographed anew. At home others are.
    const away = (await laptop.read(id)).body
    await laptop.edit(id, weigh(away.lines[0]!, 1.5).edits as Edit[])
    await atLaptop(at(first), photo('anew at the track', 'of the shop'))
    await atLaptop(at(second), photo('of the track'))
    await atLaptop(at(third), photo('at the track', 'also of the shop'))
    await atLaptop(pictureAt(afterwards), photo('of a job at the track'))
    await atLaptop(logAt(noon), log('of the track'))
    const athome = await rosa.ask(`/builds/${id}`, buildDocument)
    await rosa.fetch(`/builds/${id}/edits`, {
      method: 'POST',
      json: weigh(athome.lines[1] as BuildDocument['lines'][number], 2.5),
    })
    await rosa.fetch(at(third), photo('meanwhile at home', 'also of the shop'))

    // As a file it is what was made here alone: no photograph and no log that came along.
    const {
      photographs: inFile,
      pictures: picturesInFile,
      logs: logsInFile,
    } = (await laptop.ask(`/builds/${id}/homecoming`, homecomingFile)).body
    expect(inFile.map((one) => one.lineId).sort()).toEqual([first.id, second.id, third.id].sort())
    expect(picturesInFile.map((one) => one.pictureId)).toEqual([afterwards.id])
    expect(logsInFile).toEqual([{ runId: noon.id, base64: packedLog('of the track').toString('base64') }])

    const looked = await bring(home, id, {}, true)
    expect(looked.result).toMatchObject({ isDone: false, conflicts: [] })
    expect(looked.result.edits).toHaveLength(1)
    const { result, photographs, pictures, logs } = await bring(home, id)
    expect(result.isDone).toBe(true)
    expect(photographs).toEqual({ brought: 2, stayed: 1 })
    expect(pictures).toEqual({ brought: 1, stayed: 0 })
    expect(await (await rosa.fetch(pictureAt(afterwards))).text()).toBe('of a job at the track')
    expect(logs).toEqual({ brought: 1, stayed: 0 })
    expect(await textOf(await rosa.fetch(logAt(noon)))).toBe('of the track')
    const after = await rosa.ask(`/builds/${id}`, buildDocument)
    expect(after.lines.slice(0, 2).map((line) => line.mass)).toEqual([1.5, 2.5])
    const shown = async (line: { id: string }) => (await rosa.fetch(at(line))).text()
    expect([await shown(first), await shown(second), await shown(third)]).toEqual([
      'anew at the track',
      'of the track',
      'meanwhile at home',
    ])
    const twice = await bring(home, id)
    expect([twice.result.edits, twice.photographs.brought, twice.logs.brought]).toEqual([[], 0, 0])
    // And what is new at home can be had here.
    const fetched = (await laptop.ask(`/homes/${home.id}/builds/${id}`, buildFile)).body
    expect(fetched.lines[1]!.mass).toBe(2.5)
    expect((await laptop.ask(`/builds/${id}/photos`, photoList)).body).toHaveLength(3)
  })

  it('asks whose is to stand where both changed one record', async () => {
    const file = await built()
    const { id } = file.build
    const home = await connect()
    await laptop.ask(`/homes/${home.id}/builds`, buildSummary, { method: 'POST', json: { buildId: id } })
    const line = (await laptop.read(id)).body.lines[0]!
    await laptop.edit(id, weigh(line, 1.5).edits as Edit[])
    await rosa.fetch(`/builds/${id}/edits`, { method: 'POST', json: weigh(line, 9) })
    const { result } = await bring(home, id)
    expect(result).toMatchObject({ isDone: false, conflicts: [{ id: line.id, why: 'both' }] })
    expect((await bring(home, id, { [line.id]: 'theirs' })).result.isDone).toBe(true)
    expect((await rosa.ask(`/builds/${id}`, buildDocument)).lines[0]!.mass).toBe(9)
  })

  it('lends to a helper nothing, and nothing at all to whoever it has signed out', async () => {
    const file = await built()
    const tomasz = await shop.people.enter('Tomasz', 'helper')
    const asHelper = await connect(tomasz)
    expect((await laptop.ask(`/homes/${asHelper.id}/builds`, buildsAtHome)).body).toEqual([])
    const refused = await laptop.refuse(`/homes/${asHelper.id}/builds`, {
      method: 'POST',
      json: { buildId: file.build.id },
    })
    expect([refused.status, refused.body.type]).toEqual([424, '/problems/home-away'])

    const home = await connect()
    await rosa.fetch('/sessions', { method: 'DELETE' })
    const out = await laptop.refuse(`/homes/${home.id}/builds`)
    expect(out.body.detail).toContain('isn’t signed in there any more')
    const gone = await atLaptop(`/homes/${home.id}`, { method: 'DELETE' })
    expect(gone.status).toBe(204)
    expect((await laptop.ask('/homes', homeList)).body.map((one) => one.id)).not.toContain(home.id)
  })

  it('signs this installation out there when it is forgotten', async () => {
    const home = await connect()
    const laptops = async () =>
      (await rosa.ask('/sessions', sessionList)).filter(({ device }) => device.startsWith('Laptop')).length
    const before = await laptops()
    await atLaptop(`/homes/${home.id}`, { method: 'DELETE' })
    expect(await laptops()).toBe(before - 1)
  })

  it('is told nothing where it is not the machine that the link is of', async () => {
    const link = await linkBy(rosa)
    const other = `${link.slice(0, -2)}${link.endsWith('00') ? '11' : '00'}`
    const refused = await laptop.refuse('/homes', { method: 'POST', json: { link: other } })
    expect(refused.body.detail).toMatch(/^This link led to no workshop/)
    const cut = await laptop.refuse('/homes', { method: 'POST', json: { link: link.split('#')[0] } })
    expect(cut.body.detail).toBe(refused.body.detail)
    // The link itself was not used up by either.
    expect((await laptop.ask('/homes', homeShape, { method: 'POST', json: { link } })).status).toBe(201)
    const used = await laptop.refuse('/homes', { method: 'POST', json: { link } })
    expect(used.body.detail).toBe(refused.body.detail)
  })

  it.each([
    ['no link at all', 'blue'],
    ['a link without encryption', 'http://127.0.0.1:4610/join/aaaaaaaaaaaaaaaaaaaaaaaa'],
    ['a page of another kind', 'https://127.0.0.1:4611/crew'],
  ])('can’t be reached by %s', async (_what, link) => {
    const refused = await laptop.refuse('/homes', { method: 'POST', json: { link } })
    expect([refused.status, refused.body.errors?.[0]?.field]).toEqual([422, 'link'])
  })

  it('is said to be away where nobody answers', async () => {
    const link = `https://127.0.0.1:9/join/${'a'.repeat(43)}#${Array(32).fill('AA').join(':')}`
    const refused = await laptop.refuse('/homes', { method: 'POST', json: { link } })
    expect([refused.status, refused.body.type]).toEqual([424, '/problems/home-away'])
    expect(refused.body.detail).toMatch(/^This link led to no workshop/)
  })

  it('takes no link that lets somebody join', async () => {
    const added = await rosa.ask('/invitations', passAdded, {
      method: 'POST',
      json: { role: 'builder', for: 'Anna', days: 1 },
    })
    const link = `${added.origin}/join/${added.token}#${added.fingerprint}`
    const refused = await laptop.refuse('/homes', { method: 'POST', json: { link } })
    expect(refused.body.detail).toContain('is for somebody to join')
  })

  it('of one workshop here is not seen from another', async () => {
    const home = await connect()
    const outsider = await shop.people.enter('Olga', 'builder')
    expect(await outsider.status(`/homes/${home.id}/builds`)).toBe(403)
    // Another workshop of the same installation has none of it.
    const anna = await laptop.people.owner('Anna')
    const yard = await laptop.people.workshop('Yard')
    const bruno = await laptop.people.enter('Bruno', 'owner', yard)
    expect(await bruno.status(`/homes/${home.id}/builds`)).toBe(404)
    expect(await bruno.ask('/homes', homeList)).toEqual([])
    expect((await anna.ask('/homes', homeList)).map((one) => one.id)).toContain(home.id)
    expect(await anna.ask('/builds', buildList)).not.toEqual([])
  })
})
