import { reckoning } from '@bold-ballast/contract'
import { sampleBuild } from '@bold-ballast/contract/sampleBuild'
import { randomUUID } from 'node:crypto'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { testServer, type TestServer } from '../testing/testServer'

let server: TestServer
beforeAll(async () => {
  server = await testServer()
})
afterAll(() => server.close())

describe('what reads otherwise', () => {
  it('is nothing of a build that was added since', async () => {
    const { id } = (await server.add(sampleBuild(randomUUID))).body
    expect((await server.ask(`/builds/${id}/reckoning`, reckoning)).body).toEqual({ isUntold: false })
    const told = await fetch(`${server.base}/api/v1/builds/${id}/reckoning`, { method: 'DELETE' })
    expect(told.status).toBe(204)
  })
  it('goes with its build', async () => {
    const { id } = (await server.add(sampleBuild(randomUUID))).body
    const { workshopId } = (await server.db('builds').where({ id }).first('workshopId')) as {
      workshopId: string
    }
    await server.db('reckonedOtherwise').insert({ buildId: id, workshopId })
    expect((await server.ask(`/builds/${id}/reckoning`, reckoning)).body).toEqual({ isUntold: true })
    await fetch(`${server.base}/api/v1/builds/${id}`, { method: 'DELETE' })
    expect(await server.db('reckonedOtherwise').where({ buildId: id })).toEqual([])
  })
  it('asks for an id that is one', async () => {
    expect((await server.refuse('/builds/nonsense/reckoning')).status).toBe(404)
  })
})
