import { Writable } from 'node:stream'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { PASSWORD, type Visitor } from '../testing/testPeople'
import { testServer, type TestServer } from '../testing/testServer'
import { makeLog, withoutSecrets } from './logOf'

let written = ''
const log = makeLog(
  'trace',
  new Writable({
    write: (chunk: Buffer, _encoding, done) => {
      written += chunk.toString()
      done()
    },
  }),
)
let server: TestServer
let owner: Visitor
beforeAll(async () => {
  server = await testServer({ log })
  owner = await server.people.owner()
})
afterAll(() => server.close())

describe('the log', () => {
  it('says what went wrong and where, and holds no cookie, no password and no secret of a link', async () => {
    await server.db.raw('alter table audit rename to audit_gone')
    const token = 'a'.repeat(43)
    try {
      const json = { login: 'rosa', password: PASSWORD }
      expect(await owner.status('/sign-in', 'POST', json)).toBe(500)
      expect(await owner.status('/audit')).toBe(500)
      await server.db.raw('alter table passes rename to passes_gone')
      expect(await owner.status(`/passes/${token}`)).toBe(500)
    } finally {
      await server.db.raw('alter table audit_gone rename to audit')
      await server.db.raw('alter table if exists passes_gone rename to passes')
    }
    expect(written).toContain('/api/v1/audit')
    expect(written).toContain('does not exist')
    for (const secret of [owner.cookie.split('=')[1]!, PASSWORD, token]) expect(written).not.toContain(secret)
    for (const line of written.trim().split('\n')) expect(() => JSON.parse(line) as unknown).not.toThrow()
  })
  it('takes secrets out of addresses', () => {
    expect(withoutSecrets('/api/v1/passes/abc?x=1')).toBe('/api/v1/passes/…?x=1')
    expect(withoutSecrets('/join/abc')).toBe('/join/…')
    expect(withoutSecrets('/api/v1/builds/abc')).toBe('/api/v1/builds/abc')
  })
})

describe('answers', () => {
  it('of the API are kept by nobody on the way', async () => {
    for (const path of ['/me', '/builds', '/sessions'])
      expect((await owner.fetch(path)).headers.get('cache-control')).toBe('no-store')
  })
  it('run nothing of others, are framed by nobody, and are what they say', async () => {
    const { headers } = await owner.fetch('/me')
    const policy = headers.get('content-security-policy')!
    for (const part of ["default-src 'self'", "frame-ancestors 'none'", "object-src 'none'"])
      expect(policy).toContain(part)
    expect(policy.split(';').find((part) => part.startsWith('font-src'))).toBe("font-src 'self'")
    expect(policy).not.toContain("script-src 'self' 'unsafe-inline'")
    expect(headers.get('x-content-type-options')).toBe('nosniff')
    expect(headers.get('x-powered-by')).toBeNull()
    // Over plain HTTP on loopback nobody is told to come by HTTPS only.
    expect(headers.get('strict-transport-security')).toBeNull()
  })
  it('tell browsers to come by HTTPS where a proxy has it', async () => {
    const own = await testServer({ publicOrigin: 'https://garage.example.org' })
    try {
      const answer = await fetch(`${own.base}/api/v1/health`)
      expect(answer.headers.get('strict-transport-security')).toMatch(/max-age=\d{7,}/)
    } finally {
      await own.close()
    }
  })
})
