import { sampleBuild } from '@bold-ballast/contract/sampleBuild'
import { randomUUID } from 'node:crypto'
import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { request } from 'node:http'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { brotliCompressSync } from 'node:zlib'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { problem, type Edit } from '@bold-ballast/contract'
import { PROXY_HEADERS } from '../testing/proxyHeaders'
import { testServer, type TestServer } from '../testing/testServer'

let server: TestServer
let webRoot: string
beforeAll(async () => {
  webRoot = mkdtempSync(join(tmpdir(), 'bold-ballast-web-'))
  mkdirSync(join(webRoot, 'assets'))
  writeFileSync(join(webRoot, 'index.html'), '<!doctype html><title>test</title>')
  writeFileSync(join(webRoot, 'assets', 'a.js'), 'export {}')
  writeFileSync(join(webRoot, 'assets', 'a.js.br'), brotliCompressSync('export {}'))
  server = await testServer({ webRoot })
})
afterAll(async () => {
  await server.close()
  rmSync(webRoot, { recursive: true, force: true })
})

interface Raw {
  readonly method?: string
  readonly headers?: Record<string, string>
  readonly body?: string | Buffer
}
/** A request as it is, which `fetch` would tidy up first. */
const raw = (path: string, { method = 'GET', headers = {}, body }: Raw = {}) =>
  new Promise<{ status: number; text: string }>((resolve, reject) => {
    const asked = request(`${server.base}`, { method, headers, path }, (answer) => {
      const parts: Buffer[] = []
      answer.on('data', (part: Buffer) => parts.push(part))
      answer.on('end', () => resolve({ status: answer.statusCode!, text: Buffer.concat(parts).toString() }))
    })
    asked.on('error', reject)
    asked.end(body)
  })
const json = { 'content-type': 'application/json' }
const post = (body: string | Buffer, headers: Record<string, string> = json) => ({
  method: 'POST',
  headers,
  body,
})

describe('what a client does wrong', () => {
  it.each<[string, number, string, Raw?]>([
    ['a broken escape in a path', 400, '/api/v1/builds/%E0%A4%A'],
    ['a broken escape in a page', 400, '/builds/%FF'],
    [
      'a charset that nobody knows',
      415,
      '/api/v1/builds',
      post('{}', { 'content-type': 'application/json; charset=klingon' }),
    ],
    [
      'an encoding that nobody knows',
      415,
      '/api/v1/builds',
      post('{}', { ...json, 'content-encoding': 'zebra' }),
    ],
    ['broken gzip', 400, '/api/v1/builds', post('nonsense', { ...json, 'content-encoding': 'gzip' })],
    ['a length that is not so', 400, '/api/v1/builds', post('{}', { ...json, 'content-length': '1' })],
    ['a missing asset', 404, '/assets/none.js'],
    ['a traversal', 404, '/assets/..%2f..%2fpackage.json'],
    ['a traversal, encoded twice', 404, '/assets/%252e%252e%252fpackage.json'],
    ['a NUL in a path', 400, '/assets/a.js%00'],
    ['a range beyond the end', 416, '/assets/a.js', { headers: { range: 'bytes=999999-' } }],
    ['a precondition that fails', 412, '/assets/a.js', { headers: { 'if-match': '"other"' } }],
    ['a date that no calendar has', 422, `/api/v1/builds/${randomUUID()}/at?time=2026-02-31T25:61:00Z`],
    ['a time far out of range', 404, `/api/v1/builds/${randomUUID()}/at?time=9999-12-31T23:59:59Z`],
    ['no time at all', 422, `/api/v1/builds/${randomUUID()}/at`],
    ['history of no build', 404, `/api/v1/builds/${randomUUID()}/history/${randomUUID()}`],
    ['a NUL where an id belongs', 404, '/api/v1/builds/%00'],
    ['a NUL in a query', 422, `/api/v1/builds/${randomUUID()}/history?before=%00`],
    ['a NUL in a code', 404, '/api/v1/records/%00%00%00%00%00%00%00%00'],
  ])('%s is told so: %i', async (_what, status, path, init) => {
    const answer = await raw(path, init)
    expect([answer.status, answer.text.length < 2000]).toEqual([status, true])
    if (path.startsWith('/api') && status !== 400) problem.parse(JSON.parse(answer.text))
  })
  it('takes no NUL into the records, wherever it stands, and says so', async () => {
    const file = sampleBuild(randomUUID)
    file.build.note = 'a\u0000b'
    expect((await server.refuse('/builds', { method: 'POST', json: file })).status).toBe(422)
    const { body } = await server.add(sampleBuild(randomUUID))
    const document = (await server.read(body.id)).body
    const record = { ...document.lines[0]!, name: 'door\u0000skin' }
    const refused = await server.refuseEdit(body.id, [{ op: 'put', kind: 'line', record }])
    expect(refused.status).toBe(422)
  })
  it('expects no proxy where no sheets are shared, and answers none', async () => {
    for (const name of PROXY_HEADERS)
      for (const path of ['/', '/api/v1/builds', '/shared/abc', '/assets/a.js'])
        expect([name, path, (await raw(path, { headers: { [name]: '203.0.113.9' } })).status]).toEqual([
          name,
          path,
          403,
        ])
    expect((await raw('/api/v1/builds', { headers: { 'x-requested-with': 'x' } })).status).toBe(200)
  })
  it('sends script packed to who reads that, as script to both', async () => {
    for (const encoding of ['br', 'gzip', 'identity']) {
      const answer = await fetch(`${server.base}/assets/a.js`, { headers: { 'accept-encoding': encoding } })
      expect(answer.headers.get('content-encoding')).toBe(encoding === 'br' ? 'br' : null)
      expect(answer.headers.get('content-type')).toContain('javascript')
      expect(answer.headers.get('cache-control')).toContain('immutable')
      expect(await answer.text()).toBe('export {}')
    }
  })
  it('answers a HEAD on a stream, and ends', async () => {
    for (const device of ['pads', 'dyno']) {
      const answer = await raw(`/api/v1/devices/${device}`, { method: 'HEAD' })
      expect(answer).toEqual({ status: 200, text: '' })
    }
  })
  it('knows a record by its id only in the one way that ids are written', async () => {
    const { body } = await server.add(sampleBuild(randomUUID))
    const document = (await server.read(body.id)).body
    const line = document.lines[0]!
    const loud = line.id.toUpperCase()
    const as = (id: string): Edit => ({ op: 'put', kind: 'line', record: { ...line, id, mass: 2 } })
    const { body: result } = await server.edit(body.id, [as(loud)])
    expect(result.versions).toEqual([{ kind: 'line', id: line.id, version: 2 }])
    const twice = [as(loud), as(line.id)]
    expect((await server.refuseEdit(body.id, twice)).status).toBe(422)
    expect((await raw(`/api/v1/builds/${body.id.toUpperCase()}`)).status).toBe(200)
  })
})
