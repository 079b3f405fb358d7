import { applyEdits, removalOf, type Line, putEdit } from '@bold-ballast/contract'
import { sampleLine } from '@bold-ballast/contract/sampleBuild'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { api } from './api'
import { commit, faultsIn, redo, sendAgain, undo } from './commit'
import { draft } from './draft'
import { here } from './here'
import { outbox } from './outbox'
import { selectLive, selectSummaries, selectView } from './selectors'
import { makeStore, type Store } from './store'
import { sampleDocument, TestBackend } from '../testing/testBackend'

const PlainRequest = globalThis.Request
let backend: TestBackend
let store: Store
let id: string

beforeEach(async () => {
  backend = new TestBackend(sampleDocument())
  id = backend.document.build.id
  // Outside a browser an address needs a host.
  vi.stubGlobal(
    'Request',
    class extends PlainRequest {
      constructor(input: string, init?: RequestInit) {
        super(`http://test${input}`, init)
      }
    },
  )
  vi.stubGlobal('fetch', backend.fetch)
  store = makeStore()
  await store.dispatch(api.endpoints.build.initiate(id))
})
afterEach(() => {
  store.dispatch(api.util.resetApiState())
  vi.unstubAllGlobals()
})

const view = () => selectView(store.getState(), id)!
const line = (at = 0): Line => view().lines[at]!
const setMass = (mass: number, at = 0) =>
  store.dispatch(commit(id, `Mass ${mass}`, [putEdit(view(), 'line', { ...bare(line(at)), mass })]))
const bare = ({ version: _, ...record }: Line) => record
const settled = () => vi.waitFor(() => expect(store.getState().outbox.pending).toHaveLength(0))

describe('the outbox', () => {
  it('shows a change at once and saves it', async () => {
    setMass(7)
    expect(line().mass).toBe(7)
    expect(backend.batches).toHaveLength(0)
    await settled()
    expect(backend.document.lines[0]!.mass).toBe(7)
    expect(line()).toMatchObject({ mass: 7, version: 2 })
  })

  it('shows a change that was saved while the build was being asked for', async () => {
    // The build is read before the change is written, and arrives after it.
    let release: () => void = () => undefined
    const held = new Promise<void>((done) => (release = done))
    let isFirst = true
    vi.stubGlobal('fetch', async (request: Request) => {
      const answer = await backend.fetch(request)
      if (request.method === 'GET' && isFirst) {
        isFirst = false
        await held
      }
      return answer
    })
    const asking = store.dispatch(api.endpoints.build.initiate(id, { forceRefetch: true }))
    setMass(7)
    await settled()
    release()
    await asking
    await vi.waitFor(() => expect(line()).toMatchObject({ mass: 7, version: 2 }))
  })

  it('sends quick changes of one line one after the other, each on the version before it', async () => {
    for (const mass of [2, 3, 4, 5]) setMass(mass)
    expect(line().mass).toBe(5)
    await settled()
    expect(backend.batches.map((b) => (b.edits[0] as { record: Line }).record.version)).toEqual([1, 2, 3, 4])
    expect(store.getState().outbox.refused).toHaveLength(0)
    expect(line()).toMatchObject({ mass: 5, version: 5 })
  })

  it('lets a new record be changed before it has been saved', async () => {
    const fresh = sampleLine(view().swaps[0]!.id, crypto.randomUUID(), 5)
    store.dispatch(commit(id, 'Add', [putEdit(view(), 'line', fresh)]))
    store.dispatch(commit(id, 'Change', [putEdit(view(), 'line', { ...fresh, mass: 9 })]))
    await settled()
    expect(backend.document.lines.find((l) => l.id === fresh.id)).toMatchObject({ mass: 9, version: 2 })
  })

  it('waits for a server that is away, and goes on when told', async () => {
    backend.mood = 'away'
    setMass(7)
    await vi.waitFor(() => expect(store.getState().outbox.away).not.toBeNull())
    expect(line().mass).toBe(7)
    setMass(8)
    backend.mood = 'well'
    store.dispatch(outbox.actions.nudged())
    await settled()
    expect(backend.document.lines[0]!.mass).toBe(8)
    expect(store.getState().outbox.away).toBeNull()
  })

  it('doesn’t take a lost answer for a conflict', async () => {
    backend.mood = 'lostAnswer'
    setMass(7)
    await settled()
    expect(backend.batches).toHaveLength(1)
    expect(store.getState().outbox.refused).toHaveLength(0)
    expect(line()).toMatchObject({ mass: 7, version: 2 })
  })

  it('rolls a refusal back, keeps what was typed, and sends it again', async () => {
    backend.mood = 'refuses'
    setMass(7)
    await settled()
    const [refused] = store.getState().outbox.refused
    expect(line().mass).toBe(1)
    expect(refused!.batch.edits[0]).toMatchObject({ record: { mass: 7 } })
    backend.mood = 'well'
    store.dispatch(sendAgain(refused!.batch.id, 'asItWas'))
    await settled()
    expect(line().mass).toBe(7)
    expect(store.getState().outbox.refused).toHaveLength(0)
  })

  it('shows both sides of a conflict, and mine can be kept over theirs', async () => {
    backend.document = {
      ...backend.document,
      lines: backend.document.lines.map((l) => ({ ...l, mass: 33, version: 4 })),
    }
    setMass(7)
    await settled()
    const [refused] = store.getState().outbox.refused
    expect(refused!.problem.conflicts![0]).toMatchObject({ yours: { mass: 7 }, theirs: { mass: 33 } })
    store.dispatch(sendAgain(refused!.batch.id, 'theirs'))
    await settled()
    expect(backend.document.lines.find((l) => l.id === line().id)).toMatchObject({ mass: 7, version: 5 })
  })

  it('goes on where a reload interrupted it', async () => {
    backend.mood = 'away'
    setMass(7)
    await vi.waitFor(() => expect(store.getState().outbox.away).not.toBeNull())
    const kept = JSON.parse(JSON.stringify(store.getState().outbox))
    const reloaded = makeStore()
    backend.mood = 'well'
    store.dispatch(outbox.actions.nudged())
    await settled()
    reloaded.dispatch(outbox.actions.found(kept))
    await vi.waitFor(() => expect(reloaded.getState().outbox.pending).toHaveLength(0))
    // Sent twice under one id, written once.
    expect(backend.batches).toHaveLength(1)
    reloaded.dispatch(api.util.resetApiState())
  })
})

describe('commit', () => {
  it('refuses what doesn’t fit before anything happens', () => {
    const faults = setMass(-1)
    expect(faults).toEqual([
      { field: 'mass', problem: 'A mass can’t be below zero. What comes off is a line of its own kind.' },
    ])
    expect(store.getState().outbox.pending).toHaveLength(0)
    expect(store.getState().history.past).toHaveLength(0)
  })
  it('finds nothing wrong with a removal', () =>
    expect(faultsIn(removalOf(view(), 'line', line().id)[0]!)).toBeNull())
})

describe('undo and redo', () => {
  it('travel back and forth, and end on the server, too', async () => {
    setMass(7)
    setMass(8)
    expect(store.dispatch(undo(id))!.became).toBe('done')
    expect(line().mass).toBe(7)
    store.dispatch(undo(id))
    expect(line().mass).toBe(1)
    store.dispatch(redo(id))
    expect(line().mass).toBe(7)
    await settled()
    expect(backend.document.lines[0]!.mass).toBe(7)
  })
  it('bring back a removed swap with its lines', async () => {
    store.dispatch(commit(id, 'Remove', removalOf(view(), 'swap', view().swaps[0]!.id)))
    expect(view().lines).toHaveLength(0)
    await settled()
    store.dispatch(undo(id))
    expect(view().lines).toHaveLength(2)
    await settled()
    expect(store.getState().outbox.refused).toHaveLength(0)
    expect(backend.document.swaps).toHaveLength(1)
  })
  it('remember fifty steps and no more', () => {
    for (let i = 1; i <= 55; i += 1) setMass(i)
    let taken = 0
    while (store.dispatch(undo(id))) taken += 1
    expect(taken).toBe(50)
    expect(line().mass).toBe(5)
  })
  it('forget the way forth once something new is done', () => {
    setMass(7)
    store.dispatch(undo(id))
    setMass(9)
    expect(store.dispatch(redo(id))).toBeNull()
  })
  it('don’t overwrite what somebody else has done since', async () => {
    setMass(7)
    await settled()
    backend.document = {
      ...backend.document,
      lines: backend.document.lines.map((l) => ({ ...l, mass: 50, version: l.version + 1 })),
    }
    await store.dispatch(api.endpoints.build.initiate(id, { forceRefetch: true }))
    expect(store.dispatch(undo(id))!.became).toBe('overtaken')
    expect(line().mass).toBe(50)
  })
  it('have nothing to do at the start', () => {
    expect(store.dispatch(undo(id))).toBeNull()
    expect(store.dispatch(redo(id))).toBeNull()
  })
})

describe('what is being typed', () => {
  it('of a record that somebody has removed meanwhile doesn’t count', async () => {
    const before = selectSummaries(store.getState(), id)[0]!.planned.mass.value
    const gone = line()
    const typing = putEdit(view(), 'line', { ...bare(gone), mass: 95 })
    store.dispatch(draft.actions.typing({ buildId: id, edits: [typing] }))
    expect(selectSummaries(store.getState(), id)[0]!.planned.mass.value).not.toBe(before)
    backend.document = applyEdits(backend.document, removalOf(view(), 'line', gone.id))
    await store.dispatch(api.endpoints.build.initiate(id, { forceRefetch: true }))
    expect(selectLive(store.getState(), id)!.lines.map((one) => one.id)).not.toContain(gone.id)
  })
  it('moves the totals and not the records', () => {
    const before = selectSummaries(store.getState(), id)[0]!.planned.mass.value
    store.dispatch(
      draft.actions.typing({ buildId: id, edits: [putEdit(view(), 'line', { ...bare(line()), mass: 11 })] }),
    )
    expect(selectSummaries(store.getState(), id)[0]!.planned.mass.value).toBeCloseTo(before - 10)
    expect(line().mass).toBe(1)
    expect(selectLive(store.getState(), id)!.lines[0]!.mass).toBe(11)
    store.dispatch(draft.actions.cleared())
    expect(selectLive(store.getState(), id)).toBe(view())
  })
  it('stays out of other builds', () => {
    store.dispatch(
      draft.actions.typing({
        buildId: crypto.randomUUID(),
        edits: [putEdit(view(), 'line', { ...bare(line()), mass: 11 })],
      }),
    )
    expect(selectLive(store.getState(), id)).toBe(view())
  })
})

describe('a refusal of before somebody came in', () => {
  it('doesn’t put them before the door again; one of afterwards does', async () => {
    let release: () => void = () => undefined
    const held = new Promise<void>((done) => (release = done))
    const refused = () =>
      Response.json({ type: '/problems/signed-out', title: '', status: 401 }, { status: 401 })
    vi.stubGlobal('fetch', async () => {
      await held
      return refused()
    })
    const early = store.dispatch(api.endpoints.workshop.initiate(undefined, { forceRefetch: true }))
    store.dispatch(here.actions.signedIn())
    release()
    await early
    expect(store.getState().here.isSignedOut).toBe(false)
    await store.dispatch(api.endpoints.workshop.initiate(undefined, { forceRefetch: true }))
    expect(store.getState().here.isSignedOut).toBe(true)
  })
})
