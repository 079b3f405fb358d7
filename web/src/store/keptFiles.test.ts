import 'fake-indexeddb/auto'
import { MADE_AT_HEADER, putEdit } from '@bold-ballast/contract'
import { documentFrom, sampleBuild, sampleLine } from '@bold-ballast/contract/sampleBuild'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { deviceStore } from './device'
import { dropFile, dropFilesOf, keepFile, sendFileAgain, sendKeptFiles, waitingFile } from './keptFiles'
import { outbox } from './outbox'
import { digestOf, noteSeen } from './seenFiles'
import { makeStore } from './store'

const buildId = crypto.randomUUID()
const blob = (text: string) => new Blob([text])
const sha = (text: string) => digestOf(blob(text))

/** A server that keeps one file of each record, as the real one does; what it says can be said otherwise. */
function stubFiles() {
  const there = new Map<string, string>()
  const sent: { at: string; text: string; headers: Headers }[] = []
  let say: ((text: string) => Response | null | Promise<Response | null>) | null = null
  const problemOf = (status: number, more: object = {}) =>
    new Response(
      JSON.stringify({ type: '/problems/x', title: 'X', status, detail: `said ${status}`, ...more }),
      { status },
    )
  vi.stubGlobal('fetch', async (url: string, init: RequestInit = {}) => {
    if (init.method !== 'PUT') {
      const digest = there.get(url)
      return new Response(null, { status: 204, headers: digest ? { etag: `"${digest}"` } : {} })
    }
    const text = await (init.body as Blob).text()
    const headers = new Headers(init.headers)
    sent.push({ at: url, text, headers })
    const said = say ? await say(text) : null
    if (said) return said
    const before = there.get(url) ?? null
    const digest = await sha(text)
    const replaces = headers.get('if-match')?.replaceAll('"', '') ?? null
    if (before !== digest && before !== replaces)
      return problemOf(409, { file: before && { sha256: before, by: 'Ida', at: '2026-11-01T10:00:00.000Z' } })
    there.set(url, digest)
    return new Response(null, { status: 204 })
  })
  return {
    there,
    sent,
    problemOf,
    /** What it says from now on; null for what it would. */
    says: (next: typeof say) => void (say = next),
  }
}
let server: ReturnType<typeof stubFiles>
beforeEach(() => {
  vi.useFakeTimers({ toFake: ['setTimeout'] })
  server = stubFiles()
})
afterEach(async () => {
  vi.useRealTimers()
  vi.unstubAllGlobals()
  await (await deviceStore()).clear('files')
})
/** Time passes until something is so. */
const until = (is: () => boolean | Promise<boolean>) =>
  vi.waitFor(
    async () => {
      await vi.advanceTimersByTimeAsync(2000)
      expect(await is()).toBe(true)
    },
    { timeout: 10_000 },
  )
const at = (id: string) => `/api/v1/builds/${buildId}/lines/${id}/photo`
const kept = async () => (await deviceStore()).getAll('files')

describe('files of one record', () => {
  it('are sent one after the other, and of those that wait only the newest', async () => {
    const store = makeStore()
    const id = crypto.randomUUID()
    let answer: (said: Response | null) => void = () => undefined
    server.says(() => new Promise((done) => (answer = done)))
    const sending = [store.dispatch(keepFile('photo', buildId, id, blob('first'), 'Door'))]
    await until(() => server.sent.length === 1)
    for (const text of ['second', 'third', 'fourth']) {
      sending.push(store.dispatch(keepFile('photo', buildId, id, blob(text), 'Door')))
      await until(
        async () =>
          (await kept()).some((file) => file.sha256 === undefined) ||
          (await sha(text)) === (await kept()).find((f) => f.before?.length)?.sha256,
      )
    }
    expect(
      await (await waitingFile('photo', id, new Set(store.getState().outbox.files.map((f) => f.id))))?.text(),
    ).toBe('fourth')
    server.says(null)
    answer(null)
    await until(() => store.getState().outbox.files.length === 0)
    await Promise.all(sending)
    expect(server.sent.map(({ text }) => text)).toEqual(['first', 'fourth'])
    expect(server.there.get(at(id))).toBe(await sha('fourth'))
    expect(await kept()).toEqual([])
  })
  it('left by a closed tab go out as they were made, not as they are called', async () => {
    const id = crypto.randomUUID()
    const store = await deviceStore()
    for (const [place, text] of ['older', 'newest', 'old'].entries())
      await store.put('files', {
        id: `${'cab'[place]}`,
        kind: 'photo',
        buildId,
        recordId: id,
        body: blob(text),
        at: text === 'newest' ? 3 : place,
        replaces: null,
      })
    const shop = makeStore()
    await shop.dispatch(sendKeptFiles())
    expect(server.sent.map(({ text }) => text)).toEqual(['newest'])
    expect(await kept()).toEqual([])
  })
  it('take over where an earlier one got there though its answer was lost', async () => {
    const store = makeStore()
    const id = crypto.randomUUID()
    let isLost = true
    server.says(async (text) => {
      if (!isLost) return null
      server.there.set(at(id), await sha(text))
      throw new TypeError('no network')
    })
    const first = store.dispatch(keepFile('photo', buildId, id, blob('first'), 'Door'))
    await until(() => store.getState().outbox.filesAway !== null)
    isLost = false
    void store.dispatch(keepFile('photo', buildId, id, blob('second'), 'Door'))
    await until(() => store.getState().outbox.files.length === 0)
    await first
    expect(server.there.get(at(id))).toBe(await sha('second'))
    expect(store.getState().outbox.refusedFiles).toEqual([])
  })
})

describe('a file', () => {
  it('says what it takes the place of, what is in it and when it was made', async () => {
    const store = makeStore()
    const id = crypto.randomUUID()
    server.there.set(at(id), await sha('before'))
    noteSeen('photo', id, await sha('before'))
    const from = Date.now()
    await store.dispatch(keepFile('photo', buildId, id, blob('after'), 'Door'))
    const [{ headers }] = server.sent as [(typeof server.sent)[number]]
    expect(headers.get('if-match')).toBe(`"${await sha('before')}"`)
    expect(Date.parse(headers.get(MADE_AT_HEADER)!)).toBeGreaterThanOrEqual(from)
    expect(headers.get('content-digest')).toMatch(/^sha-256=:[\w+/]{43}=:$/)
  })
  it('of which nobody has seen what is there asks first', async () => {
    const store = makeStore()
    const id = crypto.randomUUID()
    server.there.set(at(id), await sha('before'))
    await store.dispatch(keepFile('photo', buildId, id, blob('after'), 'Door'))
    expect(server.there.get(at(id))).toBe(await sha('after'))
  })
  it.each([403, 404, 409, 413, 415, 422])(
    'that is refused with %i is kept until somebody chooses',
    async (status) => {
      const store = makeStore()
      const id = crypto.randomUUID()
      server.says(() => server.problemOf(status))
      void store.dispatch(keepFile('photo', buildId, id, blob('mine'), 'Door'))
      await until(() => store.getState().outbox.refusedFiles.length === 1)
      const { files, refusedFiles } = store.getState().outbox
      expect(files).toEqual([])
      expect(refusedFiles).toMatchObject([
        { kind: 'photo', name: 'Door', buildId, problem: { detail: `said ${status}` } },
      ])
      // Another tab, or this one after a reload, has it too.
      const again = makeStore()
      await again.dispatch(sendKeptFiles())
      expect(again.getState().outbox.refusedFiles).toHaveLength(1)
      // Tried again it goes.
      server.says(null)
      await again.dispatch(sendFileAgain(refusedFiles[0]!.id))
      expect(server.there.get(at(id))).toBe(await sha('mine'))
      expect([again.getState().outbox.refusedFiles, await kept()]).toEqual([[], []])
    },
  )
  it.each([401, 408, 429, 500, 503])(
    'waits where the server says %i, and goes once it doesn’t',
    async (status) => {
      const store = makeStore()
      const id = crypto.randomUUID()
      server.says(() => server.problemOf(status))
      const sending = store.dispatch(keepFile('photo', buildId, id, blob('mine'), 'Door'))
      await until(() => server.sent.length > 25)
      expect(store.getState().outbox).toMatchObject({ refusedFiles: [], filesAway: `said ${status}` })
      expect(await kept()).toHaveLength(1)
      server.says(null)
      await until(() => store.getState().outbox.files.length === 0)
      await sending
      expect(server.there.get(at(id))).toBe(await sha('mine'))
    },
  )
  it('that somebody else was quicker with is put there by choice only, or dropped', async () => {
    const store = makeStore()
    const id = crypto.randomUUID()
    noteSeen('photo', id, null)
    server.there.set(at(id), await sha('of Ida'))
    await store.dispatch(keepFile('photo', buildId, id, blob('mine'), 'Door'))
    const [refused] = store.getState().outbox.refusedFiles
    expect(refused!.problem.file).toMatchObject({ by: 'Ida' })
    expect(server.there.get(at(id))).toBe(await sha('of Ida'))
    await store.dispatch(sendFileAgain(refused!.id))
    expect(server.there.get(at(id))).toBe(await sha('mine'))
    server.there.set(at(id), await sha('of Ida again'))
    await store.dispatch(keepFile('photo', buildId, id, blob('mine again'), 'Door'))
    await store.dispatch(dropFile(store.getState().outbox.refusedFiles[0]!.id))
    expect([server.there.get(at(id)), await kept()]).toEqual([await sha('of Ida again'), []])
  })
  it('that this device has no room for is sent all the same, and says that it isn’t kept', async () => {
    const store = makeStore()
    const id = crypto.randomUUID()
    const full = vi.spyOn(IDBObjectStore.prototype, 'put').mockImplementation(() => {
      throw new DOMException('full', 'QuotaExceededError')
    })
    server.says(() => server.problemOf(503))
    const sending = store.dispatch(keepFile('photo', buildId, id, blob('mine'), 'Door'))
    await until(() => store.getState().outbox.files.length === 1)
    const [waits] = store.getState().outbox.files
    expect(waits!.isKept).toBe(false)
    expect(await (await waitingFile('photo', id, new Set([waits!.id])))?.text()).toBe('mine')
    full.mockRestore()
    server.says(null)
    await until(() => store.getState().outbox.files.length === 0)
    await sending
    expect(server.there.get(at(id))).toBe(await sha('mine'))
  })
  it('of an entry that was not taken is decided with it', async () => {
    const store = makeStore()
    const document = documentFrom(sampleBuild(() => crypto.randomUUID()))
    const line = sampleLine(document.swaps[0]!.id, crypto.randomUUID())
    const batch = {
      id: crypto.randomUUID(),
      label: 'Add',
      author: '',
      edits: [putEdit(document, 'line', line)],
    }
    const problem = { type: '/problems/not-valid', title: 'It is frozen', status: 422, detail: 'frozen' }
    store.dispatch(outbox.actions.refused({ buildId, batch: batch as never, by: null, problem }))
    void store.dispatch(keepFile('photo', buildId, line.id, blob('mine'), 'Door', true))
    await until(() => store.getState().outbox.files.length === 1)
    await vi.advanceTimersByTimeAsync(60_000)
    expect(server.sent).toEqual([])
    store.dispatch(outbox.actions.settled(batch.id))
    await store.dispatch(dropFilesOf(new Set([line.id])))
    await vi.advanceTimersByTimeAsync(2000)
    expect([server.sent, store.getState().outbox.files, await kept()]).toEqual([[], [], []])
  })
})
