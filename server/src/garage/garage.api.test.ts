import { garage as garageShape, me, pairingState, passAdded, passOpened, trust } from '@bold-ballast/contract'
import { X509Certificate } from 'node:crypto'
import { mkdtempSync, rmSync } from 'node:fs'
import { request } from 'node:https'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { pino } from 'pino'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import type { Visitor } from '../testing/testPeople'
import { testServer, type TestServer } from '../testing/testServer'
import { Garage } from './Garage'

const folder = mkdtempSync(join(tmpdir(), 'bold-ballast-garage-'))
let addresses = ['127.0.0.1']
/** A garage on loopback addresses, which stand for a local network here. */
const garageHere = () =>
  new Garage({ folder, host: 'bench', port: 0, addresses: () => addresses, log: pino({ level: 'silent' }) })
let server: TestServer
let owner: Visitor
beforeAll(async () => {
  server = await testServer({ garage: garageHere() })
})
afterAll(async () => {
  await server.close()
  rmSync(folder, { recursive: true, force: true })
})

interface Answer {
  readonly status: number
  readonly text: string
  readonly cookie: string
}
/** A phone on the local network, which trusts an authority. */
const phone = (
  origin: string,
  ca: string,
  path: string,
  {
    method = 'GET',
    json,
    cookie = '',
    host,
  }: { method?: string; json?: object; cookie?: string; host?: string } = {},
): Promise<Answer> =>
  new Promise((done, failed) => {
    const headers = {
      ...(cookie ? { cookie } : {}),
      ...(json ? { 'content-type': 'application/json' } : {}),
      ...(host ? { host } : {}),
      'user-agent': 'Telephone Mobile',
    }
    const asked = request(
      `${origin}${path}`,
      { method, ca, headers, agent: false, checkServerIdentity: () => undefined },
      (response) => {
        let text = ''
        response.on('data', (chunk: Buffer) => (text += chunk.toString()))
        response.on('end', () =>
          done({
            status: response.statusCode!,
            text,
            cookie: response.headers['set-cookie']?.[0]?.split(';')[0] ?? '',
          }),
        )
      },
    )
    asked.on('error', failed)
    asked.end(json && JSON.stringify(json))
  })

const authority = async () => {
  const response = await server.people.stranger().fetch('/garage/authority')
  expect(response.headers.get('content-type')).toBe('application/x-x509-ca-cert')
  return new X509Certificate(Buffer.from(await response.arrayBuffer()))
}

describe('the garage', () => {
  it('is not opened before somebody owns the workshop', async () => {
    const here = server.people.stranger()
    expect(await here.status('/garage', 'PUT', { isOn: true })).toBe(409)
    expect(await here.ask('/garage', garageShape)).toMatchObject({ isOn: false, origins: [] })
  })
  it('is opened by an owner, and answers phones that sign in, under its own address only', async () => {
    owner = await server.people.owner()
    const state = await owner.ask('/garage', garageShape, { method: 'PUT', json: { isOn: true } })
    expect(state.isOn).toBe(true)
    const [origin] = state.origins as [string]
    const { fingerprint } = await owner.ask('/garage/trust', trust)
    const ca = await authority()
    expect([state.fingerprint, ca.fingerprint256]).toEqual([fingerprint, fingerprint])
    const pem = ca.toString()
    expect((await phone(origin, pem, '/api/v1/health')).status).toBe(200)
    expect((await phone(origin, pem, '/api/v1/builds')).status).toBe(401)
    // Its name on the network is known; another is not answered, nor is its loopback name.
    const { port } = new URL(origin)
    expect((await phone(origin, pem, '/api/v1/health', { host: `bench.local:${port}` })).status).toBe(200)
    for (const host of [`evil.example:${port}`, `localhost:${port}`, 'bench.local'])
      expect((await phone(origin, pem, '/api/v1/health', { host })).status, host).toBe(403)
    expect((await phone(origin, pem, '/metrics')).status).toBe(404)
    expect((await owner.ask('/me', me)).isReached).toBe(true)
  })
  it('pairs a phone once, and says which', async () => {
    const { origins } = await owner.ask('/garage', garageShape)
    const [origin] = origins as [string]
    const pem = (await authority()).toString()
    const pairing = await owner.ask('/pairings', passAdded, { method: 'POST', json: {} })
    expect(pairing.origin).toBe(origin)
    const state = () => owner.ask(`/pairings/${pairing.id}`, pairingState)
    expect(await state()).toEqual({ isOpen: true, paired: null })
    const path = `/api/v1/passes/${pairing.token}`
    expect(passOpened.parse(JSON.parse((await phone(origin, pem, path)).text))).toMatchObject({
      kind: 'pairing',
      name: 'Rosa',
    })
    const paired = await phone(origin, pem, path, { method: 'POST', json: {} })
    expect(paired.status).toBe(200)
    expect(paired.cookie).toMatch(/^__Host-ballast=/)
    const { cookie } = paired
    expect((await phone(origin, pem, '/api/v1/builds', { cookie })).status).toBe(200)
    expect(await state()).toEqual({ isOpen: false, paired: { device: 'Phone', address: '127.0.0.1' } })
    expect((await phone(origin, pem, path, { method: 'POST', json: {} })).status).toBe(410)
    // Somebody else’s pairing is nobody’s business.
    const hal = await server.people.enter('Hal', 'helper')
    expect(await hal.status(`/pairings/${pairing.id}`)).toBe(404)
  })
  it('gives a code that is over within minutes', async () => {
    const pairing = await owner.ask('/pairings', passAdded, { method: 'POST', json: {} })
    const left = Date.parse(pairing.endsAt) - Date.now()
    expect(left).toBeGreaterThan(60_000)
    expect(left).toBeLessThanOrEqual(300_000)
    await server
      .db('passes')
      .where({ id: pairing.id })
      .update({ endsAt: new Date(Date.now() - 1) })
    expect(await server.people.stranger().status(`/passes/${pairing.token}`, 'POST', {})).toBe(410)
  })
  it('goes with the machine to another network, and phones go on trusting it', async () => {
    const before = await owner.ask('/garage', garageShape)
    const pem = (await authority()).toString()
    addresses = ['127.0.0.2']
    const moved = await owner.ask('/garage', garageShape, { method: 'PUT', json: { isOn: true } })
    expect(moved.fingerprint).toBe(before.fingerprint)
    expect(moved.origins).toHaveLength(1)
    expect(new URL(moved.origins[0]!).hostname).toBe('127.0.0.2')
    expect((await phone(moved.origins[0]!, pem, '/api/v1/health')).status).toBe(200)
    await expect(phone(before.origins[0]!, pem, '/api/v1/health')).rejects.toThrow()
    addresses = []
    const nowhere = await owner.ask('/garage', garageShape, { method: 'PUT', json: { isOn: true } })
    expect(nowhere).toMatchObject({ isOn: true, origins: [] })
    expect(nowhere.hindrance).toContain('no address on a local network')
    addresses = ['127.0.0.1']
  })
  it('stays as it was switched, from start to start', async () => {
    const again = await testServer({ garage: garageHere() }, { url: server.url, drop: async () => undefined })
    try {
      const { cookie } = owner
      const state = async () => {
        const response = await fetch(`${again.base}/api/v1/garage`, { headers: { cookie } })
        return garageShape.parse(await response.json())
      }
      expect((await state()).isOn).toBe(true)
      await owner.ask('/garage', garageShape, { method: 'PUT', json: { isOn: false } })
    } finally {
      await again.close()
    }
    const third = await testServer({ garage: garageHere() }, { url: server.url, drop: async () => undefined })
    try {
      const response = await fetch(`${third.base}/api/v1/garage`, { headers: { cookie: owner.cookie } })
      expect(garageShape.parse(await response.json())).toMatchObject({ isOn: false, origins: [] })
    } finally {
      await third.close()
    }
  })
  it('is nothing where the server doesn’t stand in one', async () => {
    const elsewhere = await testServer()
    try {
      const boss = await elsewhere.people.owner()
      expect((await boss.ask('/garage', garageShape)).hindrance).toContain('set up where it runs')
      expect(await boss.status('/garage', 'PUT', { isOn: true })).toBe(404)
      expect(await boss.status('/garage/trust')).toBe(404)
    } finally {
      await elsewhere.close()
    }
  })
})
