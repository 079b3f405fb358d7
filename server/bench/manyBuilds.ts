import { withNewIds, type BuildDocument } from '@bold-ballast/contract'
import { demo } from '@bold-ballast/demo'
import { sealedFiguresOf } from '@bold-ballast/words'
import { randomUUID } from 'node:crypto'
import { Agent, request } from 'node:http'
import { performance } from 'node:perf_hooks'
import { setTimeout as pause } from 'node:timers/promises'
import { gzipSync } from 'node:zlib'

/** A workshop of 200 builds: taken in, listed, read and edited by 32 clients at once. */
const BUILDS = 200
const CLIENTS = 32
const SECONDS = 5

const base = new URL(`${process.env['E2E_URL']}/api/v1`)
const agent = new Agent({ keepAlive: true, maxSockets: CLIENTS })

/** Node's own fetch takes longer to gather a body than the server to write it; plain http doesn't. */
const ask = (method: string, path: string, body?: Buffer | string, type = 'application/json') =>
  new Promise<{ status: number; text: () => string }>((done, failed) => {
    const headers =
      body === undefined ? {} : { 'content-type': type, 'content-length': Buffer.byteLength(body) }
    const asked = request(new URL(`${base.href}${path}`), { method, agent, headers }, (response) => {
      const chunks: Buffer[] = []
      response
        .on('data', (chunk: Buffer) => chunks.push(chunk))
        .on('end', () => done({ status: response.statusCode!, text: () => Buffer.concat(chunks).toString() }))
        .on('error', failed)
    })
    asked.on('error', failed).end(body)
  })

const line = (name: string, figure: string, goal: string) =>
  process.stdout.write(`  ${name.padEnd(62)} ${figure.padStart(12)}   ${goal}\n`)
const at = (share: number, times: readonly number[]) =>
  [...times].sort((a, b) => a - b)[Math.min(times.length - 1, Math.floor(share * times.length))]!

/**
 * Clients that ask without a pause, or as often a second in all; times of those that were answered, ms. Where they are to ask
 * at a time, it counts from then: a server that is behind makes the next one late, too.
 */
async function storm(
  work: (client: number, turn: number) => Promise<number>,
  perSecond = Infinity,
): Promise<{ times: number[]; refused: number; seconds: number }> {
  const times: number[] = []
  let refused = 0
  const start = performance.now()
  const until = start + SECONDS * 1000
  await Promise.all(
    Array.from({ length: CLIENTS }, async (_, client) => {
      for (let turn = 0; performance.now() < until; turn += 1) {
        const due = start + ((turn + client / CLIENTS) * CLIENTS * 1000) / perSecond
        if (due > performance.now()) await pause(due - performance.now())
        const before = Number.isFinite(perSecond) ? due : performance.now()
        const status = await work(client, turn)
        if (status < 300) times.push(performance.now() - before)
        else refused += 1
      }
    }),
  )
  return { times, refused, seconds: (performance.now() - start) / 1000 }
}
const say = (name: string, { times, refused, seconds }: Awaited<ReturnType<typeof storm>>, goal: string) => {
  line(`${name}, ${CLIENTS} clients, ${refused} refused`, `${(times.length / seconds).toFixed(0)}/s`, goal)
  line('  median and 99th of a hundred', `${at(0.5, times).toFixed(0)}, ${at(0.99, times).toFixed(0)} ms`, '')
}

const files = demo.builds()
const lines = Array.from({ length: BUILDS }, (_, i) => ({
  kind: 'build',
  createdAt: new Date(1.7e12 + i * 1000).toISOString(),
  history: [],
  file: withNewIds(files[i % files.length]!, randomUUID),
}))
const head = {
  kind: 'workshop',
  format: 'bold-ballast/workshop',
  formatVersion: 2,
  name: 'Many',
  exportedAt: new Date().toISOString(),
  builds: BUILDS,
}
const packed = gzipSync([head, ...lines, { kind: 'end' }].map((l) => JSON.stringify(l)).join('\n'))
const start = performance.now()
const taken = await ask('POST', '/workshop/file', packed, 'application/gzip')
if (taken.status !== 200) throw new Error(taken.text())
line(`${BUILDS} builds taken in`, `${((performance.now() - start) / 1000).toFixed(1)} s`, 'goal 15 s')

const list = async () =>
  JSON.parse((await ask('GET', '/builds')).text()) as { id: string; isWorkingOut?: true }[]
/** Waits until nothing of the list is still being worked out; since then, s. */
const allOfNow = async (since: number) => {
  while ((await list()).some(({ isWorkingOut }) => isWorkingOut)) await pause(50)
  return `${((performance.now() - since) / 1000).toFixed(1)} s`
}
const before = performance.now()
const ids = (await list()).map(({ id }) => id)
line(
  'The list right after, while it is being worked out',
  `${(performance.now() - before).toFixed(0)} ms`,
  'goal 150 ms',
)
line('  and until all of it is of now', await allOfNow(before), '')
const listed: number[] = []
for (let i = 0; i < 30; i += 1) {
  const before = performance.now()
  await ask('GET', '/builds')
  listed.push(performance.now() - before)
}
line(`The list of ${ids.length} builds, one client`, `${at(0.5, listed).toFixed(0)} ms`, 'goal 150 ms')
say('The list', await storm(async () => (await ask('GET', '/builds')).status), 'median: goal 150 ms')
say(
  'Builds read',
  await storm(
    async (client, turn) => (await ask('GET', `/builds/${ids[(client * 7 + turn) % ids.length]}`)).status,
  ),
  'goal 300/s',
)

const unfrozen = <L extends { swapId: string }>({
  lines: all,
  seals,
  swaps,
}: {
  lines: readonly L[]
  seals: readonly { stageId: string }[]
  swaps: readonly { id: string; stageId: string }[]
}) => {
  const frozen = new Set(seals.map((s) => s.stageId))
  const stageOf = new Map(swaps.map((s) => [s.id, s.stageId]))
  return all.filter((l) => !frozen.has(stageOf.get(l.swapId)!))
}
const edits = async (buildOf: (client: number) => string, perSecond?: number) => {
  const documents = new Map<string, BuildDocument>()
  for (const id of new Set(Array.from({ length: CLIENTS }, (_, c) => buildOf(c))))
    documents.set(id, JSON.parse((await ask('GET', `/builds/${id}`)).text()) as BuildDocument)
  const versions = new Map<number, number>()
  return storm(async (client) => {
    const id = buildOf(client)
    const free = unfrozen(documents.get(id)!)
    const record = free[client % free.length]!
    const version = versions.get(client) ?? record.version
    const mass = 1 + Math.round(Math.random() * 100) / 10
    const edit = { op: 'put', kind: 'line', record: { ...record, mass, version } }
    const batch = { id: randomUUID(), label: 'Weigh', edits: [edit] }
    const { status } = await ask('POST', `/builds/${id}/edits`, JSON.stringify(batch))
    if (status === 200) versions.set(client, version + 1)
    return status
  }, perSecond)
}
say(
  'Lines weighed, each client its own build',
  await edits((client) => ids[client % ids.length]!),
  'goal 200/s',
)
say(
  'The same, 200 a second of all together',
  await edits((client) => ids[client % ids.length]!, 200),
  '99th: goal 100 ms',
)
// With a line for each client: two at one line would only get in each other's way.
const free = files.map((file) => unfrozen(file).length)
const longest = ids[free.indexOf(Math.max(...free))]!
say('Lines weighed, all clients one build', await edits(() => longest), 'goal 200/s')
const after = performance.now()
await ask('GET', '/builds')
line(
  `The list after edits in ${CLIENTS + 1} builds`,
  `${(performance.now() - after).toFixed(0)} ms`,
  'goal 150 ms',
)
line('  and until all of it is of now', await allOfNow(after), '')

/** One client that weighs lines one after the other: median, ms. */
async function oneByOne(id: string): Promise<number> {
  const document = JSON.parse((await ask('GET', `/builds/${id}`)).text()) as BuildDocument
  const free = unfrozen(document)
  const record = { ...free.at(-1)! }
  const times: number[] = []
  for (let i = 0; i < 60; i += 1) {
    const edit = { op: 'put', kind: 'line', record: { ...record, mass: 1 + (i % 9) / 10 } }
    const batch = JSON.stringify({ id: randomUUID(), label: 'Weigh', edits: [edit] })
    const before = performance.now()
    const { status, text } = await ask('POST', `/builds/${id}/edits`, batch)
    if (status !== 200) throw new Error(text())
    times.push(performance.now() - before)
    record.version += 1
  }
  return at(0.5, times)
}
const open = await oneByOne(longest)
const unsigned = JSON.parse((await ask('GET', `/builds/${longest}`)).text()) as BuildDocument
const [first] = [...unsigned.stages].sort((a, b) => a.order - b.order)
const seal = {
  id: randomUUID(),
  stageId: first!.id,
  at: new Date().toISOString(),
  author: 'A. Builder',
  figures: sealedFiguresOf(unsigned, first!.id),
  reopened: null,
  note: '',
  version: 0,
}
const signing = JSON.stringify({
  id: randomUUID(),
  label: 'Freeze',
  edits: [{ op: 'put', kind: 'seal', record: seal }],
})
const beforeSigning = performance.now()
const signed = await ask('POST', `/builds/${longest}/edits`, signing)
if (signed.status !== 200) throw new Error(signed.text())
line('A stage signed, its figures worked out', `${(performance.now() - beforeSigning).toFixed(0)} ms`, '')
const frozen = await oneByOne(longest)
line('A line weighed, one client, median', `${open.toFixed(1)} ms`, '')
line('The same in a build with a signed stage', `${frozen.toFixed(1)} ms`, '')
line('Ratio', (frozen / open).toFixed(2), '')
agent.destroy()
