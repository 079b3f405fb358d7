import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { startCluster } from '../../../bin/parts/cluster.mjs'

/** A PostgreSQL cluster for one run of the tests, gone afterwards. `npm test` hands its own in. */
export default async function throwawayCluster(): Promise<() => void> {
  if (process.env['TEST_DATABASE_URL']) return () => undefined
  const folder = mkdtempSync(join(tmpdir(), 'bold-ballast-test-'))
  const cluster = await startCluster(folder, { throwaway: true })
  process.env['TEST_DATABASE_URL'] = cluster.url
  return () => {
    cluster.stop()
    rmSync(folder, { recursive: true, force: true })
  }
}
