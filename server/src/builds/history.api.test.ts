import {
  buildDocument,
  editBatch,
  historyDetail,
  historyPage,
  sameRecord,
  type BuildDocument,
  type Edit,
} from '@bold-ballast/contract'
import { sampleBuild } from '@bold-ballast/contract/sampleBuild'
import { randomUUID } from 'node:crypto'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { testServer, type TestServer } from '../testing/testServer'

let server: TestServer
beforeAll(async () => {
  server = await testServer()
})
afterAll(() => server.close())

describe('the history of a build', () => {
  it('lists what was done, says what each did, and brings back any time of it', async () => {
    const { id } = (await server.add(sampleBuild(randomUUID))).body
    const states: { readonly at: Date; readonly document: BuildDocument }[] = []
    const keep = async () => {
      states.push({ at: new Date(), document: (await server.read(id)).body })
      // Two batches of one millisecond couldn't be told apart by their time.
      await new Promise((done) => setTimeout(done, 5))
    }
    await keep()
    const [line, other] = states[0]!.document.lines
    await server.edit(id, [{ op: 'put', kind: 'line', record: { ...line!, mass: 7 } }])
    await keep()
    await server.edit(id, [{ op: 'remove', kind: 'line', id: other!.id, version: 1 }])
    await keep()
    const { build } = states[0]!.document
    await server.edit(id, [{ op: 'put', kind: 'build', record: { ...build, name: 'Renamed' } } as Edit])
    await keep()
    const { entries, isMore } = (await server.ask(`/builds/${id}/history`, historyPage)).body
    expect(entries.map((e) => [e.records, e.isKept])).toEqual(Array(3).fill([1, true]))
    expect(isMore).toBe(false)
    const detail = (await server.ask(`/builds/${id}/history/${entries[2]!.id}`, historyDetail)).body
    expect(detail.edits).toMatchObject([{ record: { mass: 7 } }])
    expect(detail.inverse).toMatchObject([{ op: 'put', record: { mass: line!.mass } }])
    // What brings a removed record back is an edit like any other, and could be sent.
    const removal = (await server.ask(`/builds/${id}/history/${entries[1]!.id}`, historyDetail)).body
    expect(editBatch.safeParse({ id, label: 'Back', edits: removal.inverse }).error).toBeUndefined()
    for (const { at, document } of states) {
      const then = (await server.ask(`/builds/${id}/at?time=${at.toISOString()}`, buildDocument))
        .body as BuildDocument
      expect(sameRecord(then.build, document.build)).toBe(true)
      const lines = (d: BuildDocument) => [...d.lines].sort((a, b) => a.id.localeCompare(b.id))
      expect(lines(then).map((l) => l.mass)).toEqual(lines(document).map((l) => l.mass))
    }
  })
  it('says when it was done where that was long before it arrived, and never in the future', async () => {
    const { id } = (await server.add(sampleBuild(randomUUID))).body
    const at = Date.now()
    for (const [i, minutes] of [-120, 0, 600].entries()) {
      const { build } = (await server.read(id)).body
      const batch = {
        id: randomUUID(),
        label: `Rename ${i}`,
        madeAt: new Date(at + minutes * 60_000).toISOString(),
        edits: [{ op: 'put', kind: 'build', record: { ...build, name: `Build ${i}` } }],
      }
      const answer = await fetch(`${server.base}/api/v1/builds/${id}/edits`, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify(batch),
      })
      expect(answer.status).toBe(200)
    }
    const { entries } = (await server.ask(`/builds/${id}/history`, historyPage)).body
    expect(entries.map(({ madeAt }) => madeAt)).toEqual([
      null,
      null,
      new Date(at - 120 * 60_000).toISOString(),
    ])
  })
  it('is in the order of what was done, whatever the clock said, page by page', async () => {
    const { id } = (await server.add(sampleBuild(randomUUID))).body
    const rename = async (name: string, version: number) => {
      const { build } = (await server.read(id)).body
      const batch = randomUUID()
      await server.edit(
        id,
        [{ op: 'put', kind: 'build', record: { ...build, name, version } } as Edit],
        batch,
      )
      return batch
    }
    // The clock is set back by two hours after the second change.
    const times = ['10:00', '10:05', '08:30', '08:40']
    const batches: string[] = []
    for (const [i, clock] of times.entries()) {
      batches.push(await rename(`at ${clock}`, i + 1))
      const created_at = `2026-11-20T${clock}:00Z`
      await server.db('edit_batches').where({ id: batches[i] }).update({ created_at })
    }
    const page = async (query: string) =>
      (await server.ask(`/builds/${id}/history${query}`, historyPage)).body.entries.map((e) => e.id)
    expect(await page('')).toEqual([...batches].reverse())
    expect(await page(`?before=${batches[2]}`)).toEqual([batches[1], batches[0]])
    const nameAt = async (query: string) =>
      (await server.ask(`/builds/${id}/at?${query}`, buildDocument)).body.build.name
    for (const [i, batch] of batches.entries()) expect(await nameAt(`batch=${batch}`)).toBe(`at ${times[i]}`)
    // At 8:35 by that clock the third change had been made, and with it what was done before it.
    expect(await nameAt('time=2026-11-20T08:35:00Z')).toBe('at 08:30')
    expect(await nameAt('time=2026-11-20T12:00:00Z')).toBe('at 08:40')
    expect(await nameAt('time=2026-11-20T08:00:00Z')).toMatch(/^Sample|^Test|^Build/)
    expect((await server.refuse(`/builds/${id}/at?batch=${randomUUID()}`)).status).toBe(404)
    expect(
      (await server.refuse(`/builds/${id}/at?batch=${batches[0]}&time=2026-11-20T08:00:00Z`)).status,
    ).toBe(422)
  })
  it('refuses what is too long ago, no time, and no build, in words', async () => {
    const { id } = (await server.add(sampleBuild(randomUUID))).body
    const [stage] = (await server.read(id)).body.stages
    await server.edit(id, [{ op: 'put', kind: 'stage', record: { ...stage!, name: 'Later' } }])
    await server.db('edit_batches').where({ build_id: id }).update({ inverse: null })
    const old = await server.refuse(`/builds/${id}/at?time=2020-01-01T00:00:00Z`)
    expect([old.status, old.body.detail]).toEqual([
      422,
      expect.stringMatching(/can be listed, but not taken back/),
    ])
    expect((await server.refuse(`/builds/${id}/at?time=yesterday`)).status).toBe(422)
    expect((await server.refuse(`/builds/${id}/at`)).status).toBe(422)
    expect((await server.refuse(`/builds/${randomUUID()}/history`)).status).toBe(404)
    expect((await server.refuse(`/builds/${id}/history/nothing`)).status).toBe(404)
  })
})
