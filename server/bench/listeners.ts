import { sampleBuild } from '@bold-ballast/contract/sampleBuild'
import { randomUUID } from 'node:crypto'
import { Agent, request } from 'node:http'
import { performance } from 'node:perf_hooks'
import { setTimeout as pause } from 'node:timers/promises'

/** Two hundred who look at one build while somebody works on it: when each sees what was saved, and what it takes. */
const LISTENERS = 200
const EDITS_A_SECOND = 5
/** Ten minutes where somebody wants to know whether memory stays as it is. */
const SECONDS = Number(process.env['LISTEN_SECONDS'] ?? 30)

const base = new URL(`${process.env['E2E_URL']}/api/v1`)
const agent = new Agent({ keepAlive: true, maxSockets: LISTENERS + 4 })

const line = (name: string, figure: string, goal: string) =>
  process.stdout.write(`  ${name.padEnd(62)} ${figure.padStart(12)}   ${goal}\n`)
const at = (share: number, times: readonly number[]) =>
  [...times].sort((a, b) => a - b)[Math.min(times.length - 1, Math.floor(share * times.length))]!

const post = (path: string, body: object) =>
  new Promise<{ status: number; text: string }>((done, failed) => {
    const text = JSON.stringify(body)
    const headers = { 'content-type': 'application/json', 'content-length': Buffer.byteLength(text) }
    const asked = request(new URL(`${base.href}${path}`), { method: 'POST', agent, headers }, (response) => {
      let said = ''
      response.on('data', (chunk: Buffer) => (said += chunk.toString()))
      response.on('end', () => done({ status: response.statusCode!, text: said }))
    })
    asked.on('error', failed).end(text)
  })

/** What the server itself holds in memory, bytes, once what nobody needs is gone. */
async function memory(): Promise<number> {
  const text = await (await fetch(`${base.origin}/metrics`)).text()
  return Number(/^bold_ballast_process_resident_memory_bytes (\S+)/m.exec(text)?.[1])
}

const file = sampleBuild(randomUUID, { swaps: 1, linesEach: 1 })
await post('/builds', file)
const sentAt = new Map<string, number>()
const times: number[] = []
let seen = 0
const streams = await Promise.all(
  Array.from(
    { length: LISTENERS },
    () =>
      new Promise<ReturnType<typeof request>>((done, failed) => {
        const asked = request(
          new URL(`${base.href}/builds/${file.build.id}/events`),
          { agent: false },
          (response) => {
            response.setEncoding('utf8')
            let text = ''
            response.on('data', (chunk: string) => {
              if (text === '' && chunk.includes('event: hello')) done(asked)
              text += chunk
              const parts = text.split('\n\n')
              text = parts.pop() ?? ''
              for (const part of parts) {
                const id = /"batchId":"([^"]+)"/.exec(part)?.[1]
                const sent = id === undefined ? undefined : sentAt.get(id)
                if (sent === undefined) continue
                times.push(performance.now() - sent)
                seen += 1
              }
            })
          },
        )
        asked.on('error', failed).end()
      }),
  ),
)

const record = { ...file.lines[0]!, version: 1 }
const memories: number[] = []
const until = performance.now() + SECONDS * 1000
let sent = 0
for (let turn = 0; performance.now() < until; turn += 1) {
  const id = randomUUID()
  sentAt.set(id, performance.now())
  const answer = await post(`/builds/${file.build.id}/edits`, {
    id,
    label: 'Weigh',
    edits: [{ op: 'put', kind: 'line', record: { ...record, mass: (turn % 50) + 1, version: turn + 1 } }],
  })
  if (answer.status !== 200) throw new Error(answer.text)
  sent += 1
  if (turn % (EDITS_A_SECOND * 5) === 0) memories.push(await memory())
  await pause(1000 / EDITS_A_SECOND)
}
await pause(1500)
for (const stream of streams) stream.destroy()
agent.destroy()

line(
  `${LISTENERS} listeners hear of an edit, ${sent} edits, median`,
  `${at(0.5, times).toFixed(0)} ms`,
  'goal 1 s',
)
line('  the last of all', `${times.reduce((a, b) => Math.max(a, b), 0).toFixed(0)} ms`, 'goal 1 s')
line('  of what was sent to all, heard', `${((100 * seen) / (sent * LISTENERS)).toFixed(1)} %`, 'goal 100 %')
const mean = (list: readonly number[]) => list.reduce((sum, n) => sum + n, 0) / list.length
const quarter = memories.length / 4
const quarters = [0, 1, 2, 3].map((q) => mean(memories.slice(Math.floor(q * quarter), (q + 1) * quarter)))
line(
  `  memory, by quarters of ${SECONDS} s`,
  `${quarters.map((bytes) => (bytes / 1e6).toFixed(0)).join(', ')} MB`,
  'goal alike',
)
