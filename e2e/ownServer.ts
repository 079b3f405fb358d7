import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join, resolve } from 'node:path'
import { startCluster } from '../bin/parts/cluster.mjs'
import { startServer } from '../bin/parts/server.mjs'

const root = resolve(import.meta.dirname, '..')

/** A server with records of its own, for journeys after which nothing is as it was: people sign in there. */
export async function ownServer(env: Readonly<Record<string, string>> = {}) {
  const folder = mkdtempSync(join(tmpdir(), 'bold-ballast-own-'))
  const cluster = await startCluster(folder, { throwaway: true })
  const start = (port = 0) =>
    startServer(root, { DATABASE_URL: cluster.url, PORT: String(port), DEMO: 'off', ...env })
  let server = await start()
  const { port } = server
  const stop = (child: typeof server.child) => {
    const gone = new Promise((done) => child.once('exit', done))
    child.kill('SIGTERM')
    return gone
  }
  return {
    base: `http://localhost:${port}`,
    /** The server of now, to be held or killed. */
    child: () => server.child,
    /** Stops it, and starts it again at the same address. */
    leave: () => stop(server.child),
    comeBack: async () => {
      server = await start(port)
    },
    /** Another server of the same records. */
    twin: () => start(),
    stop,
    end: async () => {
      await stop(server.child)
      cluster.stop()
      rmSync(folder, { recursive: true, force: true })
    },
  }
}
