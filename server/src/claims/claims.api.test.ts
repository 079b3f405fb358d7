import { claimList } from '@bold-ballast/contract'
import { auditOf } from '@bold-ballast/model'
import { sampleBuild } from '@bold-ballast/contract/sampleBuild'
import { randomUUID } from 'node:crypto'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { testServer, type TestServer } from '../testing/testServer'

let server: TestServer
beforeAll(async () => {
  server = await testServer()
  for (const [name, weighed] of [
    ['Ember', 11],
    ['Wren', 10.5],
  ] as const) {
    const file = sampleBuild(randomUUID, { swaps: 1, linesEach: 4 })
    file.build.name = name
    const [one, still, feather] = file.lines
    Object.assign(one!, {
      mass: weighed,
      grade: 'measured',
      said: { mass: 10, grade: 'claim', source: 'seller' },
    })
    Object.assign(still!, { mass: 9, grade: 'claim', said: { mass: 10, grade: 'guess', source: '' } })
    Object.assign(feather!, {
      mass: 0.01,
      grade: 'measured',
      said: { mass: 0.02, grade: 'guess', source: '' },
    })
    await server.add(file)
  }
})
afterAll(() => server.close())

describe('the record of claims', () => {
  it('has what was said and weighed since, of every build, and nothing that is still only said', async () => {
    const { body } = await server.ask('/claims', claimList)
    expect(body.map(({ build, said, weighed, grade }) => [build, said, weighed, grade])).toEqual([
      ['Ember', 10, 11, 'claim'],
      ['Wren', 10, 10.5, 'claim'],
    ])
  })
  it('is audited by hand: 10 and 5 % more are 7.5 ± 3.54', async () => {
    const { all, byGrade, bySystem, worst } = auditOf((await server.ask('/claims', claimList)).body)
    expect(all.bias).toBeCloseTo(0.075, 12)
    expect(all.spread).toBeCloseTo(0.05 / Math.SQRT2, 12)
    expect(byGrade.map((r) => [r.key, r.count])).toEqual([['claim', 2]])
    expect(bySystem.map((r) => r.key)).toEqual(['body'])
    expect(worst[0]!.build).toBe('Ember')
    expect(auditOf([]).all).toEqual({ key: 'all', count: 0, bias: 0, spread: 0 })
  })
})
