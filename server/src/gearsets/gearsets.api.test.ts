import { gearsetList } from '@bold-ballast/contract'
import { sampleBuild } from '@bold-ballast/contract/sampleBuild'
import { randomUUID } from 'node:crypto'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { testServer, type TestServer } from '../testing/testServer'

const set = { kind: 'finalDrive' as const, ratios: [4.44, 4.875] }
let server: TestServer
beforeAll(async () => {
  server = await testServer()
  for (const [build, name] of [
    ['Ember', 'Short drives'],
    ['Wren', 'Close box'],
  ]) {
    const file = sampleBuild(randomUUID)
    file.build.name = build!
    file.gearsets.push({ id: randomUUID(), name: name!, order: 0, set, note: '' })
    await server.add(file)
  }
})
afterAll(() => server.close())

describe('the shelf of gears', () => {
  it('has the sets of every build, by name, and says whose they are', async () => {
    const { body } = await server.ask('/gearsets', gearsetList)
    expect(body.map(({ name, build }) => [name, build])).toEqual([
      ['Close box', 'Wren'],
      ['Short drives', 'Ember'],
    ])
    expect(body[0]!.set).toEqual(set)
  })
})
