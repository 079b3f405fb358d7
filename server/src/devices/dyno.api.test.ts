import { dynoIs, dynoSample } from '@bold-ballast/contract'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { firstEvents } from '../testing/firstEvents'
import { testServer, type TestServer } from '../testing/testServer'

let server: TestServer
beforeAll(async () => {
  server = await testServer()
})
afterAll(() => server.close())
const events = (count: number) => firstEvents(`${server.base}/api/v1/devices/dyno`, count)
const applyBatch = (json: unknown) =>
  fetch(`${server.base}/api/v1/devices/dyno/orders`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(json),
  })

describe('the dyno', () => {
  it('says which it is and what it can be tried with, then what it shows, as the contract has it', async () => {
    const [first, ...rest] = await events(4)
    expect(first!.event).toBe('dyno')
    expect(dynoIs.parse(first!.data).engines.map((e) => e.id)).toEqual(['roadster', 'saloon', 'estate'])
    for (const { data } of rest) expect(dynoSample.parse(data).running).toBe(false)
  })
  it('pulls when it is told to, and stops', async () => {
    expect((await applyBatch({ engine: 'roadster', pull: true })).status).toBe(204)
    expect(dynoSample.parse((await events(3))[2]!.data)).toMatchObject({ running: true, boost: null })
    await applyBatch({ stop: true })
    expect(dynoSample.parse((await events(3))[2]!.data).running).toBe(false)
  })
  it('says that the line is lost while it is cut', async () => {
    await applyBatch({ connected: false })
    expect((await events(2))[1]!.event).toBe('lost')
    await applyBatch({ connected: true })
  })
  it('refuses orders that make no sense, with the field', async () => {
    const { status, body } = await server.refuse('/devices/dyno/orders', {
      method: 'POST',
      json: { engine: 'steam' },
    })
    expect(status).toBe(422)
    expect(body.errors?.[0]).toMatchObject({ field: 'engine', problem: 'Choose one of the engines.' })
  })
})
