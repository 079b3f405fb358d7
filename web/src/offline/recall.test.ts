import { FORMAT_VERSION, type Me } from '@bold-ballast/contract'
import 'fake-indexeddb/auto'
import { beforeEach, describe, expect, it } from 'vitest'
import { deviceStore, type KeptAnswer } from '../store/device'
import { sampleDocument } from '../testing/testBackend'
import { AnswerKeeper } from './AnswerKeeper'
import { buildAsked, keyOf, ME_ASKED } from './kept'
import { recall } from './recall'

const newId = () => crypto.randomUUID()
const [shed, yard] = [newId(), newId()]
const rosa: Me = {
  person: { id: newId(), name: 'Rosa', login: 'rosa' },
  workshops: [
    { id: shed, name: 'Shed', role: 'owner' },
    { id: yard, name: 'Yard', role: 'helper' },
  ],
  isReached: true,
}
const keeper = new AnswerKeeper(deviceStore)
const keep = (key: string, body: unknown, personId = rosa.person!.id) =>
  keeper.keep({ key, personId, workshopId: null, endpoint: '', buildId: null, at: 1000, body })

beforeEach(() => keeper.forget(() => true))

describe('what a device knew last', () => {
  it('is of whoever was in here last, in the workshop that is open, and nobody else’s', async () => {
    const document = sampleDocument()
    const asked = buildAsked(document.build.id)
    await keep(asked, document)
    // Nobody knows whose it is.
    expect(await recall('build', asked, null)).toBeNull()
    await keep(ME_ASKED, rosa)
    expect(await recall('me', ME_ASKED, null)).toEqual({ data: rosa, at: 1000 })
    expect((await recall('build', asked, null))?.data).toEqual(document)

    await keep(keyOf('workshop', 'workshop(undefined)', shed), { name: 'Shed', shareOrigin: null })
    await keep(keyOf('workshop', 'workshop(undefined)', yard), { name: 'Yard', shareOrigin: null })
    const open = async (id: string | null) => (await recall('workshop', 'workshop(undefined)', id))?.data
    expect(await open(yard)).toMatchObject({ name: 'Yard' })
    // Where none is named, or one that isn't theirs any more, it is their first.
    expect(await open(null)).toMatchObject({ name: 'Shed' })
    expect(await open(newId())).toMatchObject({ name: 'Shed' })

    await keep(asked, document, newId())
    expect(await recall('build', asked, null)).toBeNull()
  })

  it('comes over from an older version, and is nothing where it can’t be read', async () => {
    const document = sampleDocument()
    const asked = buildAsked(document.build.id)
    await keep(ME_ASKED, rosa)
    // A version before had no such list yet.
    const { conditions: _, ...older } = document
    await keep(asked, older)
    expect(await recall('build', asked, null)).toBeNull()
    const store = await deviceStore()
    const kept = (await store.get('answers', asked)) as KeptAnswer
    await store.put('answers', { ...kept, formatVersion: FORMAT_VERSION - 1 })
    expect((await recall('build', asked, null))?.data).toMatchObject({ conditions: [] })
  })
})
