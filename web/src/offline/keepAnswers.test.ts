import type { Me, Role } from '@bold-ballast/contract'
import 'fake-indexeddb/auto'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { api } from '../store/api'
import { deviceStore } from '../store/device'
import { here } from '../store/here'
import { makeStore, type Store } from '../store/store'
import { sampleDocument } from '../testing/testBackend'
import { AnswerKeeper } from './AnswerKeeper'
import { keepAnswers } from './keepAnswers'
import { buildAsked, ME_ASKED } from './kept'

const newId = () => crypto.randomUUID()
const shed = newId()
const rosaId = newId()
const meOf = (id: string, role: Role = 'owner'): Me => ({
  person: { id, name: 'Somebody', login: 'somebody' },
  workshops: [{ id: shed, name: 'Shed', role }],
  isReached: true,
})
const keeper = new AnswerKeeper(deviceStore)
const keys = async () => (await keeper.list()).map(({ key }) => key).sort()

let store: Store
const enter = (me: Me) => store.dispatch(api.util.upsertQueryData('me', undefined, me))
const show = (document = sampleDocument()) => {
  void store.dispatch(api.util.upsertQueryData('build', document.build.id, document))
  return buildAsked(document.build.id)
}

beforeEach(async () => {
  vi.stubGlobal('document', Object.assign(new EventTarget(), { visibilityState: 'visible' }))
  await keeper.forget(() => true)
  store = makeStore()
  keepAnswers(store, keeper)
})
afterEach(() => vi.unstubAllGlobals())

describe('what is kept for when there is no network', () => {
  it('is what whoever is signed in has seen, as it is now', async () => {
    const asked = show()
    // Nobody is known yet.
    await new Promise((done) => setTimeout(done, 300))
    expect(await keys()).toEqual([])
    await enter(meOf(rosaId))
    await vi.waitFor(async () => expect(await keys()).toEqual([asked, ME_ASKED].sort()))
    const { personId, workshopId } = (await keeper.recall(asked))!.answer
    expect([personId, workshopId]).toEqual([rosaId, shed])
  })

  it('goes where somebody else comes, or somebody may see less than before', async () => {
    await enter(meOf(rosaId))
    const asked = show()
    await vi.waitFor(async () => expect(await keys()).toContain(asked))
    store.dispatch(api.util.resetApiState())
    await enter(meOf(rosaId, 'helper'))
    await vi.waitFor(async () => expect(await keys()).toEqual([ME_ASKED]))

    const other = show()
    await vi.waitFor(async () => expect(await keys()).toContain(other))
    store.dispatch(api.util.resetApiState())
    await enter(meOf(newId(), 'helper'))
    await vi.waitFor(async () => expect(await keys()).toEqual([ME_ASKED]))
  })

  it('goes when somebody signs out', async () => {
    await enter(meOf(rosaId))
    const asked = show()
    await vi.waitFor(async () => expect(await keys()).toContain(asked))
    store.dispatch(here.actions.signedOut())
    await vi.waitFor(async () => expect(await keys()).toEqual([]))
  })
})
