import { logColumnsList, problem, RUN_LOG_TYPE, runLogList } from '@bold-ballast/contract'
import { sampleBuild, sampleOuting, sampleRun } from '@bold-ballast/contract/sampleBuild'
import { packLog, unpackLog, type RunLog } from '@bold-ballast/core'
import { createHash, randomUUID } from 'node:crypto'
import { gunzipSync, gzipSync } from 'node:zlib'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { testServer, type TestServer } from '../testing/testServer'

let server: TestServer
let buildId: string
let runId: string
let secondId: string
beforeAll(async () => {
  server = await testServer()
  const file = sampleBuild(randomUUID, { swaps: 1, linesEach: 1 })
  const day = sampleOuting(file.stages[0]!.id, randomUUID())
  const run = sampleRun(day.id, randomUUID(), [61.2])
  file.outings.push(day)
  const second = sampleRun(day.id, randomUUID(), [60.8])
  file.runs.push(run, second)
  secondId = second.id
  runId = run.id
  buildId = (await server.add(file)).body.id
})
afterAll(() => server.close())

const at = (run = runId) => `${server.base}/api/v1/builds/${buildId}/runs/${run}/log`
const log = {
  name: 'run.csv',
  origin: { latitude: 0.1, longitude: -0.2 },
  time: Float32Array.of(0, 0.1, 0.2),
  channels: [{ name: 'speed (km/h)', role: 'speed' as const, values: Float32Array.of(1, NaN, 3) }],
}
const packed = gzipSync(packLog(log))
const put = (body: Uint8Array | string, { run = runId, type = RUN_LOG_TYPE } = {}) =>
  fetch(at(run), {
    method: 'PUT',
    body: body as string,
    headers: { 'content-type': type, 'if-match': `"${kept.get(run) ?? ''}"` },
  }).then((answer) => {
    if (answer.ok) kept.set(run, createHash('sha256').update(body).digest('hex'))
    return answer
  })
/** What was kept last of each run: who puts another there says what it takes the place of. */
const kept = new Map<string, string>()

describe('logs of runs', () => {
  it('are kept, listed, given back as they were, and removed', async () => {
    expect((await fetch(at())).status).toBe(204)
    expect((await put(packed)).status).toBe(204)
    const list = runLogList.parse(await (await fetch(`${server.base}/api/v1/builds/${buildId}/logs`)).json())
    const sha256 = createHash('sha256').update(packed).digest('hex')
    expect(list).toEqual([{ runId, bytes: packed.length, sha256 }])
    const back = Buffer.from(await (await fetch(at())).arrayBuffer())
    expect(unpackLog(gunzipSync(back))).toEqual(log)
    expect((await fetch(at(), { method: 'DELETE' })).status).toBe(204)
    kept.delete(runId)
    expect((await fetch(at())).status).toBe(204)
  })
  it('are refused where they are no packed log, or of a run that is not there, with what would be right', async () => {
    for (const refused of [await put('hello'), await put(packed, { type: 'text/csv' })]) {
      expect(refused.status).toBe(415)
      expect(problem.parse(await refused.json()).detail).toContain('Logs')
    }
    expect((await put(packed, { run: randomUUID() })).status).toBe(404)
    expect((await put(packed, { run: 'nobody' })).status).toBe(404)
  })
  it('say how their files were read, for the next one of that logger; nothing where they can’t', async () => {
    const known = async () =>
      logColumnsList.parse(await (await fetch(`${server.base}/api/v1/log-columns`)).json())
    expect(await known()).toEqual([])
    const titles = ['t', 'v']
    const readAs = (columns: NonNullable<RunLog['read']>['columns']) =>
      gzipSync(packLog({ ...log, read: { titles, columns } }))
    await put(readAs(['time', null]))
    await put(readAs(['time', 'speed']))
    expect(await known()).toEqual([{ titles, columns: ['time', 'speed'] }])
    // One that is kept anew is the newest again.
    const others = { titles: ['a', 'b'] }
    const other = gzipSync(packLog({ ...log, read: { titles: others.titles, columns: ['time', null] } }))
    expect((await put(other, { run: secondId })).status).toBe(204)
    expect((await known()).map((one) => one.titles)).toEqual([others.titles, titles])
    await put(readAs(['time', 'speed']))
    expect((await known()).map((one) => one.titles)).toEqual([titles, others.titles])
    await fetch(at(secondId), { method: 'DELETE' })
    kept.delete(secondId)
    expect((await known()).map((one) => one.titles)).toEqual([titles])
  })
  it('take no good one’s place where they are cut off, say what they don’t hold, or came otherwise than sent', async () => {
    await put(packed)
    const head = Buffer.from(packLog(log)).toString('latin1').split('\n')[0]!
    const rest = Buffer.from(packLog(log)).subarray(head.length)
    const saying = (change: (head: string) => string) =>
      gzipSync(Buffer.concat([Buffer.from(change(head), 'latin1'), rest]))
    for (const odd of [
      packed.subarray(0, 40),
      gzipSync(packLog(log)).subarray(0, packed.length - 9),
      gzipSync('hello'),
      gzipSync(Buffer.alloc(3_000_000, 65)),
      gzipSync(Buffer.concat([packLog(log), Buffer.alloc(40)])),
      // Little that unpacks to much is noticed before it has.
      gzipSync(Buffer.concat([packLog(log), Buffer.alloc(200_000_000)])),
      saying((text) => text.replace('"samples":3', '"samples":4')),
      saying((text) => text.replace('"formatVersion":1', '"formatVersion":9')),
      saying((text) => text.replace('"samples":3', '"samples":3000000000')),
    ]) {
      const refused = await put(odd)
      expect(refused.status).toBe(422)
      expect(problem.parse(await refused.json()).detail).toMatch(/^The log .*What was there stays/)
    }
    const otherwise = await fetch(at(), {
      method: 'PUT',
      body: gzipSync(packLog({ ...log, name: 'other' })) as unknown as string,
      headers: {
        'content-type': RUN_LOG_TYPE,
        'if-match': `"${kept.get(runId)}"`,
        'content-digest': `sha-256=:${createHash('sha256').update(packed).digest('base64')}:`,
      },
    })
    expect(otherwise.status).toBe(422)
    expect(unpackLog(gunzipSync(Buffer.from(await (await fetch(at())).arrayBuffer())))).toEqual(log)
  })
  it('are not taken beyond 16 MB', async () => {
    const large = Buffer.concat([packed, Buffer.alloc(17 * 1024 * 1024, 7)])
    expect((await put(large)).status).toBe(413)
  })
})
