import { newJob, pictureList, problem } from '@bold-ballast/contract'
import { sampleBuild } from '@bold-ballast/contract/sampleBuild'
import { createHash, randomUUID } from 'node:crypto'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { testServer, type TestServer } from '../testing/testServer'

let server: TestServer
let ofPart: string
let ofJob: string
let buildId: string
beforeAll(async () => {
  server = await testServer()
  const file = sampleBuild(randomUUID, { swaps: 1, linesEach: 1 })
  buildId = (await server.add(file)).body.id
  ofPart = `/builds/${buildId}/lines/${file.lines[0]!.id}/photo`
  const job = newJob({ id: randomUUID(), stageId: file.stages[0]!.id, name: 'Hoses out', order: 0 })
  const shot = { id: randomUUID(), jobId: job.id, what: 'how they ran', date: '2026-11-02' }
  await server.edit(buildId, [
    { op: 'put', kind: 'job', record: { ...job, version: 0 } },
    { op: 'put', kind: 'picture', record: { ...shot, version: 0 } },
  ])
  ofJob = `/builds/${buildId}/pictures/${shot.id}/photo`
})
afterAll(() => server.close())

const picture = Buffer.from([0xff, 0xd8, 0xff, 0xe0, 1, 2, 3, 4])
const digest = (body: string | Buffer) => createHash('sha256').update(body).digest('hex')
const put = (path: string, body: string | Buffer, type = 'image/jpeg', replaces?: string | Buffer) =>
  fetch(`${server.base}/api/v1${path}`, {
    method: 'PUT',
    body: body as string,
    headers: { 'content-type': type, ...(replaces ? { 'if-match': `"${digest(replaces)}"` } : {}) },
  })

describe.each([
  ['of a part', 'lines', () => ofPart],
  ['of a job', 'pictures', () => ofJob],
])('photographs %s', (_, records, address) => {
  it('are kept, given back byte for byte, replaced and removed', async () => {
    const at = address()
    expect((await put(at, picture)).status).toBe(204)
    const back = await fetch(`${server.base}/api/v1${at}`)
    expect(back.headers.get('content-type')).toBe('image/jpeg')
    expect(Buffer.from(await back.arrayBuffer())).toEqual(picture)
    const other = Buffer.from([0x89, 0x50, 0x4e, 0x47, 9])
    expect(back.headers.get('etag')).toBe(`"${digest(picture)}"`)
    expect((await put(at, other, 'image/png', picture)).status).toBe(204)
    // Sent twice, as after an answer that was lost, it is there already.
    expect((await put(at, other, 'image/png', picture)).status).toBe(204)
    expect(Buffer.from(await (await fetch(`${server.base}/api/v1${at}`)).arrayBuffer())).toEqual(other)
    await fetch(`${server.base}/api/v1${at}`, { method: 'DELETE' })
    expect((await fetch(`${server.base}/api/v1${at}`)).status).toBe(204)
  })
  it('are refused when they are no picture, too large, or of a record that is not there', async () => {
    const at = address()
    expect((await put(at, 'hello', 'text/plain')).status).toBe(415)
    expect((await put(at, '')).status).toBe(415)
    expect((await put(at, Buffer.alloc(3 * 1024 * 1024))).status).toBe(413)
    const nowhere = await put(`/builds/${buildId}/${records}/${randomUUID()}/photo`, picture)
    expect(nowhere.status).toBe(404)
    expect(problem.parse(await nowhere.json()).title).toBeTruthy()
    expect((await put(`/builds/x/${records}/y/photo`, picture)).status).toBe(404)
  })
})

it('lists which pictures of jobs have their photograph', async () => {
  await put(ofJob, picture)
  const list = pictureList.parse(
    await (await fetch(`${server.base}/api/v1/builds/${buildId}/pictures`)).json(),
  )
  expect(list.map(({ pictureId }) => ofJob.includes(pictureId))).toEqual([true])
})
