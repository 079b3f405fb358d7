import { newJob, problem, RUN_LOG_TYPE, workshopExport, workshopImported } from '@bold-ballast/contract'
import { sampleBuild, sampleOuting, sampleRun } from '@bold-ballast/contract/sampleBuild'
import { randomUUID } from 'node:crypto'
import type { Request } from 'express'
import { once } from 'node:events'
import { mkdirSync, mkdtempSync, readdirSync, rmSync, utimesSync } from 'node:fs'
import { Agent, createServer, get } from 'node:http'
import { connect, type AddressInfo } from 'node:net'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { gunzipSync, gzipSync } from 'node:zlib'
import { afterEach, describe, expect, it } from 'vitest'
import { cutWhenIdle, letWait } from '../http/idle'
import { packedLog } from '../testing/packedLog'
import { testServer, type TestServer } from '../testing/testServer'
import { sweepScratch } from './scratch'

const servers: TestServer[] = []
afterEach(async () => {
  for (const server of servers.splice(0)) await server.close()
})
async function workshop(): Promise<TestServer> {
  const server = await testServer()
  servers.push(server)
  return server
}

/** A build with a change in its history, a photograph, a picture of a job and the log of a run. */
async function filled(server: TestServer) {
  const file = sampleBuild(randomUUID, { swaps: 2, linesEach: 3 })
  const day = sampleOuting(file.stages[0]!.id, randomUUID())
  const run = sampleRun(day.id, randomUUID(), [61.2])
  file.outings.push(day)
  file.runs.push(run)
  const job = newJob({ id: randomUUID(), stageId: file.stages[0]!.id, name: 'Hoses out', order: 0 })
  const picture = { id: randomUUID(), jobId: job.id, what: 'how they ran', date: '2026-11-02' }
  file.jobs.push(job)
  file.pictures.push(picture)
  const { id } = (await server.add(file)).body
  const { body } = await server.read(id)
  const line = body.lines[0]!
  await server.edit(id, [{ op: 'put', kind: 'line', record: { ...line, mass: 7.25 } }])
  const photo = Buffer.from([0xff, 0xd8, 0xff, 1, 2, 3])
  for (const at of [`lines/${line.id}`, `pictures/${picture.id}`])
    await fetch(`${server.base}/api/v1/builds/${id}/${at}/photo`, {
      method: 'PUT',
      body: photo as unknown as string,
      headers: { 'content-type': 'image/jpeg' },
    })
  const log = packedLog('a log')
  await fetch(`${server.base}/api/v1/builds/${id}/runs/${run.id}/log`, {
    method: 'PUT',
    body: log as unknown as string,
    headers: { 'content-type': RUN_LOG_TYPE },
  })
  return { id, line, photo, picture, run, log }
}
const takeOut = async (server: TestServer) =>
  Buffer.from(await (await fetch(`${server.base}/api/v1/workshop/file`)).arrayBuffer())
const bring = (server: TestServer, file: Buffer, query = '') =>
  fetch(`${server.base}/api/v1/workshop/file${query}`, {
    method: 'POST',
    body: file as unknown as string,
    headers: { 'content-type': 'application/gzip' },
  })
const brought = async (server: TestServer, file: Buffer, query = '') =>
  workshopImported.parse(await (await bring(server, file, query)).json())
const linesOf = (file: Buffer) => gunzipSync(file).toString().trimEnd().split('\n')
const packed = (lines: readonly string[]) => gzipSync(lines.join('\n'))

describe('a whole workshop', () => {
  it('comes into another with everything: builds, photographs, history and the ids that codes go by', async () => {
    const [from, to] = [await workshop(), await workshop()]
    const { id, line, photo, picture, run, log } = await filled(from)
    await filled(from)
    const file = await takeOut(from)
    const report = await brought(to, file)
    expect(report.isDone).toBe(true)
    expect(report.builds.map((b) => [b.fate, b.lines, b.photos, b.pictures, b.logs, b.changes])).toEqual([
      ['new', 6, 1, 1, 1, 1],
      ['new', 6, 1, 1, 1, 1],
    ])
    const plain = ({ version: _, ...record }: { version: number }) => record
    const [a, b] = [(await from.read(id)).body, (await to.read(id)).body]
    expect(b.lines.map(plain)).toEqual(expect.arrayContaining(a.lines.map(plain)))
    const there = await fetch(`${to.base}/api/v1/builds/${id}/lines/${line.id}/photo`)
    expect(Buffer.from(await there.arrayBuffer())).toEqual(photo)
    const ofJob = await fetch(`${to.base}/api/v1/builds/${id}/pictures/${picture.id}/photo`)
    expect(Buffer.from(await ofJob.arrayBuffer())).toEqual(photo)
    const recorded = await fetch(`${to.base}/api/v1/builds/${id}/runs/${run.id}/log`)
    expect(Buffer.from(await recorded.arrayBuffer())).toEqual(log)
    expect((await from.list()).body.map((x) => x.id)).toEqual((await to.list()).body.map((x) => x.id))
    // The history tells what was before, there as here.
    const history = (await (await fetch(`${to.base}/api/v1/builds/${id}/history`)).json()) as {
      entries: { id: string }[]
    }
    const detail = await (
      await fetch(`${to.base}/api/v1/builds/${id}/history/${history.entries[0]!.id}`)
    ).text()
    expect(detail).toContain(String(line.mass))
    // Taken out once more it is the same, but for the time.
    expect(linesOf(await takeOut(to)).slice(1)).toEqual(linesOf(file).slice(1))
  })
  it('is only looked through where that was asked', async () => {
    const [from, to] = [await workshop(), await workshop()]
    await filled(from)
    const report = await brought(to, await takeOut(from), '?look=yes')
    expect([report.isDone, report.builds.map((b) => b.fate)]).toEqual([false, ['new']])
    expect((await to.list()).body).toEqual([])
  })
  it('leaves builds that are here alone, or brings copies, as it was told', async () => {
    const server = await workshop()
    const { id, line } = await filled(server)
    const file = await takeOut(server)
    const { body } = await server.read(id)
    const now = body.lines.find((l) => l.id === line.id)!
    await server.edit(id, [{ op: 'put', kind: 'line', record: { ...now, mass: 9 } }])
    expect((await brought(server, file)).builds[0]!.fate).toBe('left')
    expect((await server.read(id)).body.lines.find((l) => l.id === line.id)!.mass).toBe(9)
    expect((await brought(server, file, '?here=copy')).builds[0]!.fate).toBe('copied')
    expect((await server.list()).body).toHaveLength(2)
  })
  it('is refused whole, with the line that is wrong, and changes nothing', async () => {
    const [from, to] = [await workshop(), await workshop()]
    await filled(from)
    const whole = linesOf(await takeOut(from))
    const twisted = whole[1]!.replace('"quantity":1', '"quantity":-1')
    for (const [what, file, says] of [
      ['not packed', Buffer.from(whole.join('\n')), 'can’t be unpacked'],
      ['cut off while packed', packed(whole).subarray(0, 200), 'can’t be unpacked'],
      ['nothing', Buffer.alloc(0), 'can’t be unpacked'],
      ['no end', packed(whole.slice(0, -1)), 'cut off'],
      ['no head', packed(whole.slice(1)), 'whose workshop'],
      [
        'a build missing',
        packed([whole[0]!, ...whole.slice(2).filter((l) => !/"kind":"(photo|picture|log)"/.test(l))]),
        '1 builds',
      ],
      ['a photograph of nothing', packed([whole[0]!, ...whole.slice(2)]), 'photograph of a build'],
      ['half a line', packed([whole[0]!, whole[1]!.slice(0, 100), ...whole.slice(2)]), 'Line 2'],
      ['a line that doesn’t fit', packed([whole[0]!, twisted, ...whole.slice(2)]), 'quantity'],
      ['another kind of line', packed([whole[0]!, '{"kind":"song"}', ...whole.slice(1)]), 'Line 2'],
      ['something after the end', packed([...whole, whole[1]!]), 'follows the end'],
    ] as const) {
      const answer = await bring(to, file)
      expect(answer.status, what).toBe(422)
      expect(problem.parse(await answer.json()).detail, what).toContain(says)
      expect((await to.list()).body, what).toEqual([])
    }
    expect((await bring(to, packed(whole), '?here=burn')).status).toBe(422)
  })
  it('is taken from packed files only, so that no form of another site can send one', async () => {
    const server = await workshop()
    const answer = await fetch(`${server.base}/api/v1/workshop/file`, {
      method: 'POST',
      body: 'x',
      headers: { 'content-type': 'text/plain' },
    })
    expect(answer.status).toBe(415)
  })
  it('is refused where a small file unpacks to more than a workshop can be, and others are answered meanwhile', async () => {
    const server = await workshop()
    const head = `${JSON.stringify({ kind: 'workshop' })}\n`
    for (const [what, file, says] of [
      ['one line without an end', Buffer.alloc(170e6, 'a'), 'Line 1 is over 160 MB long'],
      ['nothing but empty lines', Buffer.alloc(300_000, '\n'), '200,000 lines'],
      ['records in records', Buffer.from(`${head}${'['.repeat(5000)}`), 'Line 1'],
      ['millions of empty records', Buffer.from(`[${'{},'.repeat(4e6)}{}]`), 'more than a build can'],
    ] as const) {
      const packedFile = gzipSync(file, { level: 1 })
      const answers = await Promise.all([bring(server, packedFile), server.list(), server.list()])
      const said = problem.parse(await answers[0].json())
      expect([what, said.detail]).toEqual([what, expect.stringContaining(says)])
      expect([413, 422]).toContain(said.status)
      expect(answers.slice(1).map((a) => a.status)).toEqual([200, 200])
    }
  })
  it('is sent by halves without holding anybody up, and the place is free again when the sender has gone', async () => {
    const server = await workshop()
    const { port } = new URL(server.base)
    const sockets = await Promise.all(
      Array.from({ length: 12 }, async () => {
        const socket = connect(Number(port), '127.0.0.1')
        await once(socket, 'connect')
        socket.on('error', () => undefined)
        socket.write(
          'POST /api/v1/workshop/file HTTP/1.1\r\nHost: localhost\r\nContent-Type: application/gzip\r\nContent-Length: 100000\r\n\r\nhalf',
        )
        return socket
      }),
    )
    await expect.poll(async () => (await bring(server, Buffer.from('x'))).status).toBe(503)
    const busy = await bring(server, Buffer.from('x'))
    expect(problem.parse(await busy.json()).title).toBe('One after the other')
    expect((await server.list()).status).toBe(200)
    expect((server.db.client as { pool: { numUsed(): number } }).pool.numUsed()).toBe(0)
    for (const socket of sockets) socket.destroy()
    await expect
      .poll(async () => (await bring(server, Buffer.from('x'))).status, { timeout: 20_000 })
      .toBe(422)
  })
})

describe('a workshop that is packed before it is fetched', () => {
  it('says how far it is, is fetched whole or from where a fetch broke off, and is gone afterwards', async () => {
    const own = await testServer()
    try {
      await filled(own)
      const { body: begun, status } = await own.ask('/workshop/exports', workshopExport, {
        method: 'POST',
        json: {},
      })
      expect(status).toBe(202)
      const look = async () => (await own.ask(`/workshop/exports/${begun.id}`, workshopExport)).body
      let now = begun
      while (now.bytes === null && now.problem === null) now = await look()
      expect(now).toMatchObject({ done: 4, of: 4, problem: null })
      const at = `${own.base}/api/v1/workshop/exports/${begun.id}/file`
      const whole = await fetch(at)
      expect(whole.headers.get('content-length')).toBe(String(now.bytes))
      expect(whole.headers.get('content-disposition')).toContain('.workshop.gz')
      const bytes = Buffer.from(await whole.arrayBuffer())
      expect(linesOf(bytes).at(-1)).toBe('{"kind":"end"}')
      const rest = await fetch(at, {
        headers: { range: 'bytes=100-', 'if-range': whole.headers.get('etag')! },
      })
      expect(rest.status).toBe(206)
      expect(Buffer.from(await rest.arrayBuffer())).toEqual(bytes.subarray(100))
      expect(
        (await fetch(`${own.base}/api/v1/workshop/exports/${begun.id}`, { method: 'DELETE' })).status,
      ).toBe(204)
      expect((await fetch(at)).status).toBe(404)
    } finally {
      await own.close()
    }
  })
  it('of another workshop, or of nobody, is none', async () => {
    const own = await testServer()
    try {
      const rosa = await own.people.owner()
      const nel = await own.people.enter('Nel', 'owner', await own.people.workshop())
      const begun = workshopExport.parse(
        await (await rosa.fetch('/workshop/exports', { method: 'POST', json: {} })).json(),
      )
      expect(await nel.status(`/workshop/exports/${begun.id}`)).toBe(404)
      expect(await nel.status(`/workshop/exports/${begun.id}`, 'DELETE')).toBe(404)
      expect(await rosa.status(`/workshop/exports/${randomUUID()}`)).toBe(404)
      // No more than a few are kept at once.
      const statuses: number[] = []
      for (let i = 0; i < 5; i += 1) statuses.push(await rosa.status('/workshop/exports', 'POST', {}))
      expect(statuses).toContain(503)
    } finally {
      await own.close()
    }
  })
})

describe('a connection over which files come and go', () => {
  it('gathers no listeners, however many go over it, and keeps the limit that it had', async () => {
    const own = await testServer()
    const warned: string[] = []
    const warn = (warning: Error) => void warned.push(warning.name)
    process.on('warning', warn)
    try {
      await filled(own)
      const agent = new Agent({ keepAlive: true, maxSockets: 1 })
      for (let i = 0; i < 14; i += 1)
        await new Promise<void>((done, failed) => {
          get(`${own.base}/api/v1/workshop/file`, { agent }, (answer) => answer.on('end', done).resume()).on(
            'error',
            failed,
          )
        })
      const [sockets] = Object.values(agent.freeSockets)
      expect(sockets).toHaveLength(1)
      agent.destroy()
      await new Promise((done) => setImmediate(done))
      expect(warned).not.toContain('MaxListenersExceededWarning')
    } finally {
      process.off('warning', warn)
      await own.close()
    }
  })
  it('is cut where nothing moves, and not while it is this server that lets it wait', async () => {
    const server = createServer((request, response) => {
      const asked = Object.assign(request, { res: response }) as unknown as Request
      if (request.url === '/idle') cutWhenIdle(asked, 30)
      else {
        cutWhenIdle(asked, 30)()
        letWait(asked)
        setTimeout(() => response.end('at last'), 200)
      }
    })
    await new Promise<void>((done) => server.listen(0, '127.0.0.1', done))
    const base = `http://127.0.0.1:${(server.address() as AddressInfo).port}`
    await expect(fetch(`${base}/idle`)).rejects.toThrow()
    expect(await (await fetch(`${base}/waits`)).text()).toBe('at last')
    server.closeAllConnections()
    await new Promise((done) => server.close(done))
  })
})

describe('temporary folders', () => {
  it('of runs that are dead are swept, and of those that live left alone', () => {
    const folder = mkdtempSync(join(tmpdir(), 'bold-ballast-swept-'))
    const make = (name: string, days = 0) => {
      mkdirSync(join(folder, name))
      const time = new Date(Date.now() - days * 86_400_000)
      utimesSync(join(folder, name), time, time)
    }
    // No process has a number so high.
    for (const name of [
      `bold-ballast-workshop-${process.pid}-aBc123`,
      'bold-ballast-workshop-99999999-aBc123',
      'bold-ballast-restore-99999999-aBc123',
      'bold-ballast-workshop-aBc123',
      'others-99999999-aBc123',
    ])
      make(name)
    make('bold-ballast-workshop-oLd456', 3)
    expect(sweepScratch(folder)).toBe(3)
    expect(readdirSync(folder).sort()).toEqual(
      [
        `bold-ballast-workshop-${process.pid}-aBc123`,
        'bold-ballast-workshop-aBc123',
        'others-99999999-aBc123',
      ].sort(),
    )
    rmSync(folder, { recursive: true })
  })
})
