import { FORMAT_VERSION, putEdit, type BuildDocument } from '@bold-ballast/contract'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { sampleDocument } from '../testing/testBackend'
import { history, type Step } from './history'
import { historyKeeper, keepHistory, keptHistory } from './keptHistory'

/** A tab's storage with room for so many letters. */
class SmallStorage {
  readonly kept = new Map<string, string>()
  constructor(private readonly room: number) {}
  getItem = (key: string) => this.kept.get(key) ?? null
  removeItem = (key: string) => void this.kept.delete(key)
  setItem(key: string, text: string): void {
    if (text.length > this.room) throw new DOMException('full', 'QuotaExceededError')
    this.kept.set(key, text)
  }
}

const NOTHING = { past: [], future: [] }
const document: BuildDocument = sampleDocument()
const step = (label: string, buildId = document.build.id): Step => {
  const edit = putEdit(document, 'line', document.lines[0]!)
  return { buildId, label, done: [edit], inverse: [edit] }
}
const labels = (steps: readonly Step[]) => steps.map(({ label }) => label)

let leave: () => void
beforeEach(() => {
  vi.useFakeTimers()
  vi.stubGlobal('sessionStorage', new SmallStorage(1e6))
  vi.stubGlobal('window', { addEventListener: (_: string, on: () => void) => (leave = on) })
})
afterEach(() => {
  vi.useRealTimers()
  vi.unstubAllGlobals()
})

describe('what was done in a tab', () => {
  it('is there again after it was loaded anew, soon after it was done or as the tab goes', () => {
    const keep = historyKeeper()
    keep({ past: [step('First')], future: [] })
    keep({ past: [step('First'), step('Second')], future: [step('Third')] })
    expect(keptHistory()).toEqual(NOTHING)
    vi.runAllTimers()
    expect(labels(keptHistory().past)).toEqual(['First', 'Second'])
    expect(labels(keptHistory().future)).toEqual(['Third'])
    keep(NOTHING)
    leave()
    expect(keptHistory()).toEqual(NOTHING)
  })
  it('is its newest half where there is no room for all, and nothing where there is room for none', () => {
    const past = ['1', '2', '3', '4'].map((label) => step(label))
    const size = JSON.stringify(past[0]).length
    vi.stubGlobal('sessionStorage', new SmallStorage(size * 2 + 100))
    keepHistory({ past, future: [] })
    expect(labels(keptHistory().past)).toEqual(['3', '4'])
    const full = new SmallStorage(10)
    full.kept.set('bold-ballast.history', JSON.stringify({ formatVersion: FORMAT_VERSION, past, future: [] }))
    vi.stubGlobal('sessionStorage', full)
    keepHistory({ past: [step('5')], future: [] })
    expect(keptHistory()).toEqual(NOTHING)
  })
  it('comes over from an older version of the application', () => {
    const { changedOn: _, ...old } = document.lines[0]!
    const edit = { op: 'put', kind: 'line', record: old }
    const kept = { formatVersion: 6, future: [], past: [{ ...step('Old'), done: [edit], inverse: [edit] }] }
    sessionStorage.setItem('bold-ballast.history', JSON.stringify(kept))
    const [found] = keptHistory().past
    expect(found?.done[0]).toMatchObject({ record: { changedOn: null } })
  })
  it('is nothing where what stands there can’t be read', () => {
    sessionStorage.setItem('bold-ballast.history', '{"past":')
    expect(keptHistory()).toEqual(NOTHING)
    sessionStorage.setItem('bold-ballast.history', '{"past":7}')
    expect(keptHistory()).toEqual(NOTHING)
  })
})

describe('steps of two builds', () => {
  it('don’t stand in each other’s way', () => {
    const { did, undid } = history.actions
    const [here, there, next] = [step('Here'), step('There', crypto.randomUUID()), step('Next')]
    let state = [did(here), did(there), undid(there)].reduce(history.reducer, NOTHING)
    state = history.reducer(state, did(next))
    expect(labels(state.past)).toEqual(['Here', 'Next'])
    expect(labels(state.future)).toEqual(['There'])
  })
})
