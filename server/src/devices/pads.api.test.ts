import { padReading, padsAre } from '@bold-ballast/contract'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { firstEvents } from '../testing/firstEvents'
import { testServer, type TestServer } from '../testing/testServer'

let server: TestServer
beforeAll(async () => {
  server = await testServer()
})
afterAll(() => server.close())

const events = (count: number) => firstEvents(`${server.base}/api/v1/devices/pads`, count)
/** An order that is carried out has nothing to say. */
const applyBatch = (json: unknown) =>
  fetch(`${server.base}/api/v1/devices/pads/orders`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(json),
  })
const refuse = (json: unknown) => server.refuse('/devices/pads/orders', { method: 'POST', json })

describe('the pads', () => {
  it('say which they are, then what they read, as the contract has it', async () => {
    const [first, ...rest] = await events(4)
    expect(first!.event).toBe('pads')
    expect(padsAre.parse(first!.data)).toEqual({ name: 'Simulated pads', resolution: 0.5 })
    for (const { data } of rest) expect(padReading.safeParse(data).success).toBe(true)
  })
  it('say that the line is lost while it is cut, and go on after', async () => {
    expect((await applyBatch({ connected: false })).status).toBe(204)
    expect((await events(2))[1]!.event).toBe('lost')
    await applyBatch({ connected: true })
    expect((await events(2))[1]!.event).toBe('message')
  })
  it('refuse orders that make no sense, with the field', async () => {
    const { status, body } = await refuse({ dead: 'spare' })
    expect(status).toBe(422)
    expect(body.errors?.[0]).toMatchObject({ field: 'dead', problem: 'Choose a corner.' })
    expect((await refuse({ explode: true })).status).toBe(422)
  })
})
