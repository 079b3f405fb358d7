import { newJob, newLine, newPart, newWait, workLibrary } from '@bold-ballast/contract'
import { sampleBuild } from '@bold-ballast/contract/sampleBuild'
import { randomUUID } from 'node:crypto'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { testServer, type TestServer } from '../testing/testServer'

let server: TestServer
const id = randomUUID
const file = sampleBuild(id)
const stageId = file.stages[0]!.id
const stored = newLine({
  id: id(),
  swapId: file.swaps[0]!.id,
  kind: 'off',
  name: 'Old radiator',
  system: 'cooling',
  mass: 6,
  grade: 'measured',
  order: 90,
})
const wait = newWait({ id: id(), stageId, name: 'Paint', kind: 'shop', order: 0, cost: 900 })
const part = newPart({ id: id(), stageId, name: 'Clutch', system: 'driveline', order: 0, price: 300 })
const job = newJob({ id: id(), stageId, name: 'Clutch in', order: 0, parts: [part.id], waits: [wait.id] })

beforeAll(async () => {
  server = await testServer()
  file.build.name = 'Wren'
  file.jobs = [job]
  file.waits = [wait]
  file.parts = [part]
  const off = { ...stored, fate: 'stored', liesAt: 'loft', soldFor: null } as const
  // The other is only planned: it lies nowhere yet.
  file.lines.push({ ...off, fitted: true }, { ...off, id: randomUUID(), fitted: false })
  await server.add(file)
  const bare = sampleBuild(id)
  bare.build.name = 'Ember'
  bare.jobs = []
  bare.lines = []
  await server.add(bare)
})
afterAll(() => server.close())

describe('the work of the workshop', () => {
  it('is that of every build, by name: jobs, waits, parts, and what came off and was kept', async () => {
    const { body } = await server.ask('/work', workLibrary)
    expect(
      body.map((b) => [b.build, b.jobs.length, b.waits.length, b.parts.length, b.stored.length]),
    ).toEqual([
      ['Ember', 0, 0, 0, 0],
      ['Wren', 1, 1, 1, 1],
    ])
    const [, own] = body
    expect(own!.jobs[0]).toEqual(job)
    expect(own!.parts[0]).toEqual(part)
    expect(own!.stored[0]).toMatchObject({ name: 'Old radiator', liesAt: 'loft' })
  })
})
