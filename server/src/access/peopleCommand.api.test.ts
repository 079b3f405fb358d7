import { me } from '@bold-ballast/contract'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { testServer, type TestServer } from '../testing/testServer'
import { peopleCommand } from './peopleCommand'

let server: TestServer
beforeAll(async () => {
  server = await testServer()
})
afterAll(() => server.close())
const run = async (...args: string[]) =>
  (await peopleCommand(server.db, args, 'http://localhost:4610')).join('\n')

describe('at the machine, whoever is locked out', () => {
  it('sees who works here', async () => {
    expect(await run()).toContain('whoever sits at this machine may do everything')
    await server.people.owner()
    await server.people.enter('Hal', 'helper')
    const said = await run()
    expect(said).toMatch(/rosa +Rosa, owner/)
    expect(said).toContain('Hal, helper')
  })
  it('gets a link for a new password, which works once', async () => {
    const hal = await server.people.enter('Hal', 'helper')
    const said = await run('password', hal.login)
    const token = /\/join\/([\w-]+)/.exec(said)![1]!
    const visitor = server.people.stranger()
    const json = { password: 'brand new it is' }
    const entered = await visitor.ask(`/passes/${token}`, me, { method: 'POST', json })
    expect(entered.person!.name).toBe('Hal')
    expect(await hal.status('/builds')).toBe(401)
    expect(await visitor.status(`/passes/${token}`)).toBe(410)
  })
  it('makes an owner where the last one is lost', async () => {
    const hal = await server.people.enter('Hal', 'helper')
    expect(await run('owner', hal.login)).toBe('Hal owns the workshop now.')
    expect((await hal.ask('/me', me)).workshops[0]!.role).toBe('owner')
  })
  it('is told how, where it was written otherwise', async () => {
    expect(await run('password', 'nobody.such')).toContain('Nobody signs in as “nobody.such”.')
    expect(await run('dance')).toContain('npm run people -- password <name>')
  })
})
