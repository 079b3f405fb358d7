import { randomUUID } from 'node:crypto'
import { spawnSync } from 'node:child_process'
import { mkdtempSync, openSync, closeSync, rmSync, statfsSync, writeSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join, resolve } from 'node:path'
import { sampleBuild } from '@bold-ballast/contract/sampleBuild'
import { startCluster, type Cluster } from '../bin/parts/cluster.mjs'
import { startServer } from '../bin/parts/server.mjs'
import { expect, test } from './bench'

const root = resolve(import.meta.dirname, '..')
/** Room for a cluster and little more. */
const DISK_MB = 160

/** A disk of its own, small and in memory; only root can have one. */
const mounted = (folder: string) =>
  spawnSync('mount', ['-t', 'tmpfs', '-o', `size=${DISK_MB}m,mode=755`, 'tmpfs', folder]).status === 0

/** Takes all room that is left. */
function fill(path: string): void {
  const file = openSync(path, 'w')
  try {
    for (let size = 1 << 20; size >= 512;) {
      try {
        if (writeSync(file, Buffer.alloc(size, 1)) < size) size /= 2
      } catch {
        size /= 2
      }
    }
  } finally {
    closeSync(file)
  }
}

test.describe('when the disk is full', () => {
  test.use({ expectsErrors: true })
  let folder: string
  let cluster: Cluster | undefined
  let server: Awaited<ReturnType<typeof startServer>>

  test.beforeAll(async () => {
    folder = mkdtempSync(join(tmpdir(), 'bold-ballast-full-'))
    test.skip(!mounted(folder), 'No disk of its own can be had here: that takes root.')
    cluster = await startCluster(folder, { throwaway: true })
    server = await startServer(root, { DATABASE_URL: cluster.url, PORT: '0', DEMO: 'off' })
  })
  test.afterAll(async () => {
    if (cluster) {
      const gone = new Promise((done) => server.child.once('exit', done))
      server.child.kill('SIGTERM')
      await gone
      cluster.stop()
    }
    spawnSync('umount', ['-l', folder])
    rmSync(folder, { recursive: true, force: true })
  })

  test('it is said in words, what is typed is kept, and all goes on by itself when there is room', async ({
    page,
  }) => {
    const base = `http://localhost:${server.port}`
    const file = sampleBuild(randomUUID, { swaps: 1, linesEach: 12 })
    await page.request.post(`${base}/api/v1/builds`, { data: file })
    await page.goto(`${base}/builds/${file.build.id}/stages/${file.stages[0]!.id}/swaps`)
    const mass = (part: number) =>
      page.getByRole('gridcell', { name: `Mass each of Part ${part}`, exact: true })
    const filler = join(folder, 'filler')
    fill(filler)
    expect(statfsSync(folder).bavail).toBe(0)
    // The first ones may find room in pages that are there.
    await mass(0).click()
    for (let part = 0; part < 12; part += 1) {
      await page.keyboard.type(`${part + 2}.5`)
      await page.keyboard.press('Enter')
    }
    const state = page.getByTestId('save-state')
    await expect(state).toContainText('not saved yet, trying again')
    await expect(state).toHaveAttribute('title', /The disk that holds the records is full/)
    await expect(mass(11)).toHaveText('13.50')
    rmSync(filler)
    // Twelve edits, one after the other: a slow machine takes its time for them.
    await expect(state).toHaveText('Saved', { timeout: 60_000 })
    await page.reload()
    for (let part = 0; part < 12; part += 1) await expect(mass(part)).toHaveText(`${part + 2}.50`)
  })
})
