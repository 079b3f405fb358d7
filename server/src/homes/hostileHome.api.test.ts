import { mkdtempSync, rmSync } from 'node:fs'
import type { ServerResponse } from 'node:http'
import { createServer, type Server } from 'node:https'
import type { AddressInfo } from 'node:net'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { certificatesIn } from '../garage/certificates'
import type { HeavyWork } from '../heavy/HeavyWork'
import { testServer } from '../testing/testServer'
import { readAway, type AwayShape } from './awayShapes'
import { HomeLine } from './HomeLine'

/** Another workshop's server on the network that means no good. */
const folder = mkdtempSync(join(tmpdir(), 'bold-ballast-hostile-'))
let server: Server
let origin: string
let authority: string
let fingerprint: string
let answer: (response: ServerResponse) => void = (response) => void response.end()
beforeAll(async () => {
  const certificates = await certificatesIn(folder, 'hostile', ['127.0.0.1'], new Date())
  const { key, certificate: cert } = certificates.leaf
  server = createServer({ key, cert }, (_request, response) => answer(response))
  await new Promise<void>((done) => server.listen(0, '127.0.0.1', done))
  origin = `https://127.0.0.1:${(server.address() as AddressInfo).port}`
  ;({ authority, fingerprint } = certificates)
})
afterAll(async () => {
  server.closeAllConnections()
  await new Promise((done) => server.close(done))
  rmSync(folder, { recursive: true, force: true })
})

/** What a thread was given to read, read here. */
const given: number[] = []
const heavy = {
  run: (_task: string, { shape, body }: { shape: AwayShape; body: Uint8Array }) => {
    given.push(body.length)
    return Promise.resolve(readAway(shape, body))
  },
} as unknown as Pick<HeavyWork, 'run'>
const limits = { list: { bytes: 4e6, ms: 400 }, large: { bytes: 8e6, ms: 800 } }
const line = () => new HomeLine({ origin, authority, cookie: 'ballast=x' }, heavy, limits)
const brackets = (bytes: number) => Buffer.alloc(bytes, 0x5b)

describe('a hostile workshop on the network', () => {
  it('that answers with 60 MB of brackets is cut off, for a list as for a build', async () => {
    let sent = 0
    answer = (response) => {
      const more = () => {
        while (sent < 60e6 && !response.destroyed) {
          sent += 1e6
          if (!response.write(brackets(1e6))) return void response.once('drain', more)
        }
        response.end()
      }
      more()
    }
    await expect(line().read('/me', 'me')).rejects.toThrow('more than was asked for')
    expect(sent).toBeLessThan(30e6)
    sent = 0
    await expect(line().read('/builds/x/file', 'build', { isLarge: true })).rejects.toThrow(
      'more than was asked for',
    )
    expect(sent).toBeLessThan(40e6)
  })
  it('whose answer is deep is not read, and what is long is read by another thread', async () => {
    answer = (response) => void response.end(brackets(2e6))
    given.length = 0
    await expect(line().read('/me', 'me')).rejects.toThrow('can’t read')
    expect(given).toEqual([2e6])
    answer = (response) => void response.end(`[${'[],'.repeat(1_200_000)}[]]`)
    await expect(line().read('/me', 'me')).rejects.toThrow('can’t read')
  })
  it('that sends a byte now and then is given up at the deadline', async () => {
    answer = (response) => {
      const dripping = setInterval(() => response.write(' '), 20)
      response.once('close', () => clearInterval(dripping))
    }
    await expect(line().read('/me', 'me')).rejects.toThrow('far too long')
    await expect(line().read('/builds/x/file', 'build', { isLarge: true })).rejects.toThrow('far too long')
  })
  it('that never answers is given up, too', async () => {
    answer = () => undefined
    await expect(line().read('/me', 'me')).rejects.toThrow('far too long')
  })
  it('is quoted in a few words once it is known', async () => {
    answer = (response) =>
      void response
        .writeHead(422, { 'content-type': 'application/problem+json' })
        .end(JSON.stringify({ type: 'x', title: 'X', status: 422, detail: 'loud '.repeat(20_000) }))
    const { message } = (await line()
      .read('/me', 'me')
      .catch((error: Error) => error)) as Error
    expect(message).toMatch(/^It says: loud/)
    expect(message.length).toBeLessThan(500)
  })
  it('before pairing makes the laptop say the same of whatever answers, or doesn’t', async () => {
    const laptop = await testServer()
    try {
      const words = new Set<string>()
      const pair = async (link: string) => {
        const { status, body } = await laptop.refuse('/homes', { method: 'POST', json: { link } })
        expect(status).toBe(424)
        words.add(body.detail)
      }
      const token = 'a'.repeat(43)
      const pinned = `#${fingerprint}`
      const answers: ((response: ServerResponse) => void)[] = [
        (response) => void response.writeHead(200).end('<h1>router</h1>'),
        (response) =>
          void response
            .writeHead(500)
            .end(JSON.stringify({ type: 'x', title: 'X', status: 500, detail: 'a secret of the network' })),
        (response) => void response.writeHead(401).end(),
        (response) => void response.writeHead(302, { location: 'http://127.0.0.1/' }).end(),
        (response) => void response.destroy(),
        (response) => void response.end(brackets(1e5)),
      ]
      for (const one of answers) {
        answer = one
        await pair(`${origin}/join/${token}${pinned}`)
        await pair(`${origin}/join/${token}`)
      }
      // No TLS there, and nobody there.
      await pair(`https://127.0.0.1:${new URL(laptop.base).port}/join/${token}${pinned}`)
      await pair(`https://127.0.0.1:9/join/${token}${pinned}`)
      expect([...words]).toHaveLength(1)
      expect([...words][0]).not.toMatch(/secret|router|ECONN|\d{2,}/)
    } finally {
      await laptop.close()
    }
  })
})
