import { FORMAT_VERSION, type BuildDocument, type Me } from '@bold-ballast/contract'
import 'fake-indexeddb/auto'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { api, problemOf } from '../store/api'
import { deviceStore } from '../store/device'
import { makeStore, type Store } from '../store/store'
import { stubServer } from '../testing/stubServer'
import { sampleDocument } from '../testing/testBackend'
import { AnswerKeeper } from './AnswerKeeper'
import { buildAsked, ME_ASKED } from './kept'

const keeper = new AnswerKeeper(deviceStore)
const rosa: Me = {
  person: { id: crypto.randomUUID(), name: 'Rosa', login: 'rosa' },
  workshops: [{ id: crypto.randomUUID(), name: 'Shed', role: 'owner' }],
  isReached: true,
}
let document: BuildDocument
let store: Store

const keep = (key: string, body: unknown) =>
  keeper.keep({
    key,
    personId: rosa.person!.id,
    workshopId: null,
    endpoint: '',
    buildId: null,
    at: 1000,
    body,
  })
const ask = () => store.dispatch(api.endpoints.build.initiate(document.build.id))
const reached = () => store.getState().reach

beforeEach(async () => {
  await keeper.forget(() => true)
  document = sampleDocument()
  store = makeStore()
})
afterEach(() => {
  store.dispatch(api.util.resetApiState())
  vi.unstubAllGlobals()
  vi.useRealTimers()
})

describe('a server that can’t be reached', () => {
  it('is stood in for by what the device knew, and says since when', async () => {
    await keep(ME_ASKED, rosa)
    await keep(buildAsked(document.build.id), document)
    stubServer({ status: 503, body: {} })
    expect((await ask()).data).toEqual(document)
    expect(reached().knownAt).toEqual({ [buildAsked(document.build.id)]: 1000 })
    expect(reached().awaySince).not.toBeNull()
    // Once it answers, what it says is shown, and has no age.
    stubServer({ status: 200, body: { ...document, lines: [] } })
    const again = store.dispatch(
      api.endpoints.build.initiate(document.build.id, { forceRefetch: true, subscribe: false }),
    )
    expect((await again).data?.lines).toEqual([])
    expect(reached()).toMatchObject({ knownAt: {}, awaySince: null })
  })

  it('is said to be away where the device knows nothing', async () => {
    stubServer({ status: 503, body: { detail: 'The database is away.' } })
    expect(problemOf((await ask()).error).detail).toBe('The database is away.')
    expect(reached().knownAt).toEqual({})
  })

  it('lets nobody wait, and is heard when it answers after all', async () => {
    await keep(ME_ASKED, rosa)
    await keep(buildAsked(document.build.id), document)
    stubServer({ status: 200, body: { ...document, lines: [] } })
    const answer = globalThis.fetch
    let release: () => void = () => undefined
    const held = new Promise<void>((done) => (release = done))
    vi.stubGlobal('fetch', async (request: Request) => {
      await held
      return answer(request)
    })
    vi.useFakeTimers({ toFake: ['setTimeout'] })
    const asking = ask()
    await vi.advanceTimersByTimeAsync(3000)
    vi.useRealTimers()
    expect((await asking).data).toEqual(document)
    expect(reached().awaySince).toBeNull()
    expect(Object.keys(reached().knownAt)).toHaveLength(1)
    release()
    const shown = () => api.endpoints.build.select(document.build.id)(store.getState()).data
    await vi.waitFor(() => expect(shown()?.lines).toEqual([]))
    expect(reached().knownAt).toEqual({})
  })

  it('that refuses is not away: what it says stands', async () => {
    await keep(ME_ASKED, rosa)
    await keep(buildAsked(document.build.id), document)
    stubServer({ status: 404, body: { detail: 'There is no such build.' } })
    expect((await ask()).error).toMatchObject({ status: 404 })
    expect(reached().awaySince).toBeNull()
  })
})

describe('a server of another version', () => {
  it('is not read, and the page asks to be loaded again', async () => {
    stubServer({ status: 200, body: document }, { 'ballast-format': String(FORMAT_VERSION + 1) })
    expect(problemOf((await ask()).error).title).toBe('Another version')
    expect(reached().isOutgrown).toBe(true)
  })
})
