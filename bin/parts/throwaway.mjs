import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { startCluster } from './cluster.mjs'

/**
 * Runs something with a throwaway PostgreSQL cluster, and leaves nothing behind, whatever happens.
 *
 * @param work gets the cluster
 */
export async function withThrowawayCluster(work) {
  const folder = mkdtempSync(join(tmpdir(), 'bold-ballast-'))
  const cluster = await startCluster(folder, { throwaway: true })
  const clear = () => {
    cluster.stop()
    rmSync(folder, { recursive: true, force: true })
  }
  const onSignal = () => (clear(), process.exit(130))
  process.on('SIGINT', onSignal)
  process.on('SIGTERM', onSignal)
  try {
    return await work(cluster)
  } finally {
    process.off('SIGINT', onSignal)
    process.off('SIGTERM', onSignal)
    clear()
  }
}
