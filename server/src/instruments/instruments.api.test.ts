import { instrumentList } from '@bold-ballast/contract'
import { sampleBuild, sampleInstrument } from '@bold-ballast/contract/sampleBuild'
import { randomUUID } from 'node:crypto'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { testServer, type TestServer } from '../testing/testServer'

let server: TestServer
beforeAll(async () => {
  server = await testServer()
  for (const [build, names] of [
    ['Ember', ['Yard pads', 'Harbour rollers']],
    ['Wren', ['yard PADS']],
  ] as const) {
    const file = sampleBuild(randomUUID)
    file.build.name = build
    for (const name of names) file.instruments.push({ ...sampleInstrument(randomUUID()), name })
    await server.add(file)
  }
})
afterAll(() => server.close())

describe('the instruments of a workshop', () => {
  it('are those of every build, one of each name, the newest, and say whose they are', async () => {
    const { body } = await server.ask('/instruments', instrumentList)
    expect(body.map(({ instrument, build }) => [instrument.name, build])).toEqual([
      ['Harbour rollers', 'Ember'],
      ['yard PADS', 'Wren'],
    ])
    expect(body[0]!.instrument).toMatchObject({ kind: 'pads', ownError: 0.001, resolution: 0.5 })
  })
  it('count in the build that names them: a pad checked to 0.3 % is less sure of a car', async () => {
    const file = sampleBuild(randomUUID)
    file.instruments.push({ ...sampleInstrument(randomUUID()), ownError: 0.003 })
    const { body } = await server.add(file)
    const document = (await server.read(body.id)).body
    expect(document.instruments[0]).toMatchObject({ name: 'Sample pads', version: 1, ownError: 0.003 })
    const [instrument] = document.instruments
    await server.edit(body.id, [
      { op: 'put', kind: 'instrument', record: { ...instrument!, checkedOn: '2026-05-01' } },
    ])
    expect((await server.read(body.id)).body.instruments[0]!.checkedOn).toBe('2026-05-01')
  })
})
