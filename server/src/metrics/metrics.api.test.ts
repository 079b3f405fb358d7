import { sampleBuild } from '@bold-ballast/contract/sampleBuild'
import { randomUUID } from 'node:crypto'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { testServer, type TestServer } from '../testing/testServer'

let server: TestServer
beforeAll(async () => {
  server = await testServer()
})
afterAll(() => server.close())

const figures = async () => (await fetch(`${server.base}/metrics`)).text()

describe('figures of the server', () => {
  it('count requests by the route that answered, and name nothing of the workshop', async () => {
    const file = sampleBuild(randomUUID)
    file.build.name = 'Secret car'
    const { body } = await server.add(file)
    await server.read(body.id)
    await server.refuse(`/builds/${randomUUID()}`)
    const text = await figures()
    const count = (labels: string) =>
      new RegExp(`request_seconds_count\\{${labels}\\} (\\d+)`).exec(text)?.[1]
    expect(count('method="GET",route="/api/v1/builds/:buildId",status="200"')).toBe('1')
    expect(count('method="GET",route="/api/v1/builds/:buildId",status="404"')).toBe('1')
    expect(text).not.toContain(body.id)
    expect(text).not.toContain('Secret car')
  })
  it('tell how many connections are in use', async () =>
    expect(await figures()).toMatch(/^bold_ballast_connections_used \d+$/m))
  it('are not for whom a proxy asks', async () => {
    const answer = await fetch(`${server.base}/metrics`, { headers: { 'x-forwarded-for': '203.0.113.9' } })
    expect(answer.status).toBe(403)
  })
})

describe('readiness', () => {
  it('is there while the server stays, and gone once it is about to stop', async () => {
    expect((await fetch(`${server.base}/api/v1/ready`)).status).toBe(200)
    const closing = await testServer({ isClosing: () => true })
    const answer = await fetch(`${closing.base}/api/v1/ready`)
    expect(answer.status).toBe(503)
    expect(await answer.json()).toMatchObject({ title: 'Closing' })
    expect((await fetch(`${closing.base}/api/v1/builds`)).status).toBe(200)
    await closing.close()
  })
})
