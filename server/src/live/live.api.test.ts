import { buildDocument, LIVE_EVENTS, type Edit, type LiveEvent } from '@bold-ballast/contract'
import { sampleBuild } from '@bold-ballast/contract/sampleBuild'
import { randomUUID } from 'node:crypto'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import type { Visitor } from '../testing/testPeople'
import { testServer, type TestServer } from '../testing/testServer'

let server: TestServer
/** Another server of the same records. */
let twin: TestServer
let owner: Visitor
let buildId: string
beforeAll(async () => {
  server = await testServer()
  twin = await testServer({}, { url: server.url, drop: async () => undefined })
  owner = await server.people.owner()
  server.askAs(owner)
  buildId = (await server.add(sampleBuild(randomUUID))).body.id
})
afterAll(async () => {
  await twin.close()
  await server.close()
})

interface Heard {
  readonly name: LiveEvent
  readonly data: unknown
}

/** Listens at one of the servers; what was heard is checked against the contract. */
async function listen(at: TestServer, as: Visitor, build = buildId) {
  const stop = new AbortController()
  const response = await fetch(`${at.base}/api/v1/builds/${build}/events`, {
    headers: { cookie: as.cookie },
    signal: stop.signal,
  })
  expect(response.headers.get('content-type')).toBe('text/event-stream')
  const heard: Heard[] = []
  let isOver = false
  const reading = (async () => {
    let text = ''
    for await (const chunk of response.body!.pipeThrough(new TextDecoderStream())) {
      text += chunk
      const parts = text.split('\n\n')
      text = parts.pop()!
      for (const part of parts) {
        const [, name, data] = /^event: (\w+)\ndata: (.*)$/.exec(part) ?? []
        if (name && data)
          heard.push({
            name: name as LiveEvent,
            data: LIVE_EVENTS[name as LiveEvent].parse(JSON.parse(data)),
          })
      }
    }
  })()
    .catch(() => undefined)
    .finally(() => (isOver = true))
  const until = async (is: (one: Heard) => boolean): Promise<Heard> => {
    for (let i = 0; i < 200; i += 1) {
      const found = heard.find(is)
      if (found) return found
      await new Promise((done) => setTimeout(done, 25))
    }
    throw new Error(`not heard; only ${JSON.stringify(heard).slice(0, 500)}`)
  }
  await until(({ name }) => name === 'hello')
  return {
    heard,
    until,
    isOver: () => isOver,
    over: reading,
    stop: async () => {
      stop.abort()
      await reading
    },
  }
}

const rename = async (name: string): Promise<Edit> => {
  const { body } = await server.read(buildId)
  return { op: 'put', kind: 'stage', record: { ...body.stages[0]!, name } }
}

describe('what one person saves', () => {
  it('is told to all who look at the build, at whichever server, once and in order', async () => {
    const [here, there] = [await listen(server, owner), await listen(twin, owner)]
    const names = ['First', 'Second', 'Third']
    const batches: string[] = []
    for (const name of names) {
      const id = randomUUID()
      batches.push(id)
      await server.edit(buildId, [await rename(name)], id)
    }
    for (const line of [here, there]) {
      await line.until(({ data }) => (data as { batchId?: string }).batchId === batches.at(-1))
      const edited = line.heard.filter(({ name }) => name === 'edited')
      expect(edited.map(({ data }) => (data as { batchId: string }).batchId)).toEqual(batches)
      const [first] = (edited[0]!.data as { edits: Edit[] }).edits
      expect(first).toMatchObject({ op: 'put', kind: 'stage', record: { name: 'First', version: 1 } })
      await line.stop()
    }
  })
  it('is only said to have happened where another build is open, and not told next door', async () => {
    const other = (await server.add(sampleBuild(randomUUID))).body.id
    const line = await listen(twin, owner, other)
    const elsewhere = await server.people.workshop()
    const nel = await server.people.enter('Nel', 'owner', elsewhere)
    const response = await nel.fetch('/builds', { method: 'POST', json: sampleBuild(randomUUID) })
    const theirs = ((await response.json()) as { id: string }).id
    const nextDoor = await listen(twin, nel, theirs)
    await server.edit(buildId, [await rename('Quietly')])
    const { data } = await line.until(({ name }) => name === 'changed')
    expect(data).toEqual({ buildId, kinds: ['stage'] })
    await server.add(sampleBuild(randomUUID))
    await line.until(({ name }) => name === 'builds')
    expect(nextDoor.heard.map(({ name }) => name)).toEqual(['hello'])
    await Promise.all([line.stop(), nextDoor.stop()])
  })
  it('tells no money to whoever sees none', async () => {
    const helper = await server.people.enter('Hal', 'helper')
    const [shown, whole] = [await listen(twin, helper), await listen(twin, owner)]
    const { body } = await server.read(buildId)
    const swap = { ...body.swaps[0]!, cost: 424_242 }
    await server.edit(buildId, [{ op: 'put', kind: 'swap', record: swap }])
    const seen = JSON.stringify(await whole.until(({ name }) => name === 'edited'))
    expect(seen).toContain('424242')
    expect(JSON.stringify(await shown.until(({ name }) => name === 'edited'))).not.toContain('424242')
    await Promise.all([shown.stop(), whole.stop()])
  })
  it('is asked for where it is too much to be told', async () => {
    const line = await listen(server, owner)
    const { body } = await server.read(buildId)
    const lines = Array.from({ length: 600 }, (): Edit => ({
      op: 'put',
      kind: 'line',
      record: { ...body.lines[0]!, id: randomUUID(), version: 0 },
    }))
    await server.edit(buildId, lines)
    const { data } = await line.until(({ name }) => name === 'changed')
    expect(data).toEqual({ buildId, kinds: ['line'] })
    await line.stop()
  })
})

describe('a stream', () => {
  it('ends when its session does, and when a role changes, at every server', async () => {
    for (const end of [
      (one: Visitor) => one.status('/sign-out', 'POST', {}),
      (one: Visitor) => owner.status(`/members/${one.id}`, 'PUT', { role: 'guest' }),
      (one: Visitor) => owner.status(`/members/${one.id}`, 'DELETE'),
    ]) {
      const one = await server.people.enter('Uli', 'builder')
      const line = await listen(twin, one)
      expect(await end(one)).toBe(204)
      await line.until(({ name }) => name === 'ended')
      await line.stop()
      expect(line.isOver()).toBe(true)
    }
  })
  it('of a build that is not there, or not theirs, is none', async () => {
    for (const id of [randomUUID(), 'x']) expect(await owner.status(`/builds/${id}/events`)).toBe(404)
  })
})

describe('who is where', () => {
  const where = (more: object = {}) => ({
    tab: randomUUID(),
    room: 'swaps',
    stageId: null,
    recordId: null,
    ...more,
  })

  it('is told to all who look at the build, by the name of the session, until they leave', async () => {
    const mara = await server.people.enter('Mara', 'builder')
    const line = await listen(twin, owner)
    const recordId = randomUUID()
    const there = where({ name: 'Eve', recordId })
    expect(await mara.status(`/builds/${buildId}/presence`, 'POST', there)).toBe(204)
    const heard = (await line.until(({ name }) => name === 'present')) as { data: { present: object[] } }
    expect(heard.data.present).toEqual([{ ...there, name: 'Mara', personId: mara.id }])
    // Said again, nothing is otherwise.
    await mara.status(`/builds/${buildId}/presence`, 'POST', there)
    await mara.status(`/builds/${buildId}/presence`, 'POST', { ...there, isGone: true })
    await line.until(
      ({ name, data }) => name === 'present' && (data as { present: object[] }).present.length === 0,
    )
    expect(line.heard.filter(({ name }) => name === 'present')).toHaveLength(2)
    await line.stop()
  })
  it('is over after a while without a word', async () => {
    const tab = randomUUID()
    await owner.status(`/builds/${buildId}/presence`, 'POST', where({ tab }))
    await server
      .db('presences')
      .where({ tab })
      .update({ seenAt: server.db.raw(`now() - interval '1 minute'`) })
    const line = await listen(server, owner)
    expect(line.heard[0]!.data).toEqual({ present: [] })
    await line.stop()
  })
  it('is refused where it makes no sense, and for a build next door is not kept', async () => {
    expect(await owner.status(`/builds/${buildId}/presence`, 'POST', { tab: 'x' })).toBe(422)
    const elsewhere = await server.people.workshop()
    const nel = await server.people.enter('Nelly', 'owner', elsewhere)
    await nel.status(`/builds/${buildId}/presence`, 'POST', where())
    const count = await server.db('presences').where({ workshopId: elsewhere }).count()
    expect(Number(count[0]!['count'])).toBe(0)
  })
})

describe('the line between servers', () => {
  it('is made again when it breaks, and listeners are told to ask anew', async () => {
    const line = await listen(twin, owner)
    await server.db.raw(
      `select pg_terminate_backend(pid) from pg_stat_activity
       where datname = current_database() and query = 'LISTEN ballast'`,
    )
    await line.until(({ name }) => name === 'changed')
    const id = randomUUID()
    await server.edit(buildId, [await rename('After all')], id)
    await line.until(({ data }) => (data as { batchId?: string }).batchId === id)
    await line.stop()
  })
})

describe('a stream that was opened before there were accounts', () => {
  it('ends when they begin, at every server, and so do those of devices', async () => {
    const own = await testServer()
    const other = await testServer({}, { url: own.url, drop: async () => undefined })
    try {
      const build = (await own.add(sampleBuild(randomUUID))).body.id
      const nobody = own.people.stranger()
      const lines = [await listen(own, nobody, build), await listen(other, nobody, build)]
      const pads = await fetch(`${other.base}/api/v1/devices/pads`)
      const first = await own.people.owner()
      await Promise.all(lines.map((line) => line.until(({ name }) => name === 'ended')))
      // Nothing that is done from now on is told to them.
      const { stages } = await first.ask(`/builds/${build}`, buildDocument)
      const record = { ...stages[0]!, name: 'Said to nobody' }
      await first.status(`/builds/${build}/edits`, 'POST', {
        id: randomUUID(),
        label: 'test',
        edits: [{ op: 'put', kind: 'stage', record }],
      })
      await Promise.all(lines.map((line) => line.over))
      expect(lines.flatMap(({ heard }) => heard.map(({ name }) => name))).not.toContain('edited')
      // Readings end, too: reading to the end comes to an end.
      expect(await pads.text()).toContain('event: pads')
    } finally {
      await other.close()
      await own.close()
    }
  })
})
