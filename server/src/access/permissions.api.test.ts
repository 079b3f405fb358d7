import { openApi, OPERATIONS, ROLES, type Role } from '@bold-ballast/contract'
import { sampleBuild } from '@bold-ballast/contract/sampleBuild'
import { randomUUID } from 'node:crypto'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { testServer, type TestServer } from '../testing/testServer'
import type { Visitor } from '../testing/testPeople'

/** What each role may do that the one before may not. Written out: the table it is compared with is another. */
const ADDS: Readonly<Record<Role, readonly string[]>> = {
  guest: [
    'GET /workshop',
    'GET /members',
    'GET /builds',
    'GET /builds/{buildId}',
    'GET /builds/{buildId}/history',
    'GET /builds/{buildId}/history/{batchId}',
    'GET /builds/{buildId}/at',
    'GET /builds/{buildId}/events',
    'POST /builds/{buildId}/presence',
    'GET /events',
    'GET /builds/{buildId}/replaced/{fileId}',
    'GET /builds/{buildId}/lines/{lineId}/photo',
    'GET /builds/{buildId}/photos',
    'GET /builds/{buildId}/pictures',
    'GET /builds/{buildId}/pictures/{pictureId}/photo',
    'GET /builds/{buildId}/logs',
    'GET /builds/{buildId}/reckoning',
    'GET /log-columns',
    'GET /builds/{buildId}/runs/{runId}/log',
    'GET /records/{code}',
    'GET /along',
    'GET /parts',
    'GET /claims',
    'GET /courses',
    'GET /work',
    'GET /gearsets',
    'GET /instruments',
    'GET /dyno-columns',
    'GET /devices/pads',
    'GET /devices/dyno',
    'GET /devices/logger',
  ],
  helper: [
    'POST /builds/{buildId}/edits',
    'PUT /builds/{buildId}/lines/{lineId}/photo',
    'PUT /builds/{buildId}/pictures/{pictureId}/photo',
    'PUT /builds/{buildId}/runs/{runId}/log',
    'POST /devices/pads/orders',
    'POST /devices/dyno/orders',
    'POST /devices/logger/orders',
  ],
  builder: [
    'POST /builds',
    'DELETE /builds/{buildId}',
    'DELETE /builds/{buildId}/reckoning',
    'GET /builds/{buildId}/file',
    'GET /builds/{buildId}/homecoming',
    'POST /builds/{buildId}/homecoming',
    'DELETE /builds/{buildId}/lines/{lineId}/photo',
    'DELETE /builds/{buildId}/pictures/{pictureId}/photo',
    'DELETE /builds/{buildId}/runs/{runId}/log',
    'GET /builds/{buildId}/shares',
    'POST /builds/{buildId}/shares',
    'DELETE /builds/{buildId}/shares/{shareId}',
  ],
  owner: [
    'PUT /workshop',
    'GET /workshop/file',
    'POST /workshop/exports',
    'GET /workshop/exports/{exportId}',
    'GET /workshop/exports/{exportId}/file',
    'DELETE /workshop/exports/{exportId}',
    'GET /homes',
    'POST /homes',
    'DELETE /homes/{homeId}',
    'GET /homes/{homeId}/builds',
    'POST /homes/{homeId}/builds',
    'GET /homes/{homeId}/builds/{awayId}',
    'POST /homes/{homeId}/builds/{awayId}',
    'POST /workshop/file',
    'PUT /members/{personId}',
    'DELETE /members/{personId}',
    'POST /members/{personId}/reset',
    'GET /members/{personId}/sessions',
    'DELETE /members/{personId}/sessions',
    'GET /invitations',
    'POST /invitations',
    'DELETE /invitations/{invitationId}',
    'GET /audit',
    'GET /garage',
    'PUT /garage',
  ],
}
/** For whoever is signed in, in whichever workshop. */
const SIGNED_IN = [
  'GET /openapi.json',
  'GET /schema/build.json',
  'PUT /me',
  'PUT /me/password',
  'GET /sessions',
  'DELETE /sessions',
  'DELETE /sessions/{sessionId}',
  'POST /workshops',
  'POST /pairings',
  'GET /pairings/{pairingId}',
]
const ANYBODY = [
  'GET /health',
  'GET /ready',
  'GET /shared/{token}',
  'GET /me',
  'POST /sign-in',
  'POST /sign-out',
  'GET /passes/{token}',
  'POST /passes/{token}',
  'GET /garage/trust',
  'GET /garage/authority',
]
const AT_MACHINE = ['POST /owner']

const ladder = [...ROLES].reverse()
const mayOf = (role: Role) => ladder.slice(0, ladder.indexOf(role) + 1).flatMap((r) => ADDS[r])
const inWorkshop = Object.values(ADDS).flat()

let server: TestServer
let buildId: string
let elsewhere: string
const visitors = {} as Record<Role | 'stranger' | 'nextDoor', Visitor>
beforeAll(async () => {
  server = await testServer()
  const owner = await server.people.owner()
  const { body } = await addAs(owner)
  buildId = body.id
  elsewhere = await server.people.workshop()
  for (const role of ROLES) visitors[role] = await server.people.enter(role, role)
  visitors.nextDoor = await server.people.enter('Nel', 'owner', elsewhere)
  visitors.stranger = server.people.stranger()
})
afterAll(() => server.close())

async function addAs(owner: Visitor): Promise<{ body: { id: string } }> {
  const response = await owner.fetch('/builds', { method: 'POST', json: sampleBuild(randomUUID) })
  return { body: (await response.json()) as { id: string } }
}

/** Asked so that nothing comes of it where it is allowed: ids that nobody has, bodies that don't fit. */
async function tryOut(visitor: Visitor, operation: string, build: string, within = ''): Promise<number> {
  const [method, pattern] = operation.split(' ') as [string, string]
  const path = pattern.replace('{buildId}', build).replace(/\{\w+\}/g, () => randomUUID())
  const hasBody = method === 'POST' || method === 'PUT'
  const stop = new AbortController()
  const isPicture = pattern.endsWith('/photo')
  const response = await visitor.fetch(`${within}${path}`, {
    method,
    signal: stop.signal,
    ...(hasBody
      ? isPicture
        ? { body: 'x', headers: { 'content-type': 'image/png' } }
        : pattern === '/workshop/file'
          ? { body: 'x', headers: { 'content-type': 'application/gzip' } }
          : { json: {} }
      : {}),
  })
  const { status } = response
  stop.abort()
  return status
}
const REFUSED = [401, 403]

describe('the table of operations', () => {
  it('is the one that is written out here', () => {
    const all = [...inWorkshop, ...SIGNED_IN, ...ANYBODY, ...AT_MACHINE]
    expect(Object.keys(OPERATIONS).sort()).toEqual(all.sort())
  })
  it('has every operation of the OpenAPI document, which says what each needs', () => {
    const described = Object.entries(openApi().paths).flatMap(([path, item]) =>
      Object.entries(item as Record<string, { 'x-needs'?: string }>)
        .filter(([method]) => method !== 'parameters')
        .map(([method, operation]) => [`${method.toUpperCase()} ${path}`, operation['x-needs']]),
    )
    expect(Object.fromEntries(described)).toEqual(OPERATIONS)
  })
  it('is all there is', async () => {
    for (const [method, path] of [
      ['GET', '/people'],
      ['GET', '/builds/'],
      ['GET', '/Builds'],
      ['DELETE', '/me'],
      ['OPTIONS', '/builds'],
      ['DELETE', '/workshop'],
    ] as const)
      expect(await visitors.owner.status(path, method), `${method} ${path}`).toBe(404)
  })
})

describe('each operation, for each role', () => {
  it.each(inWorkshop)('%s', async (operation) => {
    for (const role of ROLES) {
      const status = await tryOut(visitors[role], operation, randomUUID())
      const isAllowed = mayOf(role).includes(operation)
      if (isAllowed) expect(REFUSED, `${role} ${status}`).not.toContain(status)
      else expect(status, role).toBe(403)
    }
    expect(await tryOut(visitors.stranger, operation, buildId), 'nobody').toBe(401)
  })
  it.each(SIGNED_IN)('%s, for whoever is signed in', async (operation) => {
    const passing = await server.people.enter('Passing', 'builder')
    const status = await tryOut(passing, operation, buildId)
    // Another workshop is opened by owners only, and a name that doesn't fit is refused before that.
    expect(REFUSED).not.toContain(status)
    expect(await tryOut(visitors.stranger, operation, buildId)).toBe(401)
  })
  it('opens another workshop for owners only', async () => {
    expect(await visitors.builder.status('/workshops', 'POST', { name: 'Mine' })).toBe(403)
    expect(await visitors.owner.status('/workshops', 'POST', { name: 'Mine' })).toBe(201)
  })
  it.each(ANYBODY)('%s, for anybody', async (operation) => {
    const status = await tryOut(visitors.stranger, operation, buildId)
    expect(REFUSED).not.toContain(status)
  })
  it('makes no second owner at the machine', async () => {
    const json = { name: 'Eve', login: 'eve', password: 'not the first one' }
    expect(await visitors.stranger.status('/owner', 'POST', json)).toBe(403)
    expect(await visitors.owner.status('/owner', 'POST', json)).toBe(403)
  })
})

describe('another workshop', () => {
  it.each(inWorkshop)('%s finds nothing of it', async (operation) => {
    // By its name it isn't there, whoever asks and whatever they are at home.
    const named = await tryOut(visitors.owner, operation, buildId, `/workshops/${elsewhere}`)
    expect(named).toBe(404)
    const nobodys = await tryOut(visitors.owner, operation, buildId, `/workshops/${randomUUID()}`)
    expect(nobodys).toBe(404)
    if (!operation.includes('{buildId}') || operation.endsWith('/edits')) return
    // A build of theirs is answered as one that nobody has.
    const theirs = await tryOut(visitors.nextDoor, operation, buildId)
    expect(theirs).toBe(await tryOut(visitors.nextDoor, operation, randomUUID()))
  })
})
