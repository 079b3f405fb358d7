import { loggerIs, loggerSample } from '@bold-ballast/contract'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { firstEvents } from '../testing/firstEvents'
import { testServer, type TestServer } from '../testing/testServer'

let server: TestServer
beforeAll(async () => {
  server = await testServer()
})
afterAll(() => server.close())
const events = (count: number) => firstEvents(`${server.base}/api/v1/devices/logger`, count)
const order = (json: unknown) =>
  fetch(`${server.base}/api/v1/devices/logger/orders`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(json),
  })

describe('the logger', () => {
  it('says which it is, then what it records, as the contract has it; it drives when it is told to', async () => {
    const [first, second] = await events(2)
    expect(loggerIs.parse(first!.data)).toEqual({ name: 'Simulated logger', isSimulated: true })
    expect(loggerSample.parse(second!.data).speed).toBe(0)
    expect((await order({ running: true, times: 5 })).status).toBe(204)
    const samples = (await events(6)).slice(1).map(({ data }) => loggerSample.parse(data))
    expect(samples.at(-1)!.speed).toBeGreaterThan(5)
    expect(samples.at(-1)!.at).toBeGreaterThan(samples[0]!.at)
  })
  it('says that the line is lost while it is cut, and refuses orders that make no sense', async () => {
    await order({ connected: false })
    expect((await events(2))[1]!.event).toBe('lost')
    await order({ connected: true })
    const { status, body } = await server.refuse('/devices/logger/orders', {
      method: 'POST',
      json: { times: 99 },
    })
    expect(status).toBe(422)
    expect(body.errors?.[0]).toMatchObject({ field: 'times', problem: 'From 1 to 50.' })
  })
})
