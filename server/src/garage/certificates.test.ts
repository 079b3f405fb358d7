import { mkdtempSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs'
import { createServer } from 'node:https'
import { request } from 'node:https'
import type { AddressInfo } from 'node:net'
import { X509Certificate } from 'node:crypto'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import { certificatesIn, namesOf } from './certificates'
import { isLocal } from './localAddresses'

const DAY_MS = 86_400_000
const NOW = new Date()
const later = (days: number) => new Date(NOW.getTime() + days * DAY_MS)
let folder: string
beforeEach(() => (folder = mkdtempSync(join(tmpdir(), 'bold-ballast-garage-'))))
afterEach(() => rmSync(folder, { recursive: true, force: true }))
const made = (addresses = ['127.0.0.1'], now = NOW, host = 'bench.lan') =>
  certificatesIn(folder, host, addresses, now)

/** What a client that trusts the authority says of a server that shows the leaf. */
async function ask(shown: { certificate: string; key: string }, authority: string): Promise<string> {
  const server = createServer({ cert: shown.certificate, key: shown.key }, (_request, response) =>
    response.end('in'),
  )
  await new Promise<void>((done) => server.listen(0, '127.0.0.1', done))
  const { port } = server.address() as AddressInfo
  try {
    return await new Promise<string>((done) => {
      const asked = request({ host: '127.0.0.1', port, ca: authority }, (response) => {
        response.on('data', (text: Buffer) => done(text.toString()))
      })
      asked.on('error', (error) => done(error.message))
      asked.end()
    })
  } finally {
    server.close()
  }
}

describe('certificates of the garage', () => {
  it('are taken by a client that trusts the authority, and by no other', async () => {
    const { authority, leaf } = await made()
    expect(await ask(leaf, authority)).toBe('in')
    const other = await certificatesIn(mkdtempSync(join(folder, 'other')), 'other', ['127.0.0.1'], NOW)
    expect(await ask(leaf, other.authority)).not.toBe('in')
  })
  it('stay as they are from start to start', async () => {
    const first = await made()
    expect(await made(['127.0.0.1'], later(100))).toEqual(first)
  })
  it('are renewed before they end, by the same authority', async () => {
    const first = await made()
    const next = await made(['127.0.0.1'], later(155))
    expect(next.fingerprint).toBe(first.fingerprint)
    expect(next.leaf.certificate).not.toBe(first.leaf.certificate)
    expect(next.endsAt.getTime()).toBeGreaterThan(later(300).getTime())
  })
  it('are made out anew where the machine has another address, and say it', async () => {
    const first = await made()
    const next = await made(['127.0.0.1', '192.168.1.44'])
    expect(next.fingerprint).toBe(first.fingerprint)
    expect(new X509Certificate(next.leaf.certificate).checkIP('192.168.1.44')).toBe('192.168.1.44')
  })
  it('have an authority that speaks for nothing but local names and addresses', async () => {
    const { authority } = await made()
    // An address of the open network, made out by the same key, is not taken.
    const outside = await certificatesIn(folder, 'bench.lan', ['127.0.0.1', '203.0.113.9'], NOW)
    expect(outside.authority).toBe(authority)
    expect(await ask(outside.leaf, authority)).toContain('permitted subtree violation')
  })
  it('last so short that phones take them', async () => {
    const { leaf } = await made()
    const { validFrom, validTo } = new X509Certificate(leaf.certificate)
    // 825 days at most for what a private authority makes out.
    expect(Date.parse(validTo) - Date.parse(validFrom)).toBeLessThan(200 * DAY_MS)
  })
  it('have keys that nobody else reads, and are made anew where a file is broken', async () => {
    const first = await made()
    for (const name of ['authority.key.pem', 'garage.key.pem'])
      expect(statSync(join(folder, name)).mode & 0o077).toBe(0)
    rmSync(join(folder, 'garage.key.pem'))
    const next = await made()
    expect(next.fingerprint).toBe(first.fingerprint)
    expect(await ask(next.leaf, next.authority)).toBe('in')
    writeFileSync(join(folder, 'authority.pem'), '')
    expect((await made()).fingerprint).not.toBe(first.fingerprint)
    expect(readFileSync(join(folder, 'authority.pem'), 'utf8')).toContain('BEGIN CERTIFICATE')
  })
  it('go by the names of the machine on its network', () =>
    expect(namesOf('Bench.example.org')).toEqual(['bench', 'bench.local']))
})

describe('local addresses', () => {
  it.each(['10.1.2.3', '172.16.0.1', '172.31.255.254', '192.168.178.20', '169.254.3.4'])(
    '%s is one',
    (address) => expect(isLocal(address)).toBe(true),
  )
  it.each(['8.8.8.8', '172.32.0.1', '192.169.0.1', '11.0.0.1', '127.0.0.1', '::1', 'nonsense'])(
    '%s is none',
    (address) => expect(isLocal(address)).toBe(false),
  )
})
