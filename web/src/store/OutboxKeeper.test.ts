import { FORMAT_VERSION, type EditBatch, type Problem } from '@bold-ballast/contract'
import { sampleLine } from '@bold-ballast/contract/sampleBuild'
import 'fake-indexeddb/auto'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { deviceStore } from './device'
import type { Pending } from './outbox'
import { OutboxKeeper, type Found } from './OutboxKeeper'

const newId = () => crypto.randomUUID()
const waiting = (mass: number): Pending => {
  const record = { ...sampleLine(newId(), newId(), 0), mass, version: 0 }
  const batch = { id: newId(), label: 'Add', author: '', edits: [{ op: 'put', kind: 'line', record }] }
  return { buildId: newId(), batch: batch as unknown as EditBatch, by: null }
}
const problem: Problem = { type: '/problems/conflict', title: 'Changed', status: 409, detail: 'By others.' }

/** Locks as a browser has them: one holder, the others wait for the end of it. */
class TestLocks {
  private readonly last = new Map<string, Promise<unknown>>()
  request = async (name: string, work: () => unknown): Promise<unknown> => {
    const before = this.last.get(name) ?? Promise.resolve()
    const mine = before.then(work)
    this.last.set(name, mine)
    return mine
  }
  /** As a browser does when a tab is closed. */
  release(name: string): void {
    this.last.delete(name)
  }
}

let locks: TestLocks
const keeper = (tab: string, tell: (isKept: boolean) => void = () => undefined) =>
  new OutboxKeeper(deviceStore, tab, locks as unknown as LockManager, tell)

beforeEach(async () => {
  const store = await deviceStore()
  await store.clear('batches')
  locks = new TestLocks()
})

/** Opens a tab. What it finds it hears in its own time; what it doesn't find it has had time enough to. */
async function finds(tab: string, expected: readonly Found[]): Promise<void> {
  const heard: Found[] = []
  await keeper(tab).adopt((f) => heard.push(f))
  if (expected.length === 0) await new Promise((done) => setTimeout(done, 20))
  await vi.waitFor(() => expect(heard).toEqual(expected))
}
/** The same of one that finds something, whatever it is. */
async function findsOne(tab: string): Promise<Found> {
  const heard: Found[] = []
  await keeper(tab).adopt((f) => heard.push(f))
  await vi.waitFor(() => expect(heard).toHaveLength(1))
  return heard[0]!
}

describe('what waits when a tab is closed', () => {
  it('is found by the next tab, in the order in which it was done, refused ones apart', async () => {
    const [a, b, c] = [waiting(1), waiting(2), waiting(3)]
    const first = keeper('first')
    first.keep({ pending: [a], refused: [] })
    first.keep({ pending: [a, b], refused: [{ ...c, problem }] })
    await first.settled()
    expect(first.isKept).toBe(true)
    await finds('second', [{ pending: [a, b], refused: [{ ...c, problem }] }])
    // It is the second's now.
    await finds('third', [])
    locks.release('bold-ballast.tab.second')
    await finds('fourth', [{ pending: [a, b], refused: [{ ...c, problem }] }])
  })
  it('is left to a tab that is open, until that is closed', async () => {
    const open = keeper('open')
    await open.adopt(() => undefined)
    open.keep({ pending: [waiting(1)], refused: [] })
    await open.settled()
    await finds('other', [])
    locks.release('bold-ballast.tab.open')
    await findsOne('third')
  })
  it('is kept on through what is typed while it is being taken over', async () => {
    const [a, b] = [waiting(1), waiting(2)]
    const first = keeper('first')
    first.keep({ pending: [a], refused: [] })
    await first.settled()
    const second = keeper('second')
    let state: Found = { pending: [b], refused: [] }
    const adopting = second.adopt((f) => {
      state = { pending: [...f.pending, ...state.pending], refused: [] }
      second.keep(state)
    })
    // Typed before anything was found, and written at any time since.
    for (let i = 0; i < 5; i += 1) {
      second.keep(state)
      await new Promise((done) => setTimeout(done))
    }
    await adopting
    await second.settled()
    expect(state.pending).toEqual([a, b])
    locks.release('bold-ballast.tab.second')
    await finds('third', [{ pending: [a, b], refused: [] }])
  })
  it('is no more what was delivered meanwhile, and of the rest what it became by that', async () => {
    const [a, b] = [waiting(1), waiting(2)]
    const first = keeper('first')
    first.keep({ pending: [a, b], refused: [] })
    const edits = b.batch.edits.map((e) =>
      e.op === 'put' ? { ...e, record: { ...e.record, version: 4 } } : e,
    )
    const restamped = { ...b, batch: { ...b.batch, edits } } as Pending
    first.keep({ pending: [restamped], refused: [] })
    await first.settled()
    await finds('second', [{ pending: [restamped], refused: [] }])
  })
  it('comes over where it was kept by an older version of the application', async () => {
    const { buildId, batch } = waiting(1)
    const old = structuredClone(batch) as unknown as { edits: { record: Record<string, unknown> }[] }
    delete old.edits[0]!.record['changedOn']
    const store = await deviceStore()
    await store.put('batches', {
      id: batch.id,
      place: 1,
      tab: 'old',
      formatVersion: 6,
      buildId,
      problem: null,
      batch: old as unknown as EditBatch,
    })
    const { pending } = await findsOne('new')
    expect(pending[0]!.batch.edits[0]).toMatchObject({ record: { changedOn: null } })
    expect(FORMAT_VERSION).toBeGreaterThan(6)
  })
})

describe('a device that keeps nothing', () => {
  it('is told of, and told of again once it has room', async () => {
    const told: boolean[] = []
    let isFull = true
    const full = new OutboxKeeper(
      () => (isFull ? Promise.reject(new DOMException('full', 'QuotaExceededError')) : deviceStore()),
      'tab',
      undefined,
      (isKept) => told.push(isKept),
    )
    const state = { pending: [waiting(1)], refused: [] }
    full.keep(state)
    expect(full.isKept).toBe(false)
    await full.settled()
    expect([told, full.isKept]).toEqual([[false], false])
    isFull = false
    full.keep(state)
    await full.settled()
    expect([told, full.isKept]).toEqual([[false, true], true])
    await finds('next', [state])
  })
})
