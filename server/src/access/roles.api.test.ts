import {
  buildDocument,
  historyDetail,
  historyPage,
  problem,
  type BuildDocument,
  type Edit,
} from '@bold-ballast/contract'
import { demo } from '@bold-ballast/demo'
import { sealedFiguresOf } from '@bold-ballast/words'
import { documentWithoutMoney } from '@bold-ballast/contract'
import { randomUUID } from 'node:crypto'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { testServer, type TestServer } from '../testing/testServer'
import type { Visitor } from '../testing/testPeople'

let server: TestServer
let owner: Visitor
let builder: Visitor
let helper: Visitor
let guest: Visitor
let buildId: string
beforeAll(async () => {
  server = await testServer()
  owner = await server.people.owner()
  builder = await server.people.enter('Mara', 'builder')
  helper = await server.people.enter('Hal', 'helper')
  guest = await server.people.enter('Gus', 'guest')
  const response = await owner.fetch('/builds', { method: 'POST', json: demo.builds()[0] })
  buildId = ((await response.json()) as { id: string }).id
  const document = await read(owner)
  const swaps = document.swaps.filter((s) => s.stageId === document.stages.at(-1)!.id)
  const costs = swaps.map((swap): Edit => ({ op: 'put', kind: 'swap', record: { ...swap, cost: 4321 } }))
  expect(await edit(owner, costs)).toMatchObject({ status: 200 })
})
afterAll(() => server.close())

const read = (as: Visitor) => as.ask(`/builds/${buildId}`, buildDocument) as Promise<BuildDocument>
const edit = async (as: Visitor, edits: readonly Edit[], more: object = {}) => {
  const json = { id: randomUUID(), label: 'A change', edits, ...more }
  const response = await as.fetch(`/builds/${buildId}/edits`, { method: 'POST', json })
  const body: unknown = await response.json()
  return { status: response.status, says: response.ok ? '' : problem.parse(body).detail }
}

describe('a helper', () => {
  it('logs what was measured and takes back what they have just logged', async () => {
    const { weighIns } = await read(owner)
    const fresh = { ...weighIns[0]!, id: randomUUID(), version: 0 }
    expect((await edit(helper, [{ op: 'put', kind: 'weighIn', record: fresh }])).status).toBe(200)
    const removal: Edit = { op: 'remove', kind: 'weighIn', id: fresh.id, version: 1 }
    expect((await edit(helper, [removal])).status).toBe(200)
  })
  it('takes nothing back that others logged, or that has been changed since', async () => {
    const { weighIns } = await read(owner)
    const record = { ...weighIns[0]!, id: randomUUID(), version: 0 }
    await edit(builder, [{ op: 'put', kind: 'weighIn', record }])
    const removal = (version: number): Edit => ({ op: 'remove', kind: 'weighIn', id: record.id, version })
    expect(await edit(helper, [removal(1)])).toMatchObject({
      status: 403,
      says: expect.stringContaining('deletes nothing') as string,
    })
    const own = { ...record, id: randomUUID() }
    await edit(helper, [{ op: 'put', kind: 'weighIn', record: own }])
    await edit(builder, [{ op: 'put', kind: 'weighIn', record: { ...own, version: 1, note: 'Looked at' } }])
    expect((await edit(helper, [{ op: 'remove', kind: 'weighIn', id: own.id, version: 2 }])).status).toBe(403)
  })
  it('changes no plan', async () => {
    const { stages, marks, build } = await read(helper)
    const plans: Edit[] = [
      { op: 'put', kind: 'stage', record: stages[0]! },
      { op: 'put', kind: 'mark', record: marks[0]! },
      { op: 'put', kind: 'build', record: build },
    ]
    for (const plan of plans) expect((await edit(helper, [plan])).status).toBe(403)
    // One such among others keeps all of them out.
    const { weighIns } = await read(owner)
    const fresh = { ...weighIns[0]!, id: randomUUID(), version: 0 }
    const mixed = await edit(helper, [{ op: 'put', kind: 'weighIn', record: fresh }, plans[0]!])
    expect(mixed.status).toBe(403)
    expect((await read(owner)).weighIns.some((w) => w.id === fresh.id)).toBe(false)
  })
  it('signs with their own name, whatever the body says, and opens nothing again', async () => {
    const document = await read(helper)
    const stage = document.stages[0]!
    const id = randomUUID()
    const seal = {
      id,
      stageId: stage.id,
      at: '2026-11-28T10:00:00Z',
      author: 'Somebody else',
      figures: sealedFiguresOf(document, stage.id),
      reopened: null,
      note: '',
      version: 0,
    }
    expect(await edit(helper, [{ op: 'put', kind: 'seal', record: seal }])).toMatchObject({ status: 200 })
    const signed = (await read(owner)).seals.find((s) => s.id === id)!
    expect(signed.author).toBe('Hal')
    const opened = { ...signed, reopened: { at: '2026-11-28T11:00:00Z', author: 'Hal', reason: 'A slip' } }
    expect((await edit(helper, [{ op: 'put', kind: 'seal', record: opened }])).status).toBe(403)
    expect((await edit(builder, [{ op: 'put', kind: 'seal', record: opened }])).status).toBe(200)
    expect((await read(owner)).seals.find((s) => s.id === id)).toMatchObject({
      author: 'Hal',
      reopened: { author: 'Mara', reason: 'A slip' },
    })
  })
})

describe('a guest', () => {
  it('reads, and changes nothing', async () => {
    const { weighIns } = await read(guest)
    expect(weighIns.length).toBeGreaterThan(0)
    const fresh = { ...weighIns[0]!, id: randomUUID(), version: 0 }
    expect((await edit(guest, [{ op: 'put', kind: 'weighIn', record: fresh }])).status).toBe(403)
  })
})

describe('who did it', () => {
  it('is known by the session, not by what the body says', async () => {
    const { stages } = await read(builder)
    const label = `Renamed ${randomUUID()}`
    await edit(builder, [{ op: 'put', kind: 'stage', record: stages.at(-1)! }], { label, author: 'Eve' })
    const page = await builder.ask(`/builds/${buildId}/history`, historyPage)
    expect(page.entries.find((e) => e.label === label)!.author).toBe('Mara')
    const [row] = (await server.db('edit_batches').where({ label }).select('personId')) as {
      personId: string
    }[]
    expect(row!.personId).toBe(builder.id)
  })
})

/** Everything in a document that is money, by where it stands. */
const amounts = (document: BuildDocument) => ({
  costs: document.swaps.map((s) => s.cost),
  options: document.optionSets.flatMap((s) => s.options.flatMap((o) => o.items.map((i) => i.price))),
  services: document.services.flatMap((s) => s.parts.map((p) => p.price)),
  replacements: document.components.flatMap((c) => c.replacement?.price ?? []),
  marks: document.marks.filter((m) => m.measure === 'price'),
  signed: document.seals.flatMap((s) => s.figures.marks.filter((m) => m.measure === 'price')),
})
const isBare = (found: ReturnType<typeof amounts>) =>
  Object.values(found).every((list) => list.every((amount) => amount === null || amount === 0))

describe('money', () => {
  it('is seen by owners and builders, and by nobody else', async () => {
    const seen = amounts(await read(builder))
    expect(isBare(seen)).toBe(false)
    expect(seen.costs.some((c) => c !== null && c !== 0)).toBe(true)
    for (const one of [helper, guest]) expect(isBare(amounts(await read(one)))).toBe(true)
    expect(await read(guest)).toEqual(documentWithoutMoney(await read(owner)))
  })
  it('stands in no history and no build of an earlier day either', async () => {
    const swap = (await read(owner)).swaps.find((s) => s.cost === 4321)!
    const label = `Counted ${randomUUID()}`
    const record = { ...swap, cost: 777_123 }
    await edit(owner, [{ op: 'put', kind: 'swap', record }], { label })
    const { entries } = await owner.ask(`/builds/${buildId}/history`, historyPage)
    const { id } = entries.find((e) => e.label === label)!
    const path = `/builds/${buildId}/history/${id}`
    expect(JSON.stringify(await owner.ask(path, historyDetail))).toContain('777123')
    const shown = JSON.stringify(await guest.ask(path, historyDetail))
    expect(shown).not.toContain('777123')
    expect(shown).not.toContain(`"cost":${swap.cost}`)
    const then = await guest.ask(`/builds/${buildId}/at?batch=${id}`, buildDocument)
    expect(isBare(amounts(then as BuildDocument))).toBe(true)
  })
  it('stays what it is when somebody writes who doesn’t see it', async () => {
    const before = (await read(owner)).services.find((s) => s.parts.some((p) => p.price > 0))!
    const seen = (await read(helper)).services.find((s) => s.id === before.id)!
    const record = {
      ...seen,
      note: 'Looked at by Hal',
      parts: [{ name: 'A new gasket', quantity: 1, price: 0 }, ...[...seen.parts].reverse()],
    }
    expect((await edit(helper, [{ op: 'put', kind: 'service', record }])).status).toBe(200)
    const after = (await read(owner)).services.find((s) => s.id === before.id)!
    expect(after.note).toBe('Looked at by Hal')
    expect(after.parts[0]).toEqual({ name: 'A new gasket', quantity: 1, price: 0 })
    expect(after.parts.slice(1)).toEqual([...before.parts].reverse())
  })
  it('is in no conflict', async () => {
    const service = (await read(owner)).services.find((s) => s.parts.some((p) => p.price > 0))!
    const json = {
      id: randomUUID(),
      label: 'Late',
      edits: [{ op: 'put', kind: 'service', record: { ...service, version: service.version + 7 } }],
    }
    const response = await helper.fetch(`/builds/${buildId}/edits`, { method: 'POST', json })
    const { conflicts } = problem.parse(await response.json())
    const theirs = conflicts![0]!.theirs as typeof service
    expect(theirs.parts.map((p) => p.price)).toEqual(service.parts.map(() => 0))
  })
})
