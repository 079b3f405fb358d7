import { buildList, passAdded } from '@bold-ballast/contract'
import { sampleBuild } from '@bold-ballast/contract/sampleBuild'
import { randomUUID } from 'node:crypto'
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { dump, restore, restoredSaid } from '../../../bin/parts/backup.mjs'
import { PASSWORD } from '../testing/testPeople'
import { testServer, type TestServer } from '../testing/testServer'

let server: TestServer
const folder = mkdtempSync(join(tmpdir(), 'bold-ballast-restored-'))
beforeAll(async () => {
  server = await testServer()
})
afterAll(async () => {
  await server.close()
  rmSync(folder, { recursive: true, force: true })
})

describe('a dump that is put back', () => {
  it('revives nobody: devices, links and pairings of it are ended, the records and passwords are there', async () => {
    const owner = await server.people.owner()
    const phone = await server.people.enter('Otto', 'builder')
    await owner.status('/builds', 'POST', sampleBuild(randomUUID))
    const pairing = await phone.ask('/pairings', passAdded, { method: 'POST', json: {} })
    const invitation = await owner.ask('/invitations', passAdded, {
      method: 'POST',
      json: { role: 'owner', for: 'X', days: 7 },
    })
    const reset = await owner.ask(`/members/${phone.id}/reset`, passAdded, { method: 'POST', json: {} })
    await server.db('homes').insert({
      id: randomUUID(),
      workshopId: server.workshop.id,
      origin: 'https://192.0.2.7:4611',
      cookie: 'ballast=x',
      person: 'Otto',
      createdAt: new Date(),
    })
    const path = await dump(server.url, folder, 'people.dump')
    // Since then Otto has chosen another password, and somebody came.
    await phone.status('/me/password', 'PUT', { current: PASSWORD, password: 'an even longer one' })
    await server.people.enter('Late', 'builder')

    const ended = await restore(server.url, path)
    expect(ended).toEqual({ sessions: 2, passes: 3, homes: 1, known_devices: 0, presences: 0 })
    expect(restoredSaid(ended)).toContain(
      'Everybody is signed out (2 devices), and ended: 3 open links and 1 pairing with another workshop.',
    )
    for (const visitor of [owner, phone]) expect(await visitor.status('/builds')).toBe(401)
    for (const { token } of [pairing, invitation, reset])
      expect(await server.people.stranger().status(`/passes/${token}`)).toBe(410)
    const again = server.people.stranger()
    const json = { login: phone.login, password: PASSWORD }
    expect(await again.status('/sign-in', 'POST', json)).toBe(200)
    expect(await again.ask('/builds', buildList)).toHaveLength(1)
    expect(restoredSaid(ended).join(' ')).toMatch(/Passwords are those of the dump/)
  })
  it('of a version without accounts has nobody to revive', async () => {
    await server.db.raw('DROP TABLE known_devices, homes, passes, presences, sessions CASCADE')
    const path = await dump(server.url, folder, 'old.dump')
    const ended = await restore(server.url, path)
    expect([ended, restoredSaid(ended)]).toEqual([{}, []])
  })
})
