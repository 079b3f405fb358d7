import { randomUUID } from 'node:crypto'
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join, resolve } from 'node:path'
import { sampleBuild } from '@bold-ballast/contract/sampleBuild'
import { startCluster, type Cluster } from '../bin/parts/cluster.mjs'
import { startServer } from '../bin/parts/server.mjs'
import { expect, saved, test, waiting } from './bench'

const root = resolve(import.meta.dirname, '..')

/** A server with a database of its own, because this test takes both away. */
test.describe('when the floor goes', () => {
  test.use({ expectsErrors: true })
  let folder: string
  let cluster: Cluster
  let server: Awaited<ReturnType<typeof startServer>>
  const start = (port = 0) =>
    startServer(root, { DATABASE_URL: cluster.url, PORT: String(port), DEMO: 'off' })
  const stopped = () => new Promise((done) => server.child.once('exit', done))

  test.beforeAll(async () => {
    folder = mkdtempSync(join(tmpdir(), 'bold-ballast-outage-'))
    cluster = await startCluster(folder, { throwaway: true })
    server = await start()
  })
  test.afterAll(async () => {
    const gone = stopped()
    server.child.kill('SIGTERM')
    await gone
    cluster.stop()
    rmSync(folder, { recursive: true, force: true })
  })

  test('the database stops and starts, then the server is killed and comes back: nothing typed is lost', async ({
    page,
  }) => {
    const base = `http://localhost:${server.port}`
    const file = sampleBuild(randomUUID, { swaps: 1, linesEach: 3 })
    await page.request.post(`${base}/api/v1/builds`, { data: file })
    await page.goto(`${base}/builds/${file.build.id}/stages/${file.stages[0]!.id}/swaps`)
    const mass = (part: number) => page.getByRole('gridcell', { name: `Mass each of Part ${part}` })
    await mass(0).click()

    cluster.stop()
    await page.keyboard.type('2.5')
    await page.keyboard.press('Enter')
    await waiting(page, 1)
    await page.keyboard.type('3.5')
    await page.keyboard.press('Enter')
    await expect(mass(0)).toHaveText('2.50')
    cluster.start()
    await saved(page)

    const killed = stopped()
    server.child.kill('SIGKILL')
    await killed
    await page.keyboard.type('4.5')
    await page.keyboard.press('Enter')
    await waiting(page, 1)
    // It is tried again by itself as well: pressed once the server is there, the button could be gone.
    await page.getByRole('button', { name: 'Try now' }).click()
    server = await start(server.port)
    await saved(page)

    await page.reload()
    await expect(mass(0)).toHaveText('2.50')
    await expect(mass(1)).toHaveText('3.50')
    await expect(mass(2)).toHaveText('4.50')
  })
})
