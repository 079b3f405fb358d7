import { partsList, problem } from '@bold-ballast/contract'
import { sampleBuild } from '@bold-ballast/contract/sampleBuild'
import { randomUUID } from 'node:crypto'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { testServer, type TestServer } from '../testing/testServer'

let server: TestServer
beforeAll(async () => {
  server = await testServer()
  const file = sampleBuild(randomUUID, { swaps: 1, linesEach: 4 })
  file.build.name = 'Petrel'
  Object.assign(file.lines[0]!, { name: 'Front door, complete', mass: 27.8, grade: 'proven' })
  Object.assign(file.lines[1]!, { name: 'Door card 100% wool', mass: 2.6 })
  Object.assign(file.lines[2]!, { name: 'Guessed door', grade: 'guess' })
  Object.assign(file.lines[3]!, { name: 'Bits', role: 'allowance' })
  await server.add(file)
})
afterAll(() => server.close())
const find = async (words: string) =>
  (await server.ask(`/parts?find=${encodeURIComponent(words)}`, partsList)).body.map((p) => p.name)

describe('the parts library', () => {
  it('lists what was weighed, with its build and stage, and nothing guessed or allowed for', async () => {
    const { body } = await server.ask('/parts', partsList)
    expect(body.map((p) => p.name).sort()).toEqual(['Door card 100% wool', 'Front door, complete'])
    expect(body[0]).toMatchObject({ build: 'Petrel', stage: 'As bought' })
  })
  it('finds by words in any order and case', async () => {
    expect(await find('DOOR front')).toEqual(['Front door, complete'])
    expect(await find('nothing like it')).toEqual([])
  })
  it('takes per cent signs and underscores at their word', async () => {
    expect(await find('100%')).toEqual(['Door card 100% wool'])
    expect(await find('_')).toEqual([])
  })
  it('refuses a search nobody types', async () => {
    const { status, body } = await server.ask(`/parts?find=${'x'.repeat(200)}`, problem)
    expect(status).toBe(422)
    expect(body.errors?.[0]?.field).toBe('find')
  })
})
