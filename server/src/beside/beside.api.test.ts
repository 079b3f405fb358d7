import {
  buildDocument,
  historyPage,
  MADE_AT_HEADER,
  photoList,
  problem,
  type BuildDocument,
} from '@bold-ballast/contract'
import { sampleBuild } from '@bold-ballast/contract/sampleBuild'
import { createHash, randomUUID } from 'node:crypto'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { signedSeal } from '../testing/signedSeal'
import type { Visitor } from '../testing/testPeople'
import { testServer, type TestServer } from '../testing/testServer'

let server: TestServer
let owner: Visitor
let helper: Visitor
let other: Visitor
let buildId: string
let lineIds: string[]
beforeAll(async () => {
  server = await testServer()
  owner = await server.people.owner()
  helper = await server.people.enter('Hal', 'helper')
  other = await server.people.enter('Ona', 'helper')
  const file = sampleBuild(randomUUID, { swaps: 1, linesEach: 6 })
  await owner.status('/builds', 'POST', file)
  buildId = file.build.id
  lineIds = file.lines.map((line) => line.id)
})
afterAll(() => server.close())

const digest = (text: string) => createHash('sha256').update(text).digest('hex')
const at = (place: number) => `/builds/${buildId}/lines/${lineIds[place]}/photo`
const put = (
  who: Visitor,
  place: number,
  text: string,
  replaces?: string,
  more: Record<string, string> = {},
) =>
  who.fetch(at(place), {
    method: 'PUT',
    body: text,
    headers: {
      'content-type': 'image/jpeg',
      ...(replaces === undefined ? {} : { 'if-match': `"${digest(replaces)}"` }),
      ...more,
    },
  })
const shown = async (place: number) => (await owner.fetch(at(place))).text()
const files = async () => {
  const { entries } = await owner.ask(`/builds/${buildId}/history`, historyPage)
  return entries.filter((entry) => entry.file !== null)
}

describe('a file beside a record', () => {
  it('of somebody else is replaced by nobody who may only log; one’s own is', async () => {
    expect((await put(helper, 0, 'of Hal')).status).toBe(204)
    const refused = await put(other, 0, 'of Ona', 'of Hal')
    expect(refused.status).toBe(403)
    const said = problem.parse(await refused.json())
    expect(said.detail).toMatch(/^Hal has put another there/)
    expect(said.file).toMatchObject({ sha256: digest('of Hal'), by: 'Hal' })
    expect(await shown(0)).toBe('of Hal')
    expect((await put(helper, 0, 'of Hal, sharper', 'of Hal')).status).toBe(204)
    expect((await put(owner, 0, 'of Rosa', 'of Hal, sharper')).status).toBe(204)
    expect((await put(helper, 0, 'of Hal again', 'of Rosa')).status).toBe(403)
  })
  it('that nobody has put there by name is no helper’s to replace either', async () => {
    await server.db('photos').where({ lineId: lineIds[0] }).update({ personId: null, by: '' })
    expect((await put(helper, 0, 'of Hal again', 'of Rosa')).status).toBe(403)
  })
  it('takes the place only of what its sender has seen, and of two at once one', async () => {
    await put(owner, 1, 'first')
    for (const replaces of [undefined, 'something else']) {
      const refused = await put(owner, 1, 'second', replaces)
      expect(refused.status).toBe(409)
      expect(problem.parse(await refused.json()).file).toMatchObject({ sha256: digest('first'), by: 'Rosa' })
    }
    const builder = await server.people.enter('Bo', 'builder')
    const answers = await Promise.all([
      put(owner, 1, 'phone of Rosa', 'first'),
      put(builder, 1, 'phone of Bo', 'first'),
    ])
    expect(answers.map((answer) => answer.status).sort()).toEqual([204, 409])
    // What was removed meanwhile isn't brought back in silence.
    await owner.status(at(1), 'DELETE')
    const late = await put(builder, 1, 'later', 'first')
    expect(late.status).toBe(409)
    expect(problem.parse(await late.json()).file).toBeNull()
    expect((await put(builder, 1, 'later')).status).toBe(204)
  })
  it('that was replaced or removed is kept, named in the history with who and when, and put back', async () => {
    await put(helper, 2, 'before', undefined, { [MADE_AT_HEADER]: '2026-10-01T10:00:00.000Z' })
    await put(owner, 2, 'after', 'before')
    const [entry] = await files()
    expect(entry).toMatchObject({ author: 'Rosa', records: 0, file: { kind: 'photo', recordId: lineIds[2] } })
    expect(entry!.label).toMatch(/^Photograph of “.+” replaced$/)
    const earlier = await owner.fetch(`/builds/${buildId}/replaced/${entry!.id}`)
    expect([earlier.headers.get('content-type'), await earlier.text()]).toEqual(['image/jpeg', 'before'])
    const row = (await server.db('replacedFiles').where({ id: entry!.id }).first()) as {
      madeAt: Date
      by: string
    }
    expect([row.by, row.madeAt.toISOString()]).toEqual(['Hal', '2026-10-01T10:00:00.000Z'])
    await owner.status(at(2), 'DELETE')
    expect((await files())[0]).toMatchObject({ author: 'Rosa' })
    expect((await files())[0]!.label).toMatch(/removed$/)
    expect((await put(owner, 2, 'before')).status).toBe(204)
    expect(await shown(2)).toBe('before')
    // Nothing of it is seen from another workshop.
    const nel = await server.people.enter('Nel', 'owner', await server.people.workshop())
    expect(await nel.status(`/builds/${buildId}/replaced/${entry!.id}`)).toBe(404)
  })
  it('is kept ten times over, and of older ones that they were', async () => {
    for (let i = 0; i < 13; i += 1) await put(owner, 3, `take ${i}`, i > 0 ? `take ${i - 1}` : undefined)
    const taken = (await files()).filter(({ file }) => file!.recordId === lineIds[3])
    expect(taken.map(({ file }) => file!.isKept)).toEqual([...Array(10).fill(true), false, false])
    expect(await owner.status(`/builds/${buildId}/replaced/${taken.at(-1)!.id}`)).toBe(404)
  })
  it('says its digest in the list without being read, and says no time that is still to come', async () => {
    await put(owner, 4, 'soon', undefined, { [MADE_AT_HEADER]: '2099-01-01T00:00:00.000Z' })
    const list = await owner.ask(`/builds/${buildId}/photos`, photoList)
    expect(list.find(({ lineId }) => lineId === lineIds[4])!.sha256).toBe(digest('soon'))
    const { madeAt } = (await server.db('photos').where({ lineId: lineIds[4] }).first()) as { madeAt: Date }
    expect(madeAt.getTime()).toBeLessThanOrEqual(Date.now())
  })
  it('of a part in a stage that is frozen is decided like an entry of it', async () => {
    const document = (await owner.ask(`/builds/${buildId}`, buildDocument)) as BuildDocument
    const line = document.lines.find(({ id }) => id === lineIds[5])!
    const { stageId } = document.swaps.find(({ id }) => id === line.swapId)!
    const seal = { ...signedSeal(document, stageId), version: 0 }
    const batch = { id: randomUUID(), label: 'Sign', edits: [{ op: 'put', kind: 'seal', record: seal }] }
    expect(await owner.status(`/builds/${buildId}/edits`, 'POST', batch)).toBe(200)
    const refused = await put(owner, 5, 'too late')
    expect(refused.status).toBe(422)
    expect(problem.parse(await refused.json()).title).toBe('It is frozen')
    expect(await owner.status(at(4), 'DELETE')).toBe(422)
  })
})
