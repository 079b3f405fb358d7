import {
  buildDocument,
  buildList,
  COLLECTION,
  fileOf,
  openApi,
  PARENT,
  PART_KINDS,
  problem,
  type BuildDocument,
  type BuildFile,
} from '@bold-ballast/contract'
import { demo } from '@bold-ballast/demo'
import fc from 'fast-check'
import { randomUUID } from 'node:crypto'
import { request } from 'node:http'
import { gzipSync } from 'node:zlib'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { PASSWORD, type Visitor } from '../testing/testPeople'
import { testServer, type TestServer } from '../testing/testServer'

/** More with `npm run fuzz`; a seed that is given runs the same again. */
const REQUESTS = Number(process.env['FUZZ_REQUESTS'] ?? 3000)
const SEED = Number(process.env['FUZZ_SEED'] ?? Math.floor(Math.random() * 2 ** 31))
/** What the server's own memory may have grown by in the end, bytes. */
const MOST_GROWN = 400e6
/** A stream is hung up after so long. */
const HUNG_UP_MS = 40
/** Records of each kind that the build has: enough to be changed, and soon sent. */
const EACH = 2

let server: TestServer
let owner: Visitor
let document: BuildDocument
/** Ids of what is there, by the parameter's name. */
let known: Record<string, string>
beforeAll(async () => {
  server = await testServer({ requestsAMinute: 1e9 })
  owner = await server.people.owner()
  server.askAs(owner)
  await refill()
})
afterAll(() => server.close())

const small = (() => {
  const file: BuildFile = { ...demo.builds()[0]!, branches: [], seals: [] }
  const kept = new Set(file.stages.map((s) => s.id))
  for (const kind of PART_KINDS) {
    if (kind === 'stage') continue
    const parent = PARENT[kind]
    const list = (file[COLLECTION[kind]] as { id: string }[])
      .filter((record) => !parent || kept.has((record as unknown as Record<string, string>)[parent.field]!))
      .slice(0, EACH)
    for (const { id } of list) kept.add(id)
    Object.assign(file, { [COLLECTION[kind]]: list })
  }
  return file
})()

/** A build to be fuzzed, and no other; the last one may have been removed, or others added. */
async function refill(): Promise<void> {
  for (const { id } of (await server.list()).body) await owner.status(`/builds/${id}`, 'DELETE')
  const { id } = (await server.add(small)).body
  document = (await server.read(id)).body
  const lineId = document.lines[0]!.id
  known = {
    buildId: id,
    lineId,
    batchId: randomUUID(),
    shareId: randomUUID(),
    code: id.slice(0, 8),
    token: 'x',
  }
}

type Json = string | number | boolean | null | Json[] | { [key: string]: Json }

const NASTY: Json[] = [
  null,
  true,
  0,
  -1,
  1e308,
  -1e-308,
  2 ** 53,
  0.1,
  '',
  ' ',
  'null',
  'a\u0000b',
  '\ud800',
  'x'.repeat(5000),
  '__proto__',
  'constructor',
  '<script>alert(1)</script>',
  "'; drop table builds; --",
  '../../etc/passwd',
  '2026-02-31',
  '9999-99-99T99:99:99Z',
  '٣',
  'ﬀ',
  '=1+1',
  '%00',
  [],
  {},
  [[]],
  [[[[[[]]]]]],
  { id: null },
  { __proto__: null, toString: 1 } as unknown as Json,
  ['a', { b: [1, 2, { c: null }] }],
]
const nasty = fc.oneof(
  { weight: 3, arbitrary: fc.constantFrom(...NASTY) },
  { weight: 1, arbitrary: fc.jsonValue({ maxDepth: 4 }) as fc.Arbitrary<Json> },
  { weight: 1, arbitrary: fc.constant(null).map(() => randomUUID()) },
)

/** A change somewhere in JSON: how deep, which way, and what is put there. */
const mutation = fc.record({
  path: fc.array(fc.nat(50), { maxLength: 6 }),
  how: fc.constantFrom('replace', 'remove', 'twice', 'add', 'swap'),
  value: nasty,
})
type Mutation = typeof mutation extends fc.Arbitrary<infer T> ? T : never

function mutated(json: Json, [first = 0, ...path]: number[], change: Mutation): Json {
  if (typeof json !== 'object' || json === null) return change.value
  const keys = Object.keys(json)
  if (keys.length === 0) return change.value
  const key = keys[first % keys.length]!
  const copy = (Array.isArray(json) ? [...json] : { ...json }) as Record<string, Json>
  const inside = (json as Record<string, Json>)[key]!
  if (path.length > 0 && typeof inside === 'object' && inside !== null)
    copy[key] = mutated(inside, path, change)
  else if (change.how === 'remove') delete copy[key]
  else if (change.how === 'add') copy[`${key}x`] = change.value
  else if (change.how === 'twice' && Array.isArray(json)) (copy as unknown as Json[]).push(inside)
  else if (change.how === 'swap') {
    const other = keys[(first + 1) % keys.length]!
    ;[copy[key], copy[other]] = [copy[other]!, inside]
  } else copy[key] = change.value
  return copy as Json
}

/** Bodies that would be taken of who comes in, by the path of their route. */
const ACCESS: Readonly<Record<string, Json>> = {
  '/me': { name: 'Rosa' },
  '/me/password': { current: PASSWORD, password: PASSWORD },
  '/owner': { name: 'Eve', login: 'eve', password: PASSWORD },
  '/sign-in': { login: 'rosa', password: PASSWORD },
  '/sign-out': {},
  '/passes/{token}': { name: 'Eve', login: 'eve', password: PASSWORD },
  '/workshops': { name: 'Another' },
  '/workshop': { name: 'Ours' },
  '/members/{personId}': { role: 'guest' },
  '/invitations': { role: 'guest', for: 'Eve', days: 3 },
}
/** What ends the session that asks, or begins another in its place. */
const ENDS = /^\/api\/v1\/(sign-|passes|sessions)/

/** A body that would be taken, by the path of its route. */
function wellMade(path: string, at: number): Json {
  if (path.endsWith('/edits')) {
    const collections = Object.entries(document).filter(([, list]) => Array.isArray(list) && list.length > 0)
    const [collection, list] = collections[at % collections.length]! as unknown as [string, Json[]]
    const kind = collection === 'branches' ? 'branch' : collection.replace(/ies$/, 'y').replace(/s$/, '')
    const record = list[at % list.length]!
    const edits = [
      { op: 'put', kind, record },
      { op: 'remove', kind, id: randomUUID(), version: 1 },
    ]
    return { id: randomUUID(), label: 'Fuzz', edits } as unknown as Json
  }
  if (path.endsWith('/shares'))
    return { id: randomUUID(), stageId: document.stages[0]!.id, sheet: {}, endsAt: '2030-01-01T00:00:00Z' }
  return ACCESS[path] ?? (fileOf(document) as unknown as Json)
}

const OPERATIONS = Object.entries(openApi().paths).flatMap(([path, item]) =>
  Object.entries(item)
    .filter(([method]) => method !== 'parameters')
    .map(([method, operation]) => ({
      path,
      method: method.toUpperCase(),
      query: ((operation as { parameters?: { name: string }[] }).parameters ?? []).map((p) => p.name),
      hasBody: 'requestBody' in (operation as object),
    })),
)

const odd = fc.oneof(
  fc.constantFrom(
    '',
    '%',
    '%00',
    '..%2f',
    '%ff',
    'NaN',
    'x'.repeat(3000),
    '%F0%9F%92%A9',
    '-1',
    '[]',
    ';',
    '٣',
  ),
  fc.constant(null).map(() => randomUUID().toUpperCase()),
  fc.string({ maxLength: 20 }).map(encodeURIComponent),
  fc.date({ noInvalidDate: true }).map((d) => d.toISOString()),
)
/** Mostly nothing of the kind. */
const seldom = <T>(arbitrary: fc.Arbitrary<T>, oneIn: number): fc.Arbitrary<T | null> =>
  fc.oneof({ weight: oneIn - 1, arbitrary: fc.constant(null) }, { weight: 1, arbitrary })

const oddHeader = fc.constantFrom<[string, string]>(
  ...([
    ['accept', 'text/nonsense'],
    ['accept-encoding', 'zebra'],
    ['content-type', 'application/json; charset=utf-16'],
    ['content-type', 'text/plain'],
    ['content-type', ''],
    ['content-encoding', 'gzip'],
    ['content-encoding', 'br'],
    ['if-none-match', '*'],
    ['if-match', '"x"'],
    ['range', 'bytes=5-2'],
    ['expect', '100-continue'],
    ['transfer-encoding', 'chunked'],
    ['origin', 'null'],
    ['x-http-method-override', 'DELETE'],
    ['cookie', 'a=b; '.repeat(200)],
    ['content-length', '7'],
  ] as [string, string][]),
)

const requests = fc.record({
  operation: fc.oneof(
    fc.constantFrom(...OPERATIONS),
    fc.constantFrom(...OPERATIONS.filter((operation) => operation.hasBody)),
  ),
  method: seldom(fc.constantFrom('GET', 'POST', 'PUT', 'PATCH', 'DELETE', 'OPTIONS', 'HEAD', 'TRACE'), 12),
  params: fc.array(seldom(odd, 5), { minLength: 3, maxLength: 3 }),
  query: fc.array(fc.tuple(fc.nat(3), odd), { maxLength: 3 }),
  body: fc.record({
    from: fc.nat(1000),
    mutations: fc.array(mutation, { maxLength: 3 }),
    instead: seldom(
      fc.oneof(
        nasty.map((value) => JSON.stringify(value)),
        fc.string({ maxLength: 200 }),
        fc.uint8Array({ maxLength: 300 }),
      ),
      6,
    ),
  }),
  header: seldom(oddHeader, 10),
})
type Fuzzed = typeof requests extends fc.Arbitrary<infer T> ? T : never

interface Asked {
  readonly path: string
  readonly method: string
  readonly headers: Record<string, string>
  readonly body: Buffer | null
}

/** A request in full: bytes and all. */
function written({ operation, method, params, query, body, header }: Fuzzed): Asked {
  let at = 0
  const path = operation.path.replace(
    /\{(\w+)\}/g,
    (_all, name: string) => params[at++] ?? known[name] ?? 'x',
  )
  const asked = query.map(([which, value]) => `${operation.query[which % 4] ?? 'other'}=${value}`).join('&')
  const used = method ?? operation.method
  const hasBody = operation.hasBody || used === 'PATCH' || used === 'PUT'
  const isPicture = operation.path.endsWith('/photo')
  const isPacked = operation.path.endsWith('/workshop/file')
  const json = body.mutations.reduce(
    (value, change) => mutated(value, change.path, change),
    wellMade(operation.path, body.from),
  )
  const text = body.instead ?? JSON.stringify(json)
  const plain = typeof text === 'string' ? Buffer.from(text) : Buffer.from(text)
  const bytes = isPacked && body.from % 3 > 0 ? gzipSync(plain) : plain
  const type = isPicture ? 'image/jpeg' : isPacked ? 'application/gzip' : 'application/json'
  return {
    path: `/api/v1${path}${asked ? `?${asked}` : ''}`,
    method: used,
    headers: {
      cookie: owner.cookie,
      ...(hasBody ? { 'content-type': type } : {}),
      ...(header ? { [header[0]]: header[1] } : {}),
    },
    body: hasBody ? bytes : null,
  }
}

/** The status and the beginning of the answer; 0 where the client could not even ask so. */
const ask = ({ path, method, headers, body }: Asked) =>
  new Promise<{ status: number; type: string; text: string }>((done) => {
    const none = { status: 0, type: '', text: '' }
    try {
      const asked = request(server.base, { path, method, headers, agent: false }, (answer) => {
        const type = answer.headers['content-type'] ?? ''
        if (type.startsWith('text/event-stream')) setTimeout(() => asked.destroy(), HUNG_UP_MS)
        const parts: Buffer[] = []
        answer.on('data', (part: Buffer) => parts.push(part))
        const end = () => done({ status: answer.statusCode!, type, text: Buffer.concat(parts).toString() })
        answer.on('close', end)
      })
      asked.on('error', () => done(none))
      // A length that is never reached would be waited for.
      asked.setTimeout(20_000, () => asked.destroy())
      if (body) asked.write(body)
      asked.end()
      if (headers['content-length']) setTimeout(() => asked.destroy(), HUNG_UP_MS)
    } catch {
      // The client library itself won't send it.
      done(none)
    }
  })

/** What may stand in no answer: places in the source, words of the database or of libraries. */
const LEAK =
  /\/server\/src\/|node_modules|\bat \w+ \(|syntax error at|SQLSTATE|relation "|ZodError|select .* from /i

describe(`${REQUESTS} requests, seed ${SEED}`, () => {
  it('are never the server’s fault, whatever they are', { timeout: 600_000 + REQUESTS * 100 }, async () => {
    const before = process.memoryUsage().heapUsed
    const statuses = new Map<number, number>()
    await fc.assert(
      fc.asyncProperty(requests, async (fuzzed) => {
        const asked = written(fuzzed)
        const { status, type, text } = await ask(asked)
        statuses.set(status, (statuses.get(status) ?? 0) + 1)
        const said = `${asked.method} ${asked.path.slice(0, 200)} ${status} ${text.slice(0, 300)}`
        expect(status, said).toBeLessThan(500)
        if (status >= 400) {
          expect(text.length, said).toBeLessThan(50_000)
          expect(LEAK.test(text), said).toBe(false)
          if (text && type.includes('problem+json'))
            expect(problem.safeParse(JSON.parse(text)).success, said).toBe(true)
        }
        if (ENDS.test(asked.path)) await server.people.signIn(owner)
        if (/^\/api\/v1\/builds/.test(asked.path) && (status === 204 || status === 201)) await refill()
      }),
      { numRuns: REQUESTS, seed: SEED },
    )
    process.stdout.write(
      `  ${[...statuses]
        .sort(([a], [b]) => a - b)
        .map(([s, n]) => `${s}: ${n}`)
        .join(', ')}`,
    )
    // They were answered for all sorts of reasons, and the records are whole.
    for (const status of [200, 400, 404, 415, 422])
      expect(statuses.get(status), String(status)).toBeGreaterThan(0)
    for (const { id } of (await server.ask('/builds', buildList)).body)
      expect((await server.ask(`/builds/${id}`, buildDocument)).status).toBe(200)
    expect(process.memoryUsage().heapUsed - before).toBeLessThan(MOST_GROWN)
  })
})
