import { COLLECTION, PART_KINDS, RECORDS, stageNamed } from '@bold-ballast/contract'
import { sampleBuild, sampleLine, sampleSwap } from '@bold-ballast/contract/sampleBuild'
import { randomUUID } from 'node:crypto'
import { Agent, get } from 'node:http'
import { performance } from 'node:perf_hooks'
import pg from 'pg'
import { ROW_OF } from '../src/database/rowOf'

/** A build with 20 stages and 2,000 lines: the API's answer against the bare SQL queries, in one run. */
const STAGES = 20
const SWAPS = 10
const LINES = 10
const ROUNDS = 60
const WARM_UP = 20

const file = sampleBuild(randomUUID, { swaps: 0, linesEach: 0 })
file.stages = Array.from({ length: STAGES }, (_, i) => stageNamed(`Stage ${i + 1}`, i, randomUUID()))
for (const stage of file.stages) {
  for (let s = 0; s < SWAPS; s += 1) {
    const swap = sampleSwap(stage.id, randomUUID(), s)
    file.swaps.push(swap)
    for (let l = 0; l < LINES; l += 1) file.lines.push(sampleLine(swap.id, randomUUID(), l))
  }
}
const base = `${process.env['E2E_URL']}/api/v1`
await fetch(`${base}/builds`, {
  method: 'POST',
  headers: { 'content-type': 'application/json' },
  body: JSON.stringify(file),
})

const client = new pg.Client({ connectionString: process.env['DATABASE_URL'] })
await client.connect()
const snake = (name: string) => name.replace(/[A-Z]/g, (c) => `_${c.toLowerCase()}`)
const select = (kind: keyof typeof RECORDS) =>
  `SELECT ${[...Object.keys(RECORDS[kind].shape), 'version'].map((c) => `"${snake(c)}"`).join(', ')} FROM ${ROW_OF[kind].tableName}`

const bareSql = async () => {
  await client.query(`${select('build')} WHERE id = $1`, [file.build.id])
  for (const kind of PART_KINDS) await client.query(`${select(kind)} WHERE build_id = $1`, [file.build.id])
}
// Node's own fetch takes longer to gather the body than the server to write it; plain http doesn't.
const agent = new Agent({ keepAlive: true })
const overApi = () =>
  new Promise<void>((done, failed) => {
    get(`${base}/builds/${file.build.id}`, { agent }, (response) => {
      response.on('data', () => undefined).on('end', done)
    }).on('error', failed)
  })
/** As if it had changed: what is read again is kept. */
const change = () =>
  client.query('UPDATE builds SET state = gen_random_uuid() WHERE id = $1', [file.build.id])
// Turn and turn about, so that a busy moment of the machine hits both.
const times = { sql: [] as number[], api: [] as number[] }
for (let i = 0; i < ROUNDS + WARM_UP; i += 1) {
  for (const [name, work] of [
    ['sql', bareSql],
    ['api', overApi],
  ] as const) {
    await change()
    const start = performance.now()
    await work()
    if (i >= WARM_UP) times[name].push(performance.now() - start)
  }
}
agent.destroy()
const median = (of: number[]) => of.sort((a, b) => a - b)[ROUNDS / 2]!
const sql = median(times.sql)
const api = median(times.api)
await client.end()
const line = (name: string, figure: string, goal: string) =>
  process.stdout.write(`  ${name.padEnd(62)} ${figure.padStart(12)}   ${goal}\n`)
line(
  `Bare SQL, ${STAGES} stages, ${file.lines.length} lines, ${Object.keys(COLLECTION).length + 1} queries`,
  `${sql.toFixed(1)} ms`,
  '',
)
line('The API’s whole answer to the same', `${api.toFixed(1)} ms`, '')
line('Ratio', (api / sql).toFixed(2), 'goal 3')
