import {
  recordCode,
  recordPlace,
  shareAdded,
  sharedAnswer,
  shareList,
  type SharedSheet,
} from '@bold-ballast/contract'
import { sampleBuild, sampleSeal } from '@bold-ballast/contract/sampleBuild'
import { randomUUID } from 'node:crypto'
import { request } from 'node:http'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { PROXY_HEADERS } from '../testing/proxyHeaders'
import { testServer, type TestServer } from '../testing/testServer'

const DAY = 86_400_000
const OUTSIDE = 'proof.example.org'
let server: TestServer
let buildId: string
let stageId: string
let sealId: string
const sheet = (): SharedSheet => ({
  build: 'Wren',
  stage: 'One',
  place: 1,
  code: '0000-0000',
  units: {},
  signed: null,
  figures: sampleSeal(randomUUID(), randomUUID()).figures,
})
beforeAll(async () => {
  server = await testServer({ shareOrigin: `https://${OUTSIDE}` })
  const file = sampleBuild(randomUUID)
  stageId = file.stages[0]!.id
  sealId = randomUUID()
  file.seals.push(sampleSeal(stageId, sealId))
  buildId = (await server.add(file)).body.id
})
afterAll(() => server.close())

const share = (more: object = {}) =>
  server.ask(`/builds/${buildId}/shares`, shareAdded, {
    method: 'POST',
    json: {
      id: randomUUID(),
      stageId,
      sheet: sheet(),
      endsAt: new Date(Date.now() + DAY).toISOString(),
      ...more,
    },
  })
const refused = (json: object, build = buildId) =>
  server.refuse(`/builds/${build}/shares`, { method: 'POST', json })

/** As a proxy hands it on: another Host than the machine's own. */
const fromOutside = (path: string, method = 'GET'): Promise<{ status: number; text: string }> =>
  new Promise((done, fail) => {
    const { hostname, port } = new URL(server.base)
    const asked = request({ hostname, port, path, method, headers: { host: OUTSIDE } }, (response) => {
      let text = ''
      response.on('data', (chunk: Buffer) => (text += chunk.toString()))
      response.on('end', () => done({ status: response.statusCode!, text }))
    })
    asked.on('error', fail)
    asked.end()
  })

describe('a shared sheet', () => {
  it('is read by its token, as it was when it was shared', async () => {
    const { status, body } = await share()
    expect(status).toBe(201)
    expect(body.token).toMatch(/^[\w-]{32}$/)
    const read = await server.ask(`/shared/${body.token}`, sharedAnswer)
    expect(read.body.sheet).toEqual(sheet())
    expect(read.body.endsAt).toBe(body.endsAt)
    // Nothing in it says which build it is in the records, and two links never have one token.
    expect(JSON.stringify(read.body)).not.toContain(buildId)
    expect((await share()).body.token).not.toBe(body.token)
    const list = (await server.ask(`/builds/${buildId}/shares`, shareList)).body
    expect(list.map((s) => s.id)).toContain(body.id)
  })
  it('can be withdrawn, and then opens nothing, though the list still knows of it', async () => {
    const { body } = await share()
    const at = `${server.base}/api/v1/builds/${buildId}/shares/${body.id}`
    expect((await fetch(at, { method: 'DELETE' })).status).toBe(204)
    const { status, body: said } = await server.refuse(`/shared/${body.token}`)
    expect([status, said.title]).toEqual([410, 'This link has ended'])
    expect((await fetch(at, { method: 'DELETE' })).status).toBe(404)
    const list = (await server.ask(`/builds/${buildId}/shares`, shareList)).body
    expect(list.find((s) => s.id === body.id)!.withdrawnAt).not.toBeNull()
  })
  it('ends by itself', async () => {
    const { body } = await share()
    await server
      .db('shares')
      .where({ id: body.id })
      .update({ ends_at: new Date(Date.now() - 1000) })
    expect((await server.refuse(`/shared/${body.token}`)).status).toBe(410)
  })
  it('goes with its build', async () => {
    const file = sampleBuild(randomUUID)
    const { id } = (await server.add(file)).body
    const { body } = await server.ask(`/builds/${id}/shares`, shareAdded, {
      method: 'POST',
      json: {
        id: randomUUID(),
        stageId: file.stages[0]!.id,
        sheet: sheet(),
        endsAt: new Date(Date.now() + DAY).toISOString(),
      },
    })
    await fetch(`${server.base}/api/v1/builds/${id}`, { method: 'DELETE' })
    expect((await server.refuse(`/shared/${body.token}`)).status).toBe(404)
  })
  it('is refused with the field and the remedy', async () => {
    const good = {
      id: randomUUID(),
      stageId,
      sheet: sheet(),
      endsAt: new Date(Date.now() + DAY).toISOString(),
    }
    for (const [wrong, field] of [
      [{ endsAt: new Date(Date.now() - DAY).toISOString() }, 'endsAt'],
      [{ endsAt: new Date(Date.now() + 500 * DAY).toISOString() }, 'endsAt'],
      [{ endsAt: 'soon' }, 'endsAt'],
      [{ stageId: 'one' }, 'stageId'],
      [{ sheet: { ...sheet(), buildId } }, 'sheet'],
    ] as const) {
      const { status, body } = await refused({ ...good, ...wrong })
      expect([status, body.errors![0]!.field]).toEqual([422, field])
    }
    expect((await refused({ ...good, stageId: randomUUID() })).status).toBe(404)
    expect((await refused(good, randomUUID())).status).toBe(404)
    for (const token of ['x', 'a'.repeat(32), '../builds'])
      expect((await server.refuse(`/shared/${encodeURIComponent(token)}`)).status).toBe(404)
  })
})

describe('the address that links are given out with', () => {
  it('has shared sheets, and nothing else whatsoever', async () => {
    const { body } = await share()
    const read = await fromOutside(`/api/v1/shared/${body.token}`)
    expect(read.status).toBe(200)
    expect(sharedAnswer.parse(JSON.parse(read.text)).sheet.build).toBe('Wren')
    for (const path of [
      '/',
      '/api/v1/builds',
      `/api/v1/builds/${buildId}`,
      '/api/v1/workshop',
      '/api/v1/workshop/file',
      '/api/v1/openapi.json',
      '/api/v1/health',
      `/api/v1/builds/${buildId}/shares`,
      '/api/v1/claims',
      `/api/v1/shared/${body.token}/../../builds`,
      '/api/v1/records/0000-0000',
      '/assets/../package.json',
    ])
      expect((await fromOutside(path)).status, path).toBe(404)
    expect((await fromOutside(`/api/v1/shared/${body.token}`, 'DELETE')).status).toBe(404)
  })
  it('is all there is for a proxy that asks under this machine’s own name', async () => {
    for (const name of PROXY_HEADERS) {
      const answer = await fetch(`${server.base}/api/v1/builds`, { headers: { [name]: '203.0.113.9' } })
      expect(answer.status, name).toBe(404)
    }
    expect((await server.list()).status).toBe(200)
  })
  it('is told to the workshop, so that links lead there', async () => {
    const answer = await fetch(`${server.base}/api/v1/workshop`)
    expect(await answer.json()).toMatchObject({ shareOrigin: `https://${OUTSIDE}` })
  })
})

describe('guesses at links', () => {
  it('have a budget of their own, and leave the workshop its', async () => {
    const own = await testServer({ requestsAMinute: 20 })
    try {
      const guess = () => fetch(`${own.base}/api/v1/shared/${'x'.repeat(40)}`)
      const answers = []
      for (let i = 0; i < 30; i += 1) answers.push((await guess()).status)
      expect(answers.slice(0, 4)).toEqual([404, 404, 404, 404])
      expect(answers.slice(4).every((status) => status === 429)).toBe(true)
      for (let i = 0; i < 20; i += 1) expect((await own.list()).status).toBe(200)
      expect((await own.refuse('/builds')).status).toBe(429)
    } finally {
      await own.close()
    }
  })
})

describe('the code on a sheet', () => {
  it('leads to the stage, or to what was signed of it', async () => {
    const of = async (id: string) => (await server.ask(`/records/${recordCode(id)}`, recordPlace)).body
    expect(await of(stageId)).toEqual({ buildId, stageId, sealId: null })
    expect(await of(sealId)).toEqual({ buildId, stageId, sealId })
  })
  it('that nobody printed leads nowhere', async () => {
    for (const code of [recordCode(randomUUID()), 'nonsense', '0000'])
      expect((await server.refuse(`/records/${code}`)).status).toBe(404)
  })
})
