import {
  buildDocument,
  buildList,
  buildSummary,
  editResult,
  problem,
  type BuildDocument,
  type Edit,
  type EditResult,
  type Problem,
} from '@bold-ballast/contract'
import { randomUUID } from 'node:crypto'
import type { AddressInfo } from 'node:net'
import { pino } from 'pino'
import type { z } from 'zod'
import { createApp, type AppOptions } from '../app'
import { currentWorkshop } from '../builds/currentWorkshop'
import { connect, migrate } from '../database/connect'
import { HeavyWork } from '../heavy/HeavyWork'
import { LiveHub } from '../live/LiveHub'
import { Signals } from '../live/Signals'
import { WorkshopExports } from '../workshop/WorkshopExports'
import { testDatabase } from './testDatabase'
import { testPeople, type Visitor } from './testPeople'

export type Answer<T> = { status: number; body: T; headers: Headers }

/**
 * The whole server on a free port with its own database, or with one that is given; every response is checked against the
 * contract.
 */
export async function testServer(
  options: Partial<AppOptions> = {},
  given?: Awaited<ReturnType<typeof testDatabase>>,
) {
  const database = given ?? (await testDatabase())
  const db = connect(database.url)
  await migrate(db)
  const workshop = await currentWorkshop(db)
  const heavy = new HeavyWork(database.url)
  const log = pino({ level: 'silent' })
  const signals = new Signals(database.url, log)
  const hub = new LiveHub(db, signals, log)
  await signals.open()
  const exports = new WorkshopExports(heavy)
  const app = createApp({ db, heavy, workshop, log, hub, exports, ...options })
  const server = app.listen(0, '127.0.0.1')
  // A test that thinks for longer than a few seconds would else ask on a line that is just being closed.
  server.keepAliveTimeout = 120_000
  await new Promise((resolve) => server.once('listening', resolve))
  await options.garage?.open(app)
  const base = `http://127.0.0.1:${(server.address() as AddressInfo).port}`

  /** Who asks below; nobody while there are no accounts. */
  let asks: Visitor | null = null
  const ask = async <T>(
    path: string,
    schema: z.ZodType<T>,
    init: RequestInit & { json?: unknown } = {},
  ): Promise<Answer<T>> => {
    const { json, ...rest } = init
    const headers = {
      ...(asks ? { cookie: asks.cookie } : {}),
      ...(json === undefined ? {} : { 'content-type': 'application/json' }),
      ...(rest.headers as Record<string, string> | undefined),
    }
    const body = json === undefined ? {} : { body: JSON.stringify(json) }
    const response = await fetch(`${base}/api/v1${path}`, { ...rest, ...body, headers })
    return { status: response.status, body: schema.parse(await response.json()), headers: response.headers }
  }
  return {
    base,
    db,
    url: database.url,
    workshop,
    ask,
    people: testPeople(base, db, workshop.id),
    /** Whoever asks from now on. */
    askAs: (visitor: Visitor) => void (asks = visitor),
    /** What the Garage lists, once all of it has been worked out. */
    list: async () => {
      for (;;) {
        const listed = await ask('/builds', buildList)
        if (!listed.body.some((build) => build.isWorkingOut)) return listed
        await new Promise((done) => setTimeout(done, 25))
      }
    },
    /** What it lists at once. */
    listNow: () => ask('/builds', buildList),
    read: (id: string) => ask(`/builds/${id}`, buildDocument) as Promise<Answer<BuildDocument>>,
    add: (file: unknown) => ask('/builds', buildSummary, { method: 'POST', json: file }),
    refuse: (path: string, init?: RequestInit & { json?: unknown }) =>
      ask(path, problem, init) as Promise<Answer<Problem>>,
    edit: (id: string, edits: readonly Edit[], batchId: string = randomUUID()) =>
      ask<EditResult>(`/builds/${id}/edits`, editResult, {
        method: 'POST',
        json: { id: batchId, label: 'test', edits },
      }),
    refuseEdit: (id: string, edits: readonly unknown[], batchId: string = randomUUID()) =>
      ask(`/builds/${id}/edits`, problem, {
        method: 'POST',
        json: { id: batchId, label: 'test', edits },
      }) as Promise<Answer<Problem>>,
    close: async () => {
      server.closeAllConnections()
      await new Promise((resolve) => server.close(resolve))
      await options.garage?.close()
      hub.close()
      await signals.close()
      await exports.close()
      await heavy.close()
      await db.destroy()
      await database.drop()
    },
  }
}
export type TestServer = Awaited<ReturnType<typeof testServer>>
