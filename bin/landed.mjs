import { spawnSync } from 'node:child_process'
import { randomUUID } from 'node:crypto'
import { writeFileSync } from 'node:fs'
import { join, resolve } from 'node:path'
import { gzipSync } from 'node:zlib'
import { register } from 'tsx/esm/api'
import { postgresPrograms } from './parts/packages.mjs'
import { startServer } from './parts/server.mjs'
import { withThrowawayCluster } from './parts/throwaway.mjs'

/**
 * Writes what a checkout leaves behind, for the tests that later ones must take it over: its database as a dump, a
 * build file and, where it has them, a workshop file. Run it once when a format lands: `npm run landed`.
 *
 * A small build of the demo goes through every kind of record: put again, tried in a branch, taken away, brought back.
 *
 * @param 2 the checkout; this one where it is left out
 */
const here = resolve(import.meta.dirname, '..')
const tree = resolve(process.argv[2] ?? here)
const folder = join(here, 'server/src/testing/landed')
const MOST = 2

register()
const { COLLECTION, PARENT } = await import('../contract/src/index.ts')
/** The one kind of record in a collection, as edits name it; an older checkout has fewer. */
const KIND_OF = Object.fromEntries(Object.entries(COLLECTION).map(([kind, collection]) => [collection, kind]))

/** A few records of each collection, with those they hang from. */
function trimmed(file) {
  const kept = { ...file }
  // In the order of the collections, so that what a record hangs from was chosen before it.
  for (const [collection, kind] of Object.entries(KIND_OF)) {
    if (!Array.isArray(file[collection])) continue
    const parent = PARENT[kind]
    const above = parent && kept[COLLECTION[parent.kind]]
    const hangs = (record) => !above || above.some((r) => r.id === record[parent.field])
    const most = collection === 'stages' ? Infinity : MOST
    kept[collection] = file[collection].filter(hangs).slice(-most)
  }
  return kept
}

await withThrowawayCluster(async (cluster) => {
  const { child, port } = await startServer(tree, { DATABASE_URL: cluster.url, PORT: '0' })
  const api = `http://127.0.0.1:${port}/api/v1`
  const ask = async (path, method = 'GET', json) => {
    const response = await fetch(`${api}${path}`, {
      method,
      ...(json && { body: JSON.stringify(json), headers: { 'content-type': 'application/json' } }),
    })
    const text = await response.text()
    if (!response.ok) throw new Error(`${method} ${path} ${response.status} ${text.slice(0, 400)}`)
    return text && JSON.parse(text)
  }
  const files = []
  for (const { id } of await ask('/builds')) {
    files.push(await ask(`/builds/${id}/file`))
    await ask(`/builds/${id}`, 'DELETE')
  }
  const filled = (file) => Object.values(file).filter((v) => Array.isArray(v) && v.length > 0).length
  files.sort((a, b) => filled(b) - filled(a))
  // What the richest lacks comes from the others, where it needs no record that isn't there.
  const richest = files[0]
  for (const other of files.slice(1))
    for (const collection of Object.keys(KIND_OF))
      if (richest[collection]?.length === 0)
        richest[collection] = other[collection].map((record) => ({
          ...record,
          ...(record.stageId && { stageId: richest.stages.at(-1).id }),
        }))
  const { id } = await ask('/builds', 'POST', trimmed(richest))
  let refused = 0
  const edit = (label, edits) =>
    ask(`/builds/${id}/edits`, 'POST', { id: randomUUID(), label, edits }).catch((error) => {
      refused += 1
      console.log(`  ${error.message}`)
    })
  const read = () => ask(`/builds/${id}`)
  const before = await read()
  await edit('Put the build again', [{ op: 'put', kind: 'build', record: before.build }])
  for (const [collection, kind] of Object.entries(KIND_OF))
    for (const record of before[collection] ?? [])
      await edit(`Put ${kind} again`, [{ op: 'put', kind, record }])
  const now = await read()
  const line = now.lines[0]
  await edit('Take a line away', [{ op: 'remove', kind: 'line', id: line.id, version: line.version }])
  await edit('Bring it back', [{ op: 'put', kind: 'line', record: { ...line, version: 0 } }])
  if (now.branches) {
    const then = await read()
    const frozen = new Set(then.seals.filter((s) => !s.reopened).map((s) => s.stageId))
    const stageOf = (kind, record) =>
      kind === 'stage'
        ? record.id
        : (record.stageId ??
          then.swaps.find((s) => s.id === record.swapId)?.stageId ??
          then.dynoDays.find((d) => d.id === record.dynoDayId)?.stageId)
    const edits = Object.entries(KIND_OF).flatMap(([collection, kind]) =>
      kind === 'branch' || kind === 'seal'
        ? []
        : (then[collection] ?? [])
            .filter((record) => !frozen.has(stageOf(kind, record)))
            .slice(0, 1)
            .map((record) => ({
              op: 'put',
              kind,
              record: { ...record, ...('note' in record && { note: 'tried' }) },
            })),
    )
    const stageId = then.stages.at(-1).id
    const branch = { id: randomUUID(), stageId, name: 'Tried', order: 9, stepId: null, adoptedAt: null }
    await edit('Try something', [
      { op: 'put', kind: 'branch', record: { ...branch, edits, note: '', version: 0 } },
    ])
    const seal = then.seals[0]
    if (seal)
      await ask(`/builds/${id}/shares`, 'POST', {
        id: randomUUID(),
        stageId,
        endsAt: new Date(Date.now() + 300 * 86_400_000).toISOString(),
        sheet: {
          build: then.build.name,
          stage: 'Shared',
          place: 1,
          figures: seal.figures,
          signed: null,
          code: 'ABCD-EFGH',
          units: then.build.units,
        },
      }).catch((error) => console.log(`  ${error.message}`))
  }
  const file = await ask(`/builds/${id}/file`)
  const name = join(folder, `format-${file.formatVersion}`)
  writeFileSync(`${name}.build.json.gz`, gzipSync(JSON.stringify(file), { level: 9 }))
  const workshop = await fetch(`${api}/workshop/file`)
  if (workshop.ok) writeFileSync(`${name}.workshop.gz`, Buffer.from(await workshop.arrayBuffer()))
  child.kill('SIGTERM')
  await new Promise((done) => child.once('exit', done))
  const dump = spawnSync(join(postgresPrograms(), 'pg_dump'), ['--no-owner', cluster.url], {
    encoding: 'utf8',
    maxBuffer: 1e9,
  })
  if (dump.status !== 0) throw new Error(dump.stderr)
  writeFileSync(`${name}.sql.gz`, gzipSync(dump.stdout, { level: 9 }))
  console.log(`${name}: ${filled(trimmed(richest))} collections filled, ${refused} edits refused`)
})
