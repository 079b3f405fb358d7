import {
  auditPage,
  invitationList,
  me,
  memberList,
  passAdded,
  passOpened,
  problem,
  sessionList,
} from '@bold-ballast/contract'
import { sampleBuild } from '@bold-ballast/contract/sampleBuild'
import { randomUUID } from 'node:crypto'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { PASSWORD, type Visitor } from '../testing/testPeople'
import { testServer, type TestServer } from '../testing/testServer'

let server: TestServer
let owner: Visitor
beforeAll(async () => {
  server = await testServer()
  owner = await server.people.owner()
})
afterAll(() => server.close())

const signIn = (visitor: Visitor, login: string, password: string) =>
  visitor.fetch('/sign-in', { method: 'POST', json: { login, password } })
/** Whether a visitor is let in. */
const isIn = async (visitor: Visitor) => (await visitor.status('/builds')) === 200

describe('without accounts', () => {
  it('whoever sits at the machine does everything, and nobody else is answered', async () => {
    const own = await testServer({ publicOrigin: 'https://garage.example.org' })
    try {
      const here = own.people.stranger()
      expect(await here.ask('/me', me)).toMatchObject({ person: null, workshops: [{ role: 'owner' }] })
      expect(await here.status('/builds')).toBe(200)
      expect(await here.status('/workshop', 'PUT', { name: 'Shed nine' })).toBe(204)
      expect((await here.ask('/me', me)).workshops[0]!.name).toBe('Shed nine')
      // Others can be let in once there is an owner.
      expect(await here.status('/invitations', 'POST', { role: 'builder', for: '', days: 1 })).toBe(409)
      for (const path of ['/builds', '/me', '/health'])
        expect(await askAs(own.base, path, { host: 'garage.example.org' }), path).toBe(403)
    } finally {
      await own.close()
    }
  })
  it('the first owner is made once, however many try at once', async () => {
    const own = await testServer()
    try {
      const answers = await Promise.all(
        ['ada', 'ben', 'cem'].map((name) =>
          own.people.stranger().status('/owner', 'POST', { name, login: name, password: PASSWORD }),
        ),
      )
      expect(answers.filter((status) => status === 201)).toHaveLength(1)
      expect(await own.people.stranger().status('/builds')).toBe(401)
    } finally {
      await own.close()
    }
  })
})

/** A request with headers that a browser would not let a page set. */
async function askAs(base: string, path: string, headers: Record<string, string>): Promise<number> {
  const { request } = await import('node:http')
  const { hostname, port } = new URL(base)
  return new Promise((done, fail) => {
    const asked = request({ hostname, port, path: `/api/v1${path}`, headers }, (answer) => {
      answer.resume()
      done(answer.statusCode!)
    })
    asked.on('error', fail)
    asked.end()
  })
}

describe('signing in', () => {
  it('takes name and password, in any case of the name, and says who came', async () => {
    const visitor = server.people.stranger()
    const response = await signIn(visitor, ' Rosa ', PASSWORD)
    expect(response.status).toBe(200)
    expect(me.parse(await response.json()).person).toMatchObject({ name: 'Rosa', login: 'rosa' })
    const [cookie] = response.headers.getSetCookie()
    expect(cookie).toMatch(/^ballast=[\w-]{43}; /)
    for (const mark of ['HttpOnly', 'SameSite=Strict', 'Path=/', 'Expires=']) expect(cookie).toContain(mark)
    expect(await isIn(visitor)).toBe(true)
  })
  it('says the same of a wrong password and of a name that nobody has', async () => {
    const answers = await Promise.all(
      ['rosa', 'nobody.at.all'].map(async (login) => {
        const response = await signIn(server.people.stranger(), login, 'wrong as can be')
        return { status: response.status, body: await response.json() }
      }),
    )
    expect(answers[0]).toEqual(answers[1])
    expect(answers[0]!.status).toBe(401)
  })
  it('gives a new proof each time, and the one before is worth nothing', async () => {
    const visitor = server.people.stranger()
    await signIn(visitor, 'rosa', PASSWORD)
    const first = visitor.cookie
    await signIn(visitor, 'rosa', PASSWORD)
    expect(visitor.cookie).not.toBe(first)
    const old = server.people.stranger()
    old.cookie = first
    expect(await isIn(old)).toBe(false)
  })
  it('keeps no secret: what is in the records opens nothing', async () => {
    const [row] = (await server.db('sessions').select('tokenHash')) as { tokenHash: Buffer }[]
    for (const guess of [row!.tokenHash.toString('base64url'), row!.tokenHash.toString('hex')]) {
      const thief = server.people.stranger()
      thief.cookie = `ballast=${guess}`
      expect(await isIn(thief)).toBe(false)
    }
    const [{ passwordHash }] = (await server.db('people').select('passwordHash')) as [
      { passwordHash: string },
    ]
    // The figures of the OWASP Password Storage Cheat Sheet for Argon2id.
    expect(passwordHash).toMatch(/^\$argon2id\$v=19\$m=19456,t=2,p=1\$/)
  })
  it('over HTTPS gives a cookie that no other way sends or sets', async () => {
    const own = await testServer({ publicOrigin: 'https://garage.example.org' })
    try {
      await own.people.owner()
      const { request } = await import('node:http')
      const { hostname, port } = new URL(own.base)
      const cookie = await new Promise<string>((done, fail) => {
        const asked = request(
          {
            hostname,
            port,
            path: '/api/v1/sign-in',
            method: 'POST',
            headers: {
              host: 'garage.example.org',
              'x-forwarded-proto': 'https',
              'x-forwarded-for': '203.0.113.5',
              'content-type': 'application/json',
            },
          },
          (answer) => {
            answer.resume()
            done(answer.headers['set-cookie']?.[0] ?? '')
          },
        )
        asked.on('error', fail)
        asked.end(JSON.stringify({ login: 'rosa', password: PASSWORD }))
      })
      expect(cookie).toMatch(/^__Host-ballast=/)
      expect(cookie).toContain('Secure')
      const [row] = (await own.db('sessions').orderBy('createdAt', 'desc').select('address')) as {
        address: string
      }[]
      expect(row!.address).toBe('203.0.113.5')
    } finally {
      await own.close()
    }
  })
})

describe('a thousand guesses', () => {
  it('are hardly looked at, at once or one after the other, and the owner of the name is told', async () => {
    const own = await testServer()
    try {
      await own.people.owner()
      const guess = (i: number) => signIn(own.people.stranger(), 'rosa', `guess number ${i}`)
      const statuses: number[] = []
      for (let i = 0; i < 1000; i += 50) {
        const answers = await Promise.all(Array.from({ length: 50 }, (_, j) => guess(i + j)))
        statuses.push(...answers.map((a) => a.status))
        await Promise.all(answers.map((a) => a.body?.cancel()))
      }
      const looked = statuses.filter((status) => status === 401).length
      // Ten, and of what comes after them one in three quarters of a minute, however long this takes.
      expect(looked).toBeGreaterThan(10)
      expect(looked).toBeLessThan(20)
      expect(statuses.filter((status) => status === 429)).toHaveLength(1000 - looked)
      // Now not even the right one from where nobody has signed in, and the words say how long.
      const right = await signIn(own.people.stranger(), 'rosa', PASSWORD)
      expect(right.status).toBe(429)
      expect(problem.parse(await right.json()).detail).toMatch(/Wait \d+ min/)
      // Another server of the same records counts on where this one was.
      const twin = await testServer({}, { url: own.url, drop: async () => undefined })
      try {
        expect((await signIn(twin.people.stranger(), 'rosa', PASSWORD)).status).toBe(429)
      } finally {
        await twin.close()
      }
      const failed = await own.db('audit').where({ what: 'signInFailed' }).count()
      expect(Number(failed[0]!['count'])).toBe(looked)
    } finally {
      await own.close()
    }
  })
})

describe('beside a flood of wrong guesses from the same address', () => {
  const flood = (own: TestServer, logins: readonly string[]) =>
    Promise.all(
      logins.map(async (login, i) => {
        const response = await signIn(own.people.stranger(), login, `guess number ${i}`)
        await response.body?.cancel()
      }),
    )
  const many = (login: (i: number) => string, count = 150) =>
    Array.from({ length: count }, (_, i) => login(i))

  it('the right password is let in where it has been before, and once the flood is over elsewhere', async () => {
    const own = await testServer()
    try {
      await own.people.owner()
      const phone = own.people.stranger()
      await signIn(phone, 'rosa', PASSWORD)
      await phone.status('/sign-out', 'POST', {})
      await flood(
        own,
        many(() => 'rosa'),
      )
      expect((await signIn(own.people.stranger(), 'rosa', PASSWORD)).status).toBe(429)
      expect((await signIn(phone, 'rosa', PASSWORD)).status).toBe(200)
      // Whoever is signed in changes their password all the same.
      await flood(
        own,
        many(() => 'rosa'),
      )
      const change = { current: PASSWORD, password: 'an even longer one' }
      expect(await phone.status('/me/password', 'PUT', change)).toBe(204)
      // A while after the flood one more is looked at.
      await own.db('guesses').where('key', 'like', 'slow:%').delete()
      expect((await signIn(own.people.stranger(), 'rosa', change.password)).status).toBe(200)
    } finally {
      await own.close()
    }
  })
  it('about other names the right password is let in anywhere', async () => {
    const own = await testServer()
    try {
      await own.people.owner()
      await flood(
        own,
        many((i) => `nobody.${i}`),
      )
      expect((await signIn(own.people.stranger(), 'rosa', PASSWORD)).status).toBe(200)
    } finally {
      await own.close()
    }
  })
  it('a device that is known for one name is nobody else’s way around the limit', async () => {
    const own = await testServer()
    try {
      await own.people.owner()
      const thief = await own.people.enter('Thief', 'guest')
      await signIn(thief, thief.login, PASSWORD)
      const statuses: number[] = []
      for (let i = 0; i < 30; i += 1) statuses.push((await signIn(thief, 'rosa', `guess number ${i}`)).status)
      expect(statuses.filter((status) => status === 401).length).toBeLessThan(13)
      // Nor is one's own device for as many guesses as one likes.
      const phone = own.people.stranger()
      await signIn(phone, thief.login, PASSWORD)
      for (let i = 0; i < 11; i += 1) await signIn(phone, thief.login, `guess number ${i}`)
      expect((await signIn(phone, thief.login, PASSWORD)).status).toBe(429)
    } finally {
      await own.close()
    }
  })
})

describe('a session', () => {
  it('ends when it is signed out, and the device is told to forget', async () => {
    const visitor = await server.people.enter('Ida', 'helper')
    const response = await visitor.fetch('/sign-out', { method: 'POST', json: {} })
    expect(response.headers.getSetCookie()[0]).toMatch(/^ballast=;.*Expires=Thu, 01 Jan 1970/)
    const before = server.people.stranger()
    before.cookie = visitor.cookie
    expect(await isIn(before)).toBe(false)
  })
  it('ends when nobody has used it for long, and after its longest however much it is used', async () => {
    const idle = await server.people.enter('Idle', 'builder')
    await server
      .db('sessions')
      .where({ personId: idle.id })
      .update({ lastSeenAt: server.db.raw(`now() - interval '15 days'`) })
    expect(await isIn(idle)).toBe(false)
    const long = await server.people.enter('Long', 'builder')
    await server
      .db('sessions')
      .where({ personId: long.id })
      .update({ endsAt: server.db.raw(`now() - interval '1 second'`) })
    expect(await isIn(long)).toBe(false)
  })
  it('is listed, and ended from another device', async () => {
    const phone = await server.people.enter('Otto', 'builder')
    const laptop = server.people.stranger()
    await signIn(laptop, phone.login, PASSWORD)
    const list = await laptop.ask('/sessions', sessionList)
    expect(list.map((s) => s.isThis).sort()).toEqual([false, true])
    expect(await isIn(phone)).toBe(true)
    expect(await laptop.status(`/sessions/${list.find((s) => !s.isThis)!.id}`, 'DELETE')).toBe(204)
    expect([await isIn(phone), await isIn(laptop)]).toEqual([false, true])
    // Somebody else’s is left alone.
    const [theirs] = await owner.ask('/sessions', sessionList)
    await laptop.status(`/sessions/${theirs!.id}`, 'DELETE')
    expect(await isIn(owner)).toBe(true)
  })
  it('of all other devices ends with a new password', async () => {
    const one = await server.people.enter('Ewa', 'builder')
    const other = server.people.stranger()
    await signIn(other, one.login, PASSWORD)
    const change = (current: string, password: string) =>
      one.status('/me/password', 'PUT', { current, password })
    expect(await change('not it at all', 'an even longer one')).toBe(422)
    expect(await change(PASSWORD, 'short')).toBe(422)
    expect(await change(PASSWORD, 'passwordpassword')).toBe(422)
    expect(await change(PASSWORD, 'an even longer one')).toBe(204)
    expect([await isIn(one), await isIn(other)]).toEqual([true, false])
    expect((await signIn(server.people.stranger(), one.login, PASSWORD)).status).toBe(401)
    expect((await signIn(server.people.stranger(), one.login, 'an even longer one')).status).toBe(200)
  })
  it('goes on as whoever has lost a role, at once', async () => {
    const visitor = await server.people.enter('Uli', 'builder')
    expect(await visitor.status('/builds', 'POST', sampleBuild(randomUUID))).toBe(201)
    await owner.status(`/members/${visitor.id}`, 'PUT', { role: 'guest' })
    expect(await visitor.status('/builds', 'POST', sampleBuild(randomUUID))).toBe(403)
    await owner.status(`/members/${visitor.id}`, 'DELETE')
    expect(await visitor.status('/builds')).toBe(403)
    expect((await visitor.ask('/me', me)).workshops).toEqual([])
  })
})

describe('an invitation', () => {
  const invite = (role: string, days = 7) =>
    owner.ask('/invitations', passAdded, { method: 'POST', json: { role, for: 'Tomasz', days } })

  it('lets somebody in once, as what it says', async () => {
    const { token } = await invite('helper')
    const guest = server.people.stranger()
    expect(await guest.ask(`/passes/${token}`, passOpened)).toMatchObject({
      kind: 'invitation',
      role: 'helper',
      by: 'Rosa',
      for: 'Tomasz',
    })
    const login = `tomasz.${randomUUID().slice(0, 6)}`
    const account = { name: 'Tomasz', login, password: PASSWORD }
    const joined = await guest.ask(`/passes/${token}`, me, { method: 'POST', json: account })
    expect(joined).toMatchObject({ person: { name: 'Tomasz' }, workshops: [{ role: 'helper' }] })
    expect(await isIn(guest)).toBe(true)
    const late = server.people.stranger()
    expect(await late.status(`/passes/${token}`)).toBe(410)
    expect(await late.status(`/passes/${token}`, 'POST', { ...account, login: 'late.one' })).toBe(410)
    const list = await owner.ask('/invitations', invitationList)
    expect(list.find((i) => i.usedBy === 'Tomasz')).toMatchObject({ role: 'helper', by: 'Rosa' })
  })
  it('is used by one of those who use it at once', async () => {
    const { token } = await invite('guest')
    const statuses = await Promise.all(
      [1, 2, 3, 4].map((i) =>
        server.people.stranger().status(`/passes/${token}`, 'POST', {
          name: `Many ${i}`,
          login: `many.${i}.${token.slice(0, 5)}`,
          password: PASSWORD,
        }),
      ),
    )
    expect(statuses.filter((s) => s === 201)).toHaveLength(1)
    expect(statuses.filter((s) => s === 410)).toHaveLength(3)
    const made = await server.db('people').where('login', 'like', 'many.%').count()
    expect(Number(made[0]!['count'])).toBe(1)
  })
  it('lets in whoever has an account already, as they are', async () => {
    const there = await server.people.workshop('Third')
    const nel = await server.people.enter('Nel', 'owner', there)
    const { token } = await invite('builder')
    await nel.ask(`/passes/${token}`, me, { method: 'POST', json: { asMyself: true } })
    const { workshops } = await nel.ask('/me', me)
    expect(workshops.map((w) => w.role)).toEqual(['owner', 'builder'])
    expect(await nel.status(`/workshops/${server.workshop.id}/builds`)).toBe(200)
  })
  it('can be withdrawn, and ends', async () => {
    const { id, token } = await invite('guest')
    expect(await owner.status(`/invitations/${id}`, 'DELETE')).toBe(204)
    expect(await server.people.stranger().status(`/passes/${token}`)).toBe(410)
    const ending = await invite('guest', 1)
    await server
      .db('passes')
      .where({ id: ending.id })
      .update({ endsAt: new Date(Date.now() - 1000) })
    expect(await server.people.stranger().status(`/passes/${ending.token}`)).toBe(410)
  })
  it('that nobody gave out opens nothing', async () => {
    for (const token of ['x', 'a'.repeat(43), '../me'])
      expect(await server.people.stranger().status(`/passes/${encodeURIComponent(token)}`)).toBe(404)
  })
  it('is refused with the field and the remedy', async () => {
    const response = await owner.fetch('/invitations', {
      method: 'POST',
      json: { role: 'king', for: '', days: 99 },
    })
    const { errors } = problem.parse(await response.json())
    expect(errors!.map((e) => e.field).sort()).toEqual(['days', 'role'])
  })
})

describe('a forgotten password', () => {
  it('is made new by a link of an owner’s, once, and signs all devices out', async () => {
    const person = await server.people.enter('Pia', 'helper')
    const { token } = await owner.ask(`/members/${person.id}/reset`, passAdded, { method: 'POST', json: {} })
    const visitor = server.people.stranger()
    expect(await visitor.ask(`/passes/${token}`, passOpened)).toMatchObject({ kind: 'reset', name: 'Pia' })
    await visitor.ask(`/passes/${token}`, me, { method: 'POST', json: { password: 'brand new it is' } })
    expect([await isIn(person), await isIn(visitor)]).toEqual([false, true])
    expect(await visitor.status(`/passes/${token}`)).toBe(410)
    expect((await signIn(server.people.stranger(), person.login, 'brand new it is')).status).toBe(200)
  })
  it('of somebody who works elsewhere too is not an owner’s to make', async () => {
    const there = await server.people.workshop('Fourth')
    const both = await server.people.enter('Both', 'owner', there)
    await server.db('members').insert({ workshopId: server.workshop.id, personId: both.id, role: 'guest' })
    expect(await owner.status(`/members/${both.id}/reset`, 'POST', {})).toBe(403)
    expect(await owner.status(`/members/${both.id}/sessions`, 'DELETE')).toBe(403)
  })
})

describe('a link that is open', () => {
  const pairingOf = (visitor: Visitor) => visitor.ask('/pairings', passAdded, { method: 'POST', json: {} })
  const use = (token: string, json: unknown = {}) =>
    server.people.stranger().status(`/passes/${token}`, 'POST', json)

  it('to pair a phone ends with what gave it: a new password, all others or one signed out', async () => {
    const endings: [string, (person: Visitor, thief: Visitor) => Promise<number>][] = [
      [
        'a new password',
        (person) =>
          person.status('/me/password', 'PUT', { current: PASSWORD, password: 'an even longer one' }),
      ],
      ['all others signed out', (person) => person.status('/sessions', 'DELETE')],
      ['all signed out by an owner', (person) => owner.status(`/members/${person.id}/sessions`, 'DELETE')],
      [
        'the one that asked for it signed out',
        async (person, thief) => {
          const there = await thief.ask('/sessions', sessionList)
          return person.status(`/sessions/${there.find((s) => s.isThis)!.id}`, 'DELETE')
        },
      ],
      ['a sign-out', (_, thief) => thief.status('/sign-out', 'POST', {})],
      [
        'a password made new',
        async (person) => {
          const { token } = await owner.ask(`/members/${person.id}/reset`, passAdded, {
            method: 'POST',
            json: {},
          })
          await use(token, { password: 'brand new it is' })
          return 204
        },
      ],
    ]
    for (const [what, end] of endings) {
      const person = await server.people.enter('Ila', 'builder')
      const thief = server.people.stranger()
      await signIn(thief, person.login, PASSWORD)
      const { token } = await pairingOf(thief)
      expect(await end(person, thief), what).toBe(204)
      expect(await use(token), what).toBe(410)
    }
    // One that nothing has ended still works, once.
    const person = await server.people.enter('Ila', 'builder')
    const { token } = await pairingOf(person)
    expect([await use(token), await use(token)]).toEqual([200, 410])
  })
  it('and is used while a password changes lets nobody in afterwards', async () => {
    for (let i = 0; i < 8; i += 1) {
      const person = await server.people.enter('Ila', 'builder')
      const { token } = await pairingOf(person)
      const phone = server.people.stranger()
      await Promise.all([
        phone.status(`/passes/${token}`, 'POST', {}),
        person.status('/me/password', 'PUT', { current: PASSWORD, password: 'an even longer one' }),
      ])
      expect([await isIn(person), await isIn(phone)]).toEqual([true, false])
    }
  })
  it('to a new password ends with the first that is used', async () => {
    const person = await server.people.enter('Pau', 'helper')
    const links = await Promise.all(
      [1, 2].map(() => owner.ask(`/members/${person.id}/reset`, passAdded, { method: 'POST', json: {} })),
    )
    expect(await use(links[0]!.token, { password: 'brand new it is' })).toBe(200)
    expect(await use(links[1]!.token, { password: 'and newer still' })).toBe(410)
  })
  it('to a new password ends where its person works elsewhere since, or its maker no longer owns it', async () => {
    const reset = (person: Visitor, by = owner) =>
      by.ask(`/members/${person.id}/reset`, passAdded, { method: 'POST', json: {} })
    const person = await server.people.enter('Pau', 'helper')
    const before = await reset(person)
    const there = await server.people.workshop('Sixth')
    await server.db('members').insert({ workshopId: there, personId: person.id, role: 'owner' })
    expect(await server.people.stranger().status(`/passes/${before.token}`)).toBe(410)
    expect(await use(before.token, { password: 'brand new it is' })).toBe(410)
    expect(await isIn(person)).toBe(true)

    const second = await server.people.enter('Second', 'owner')
    const other = await server.people.enter('Pau', 'helper')
    const made = await reset(other, second)
    await owner.status(`/members/${second.id}`, 'PUT', { role: 'builder' })
    expect(await use(made.token, { password: 'brand new it is' })).toBe(410)
  })
  it('to join ends where whoever gave it is sent away or may no longer give it', async () => {
    for (const [method, json] of [
      ['PUT', { role: 'builder' }],
      ['DELETE', undefined],
    ] as const) {
      const second = await server.people.enter('Second', 'owner')
      const invite = () =>
        second.ask('/invitations', passAdded, { method: 'POST', json: { role: 'owner', for: 'X', days: 7 } })
      const [open, unlisted] = [await invite(), await invite()]
      expect(await owner.status(`/members/${second.id}`, method, json)).toBe(204)
      // As if it had been made in the moment after.
      await server.db('passes').where({ id: unlisted.id }).update({ withdrawnAt: null })
      for (const { token } of [open, unlisted]) {
        expect(await server.people.stranger().status(`/passes/${token}`)).toBe(410)
        const account = { name: 'X', login: `x.${randomUUID().slice(0, 8)}`, password: PASSWORD }
        expect(await use(token, account)).toBe(410)
        expect(await server.db('people').where({ login: account.login })).toEqual([])
      }
      const listed = await owner.ask('/invitations', invitationList)
      expect(listed.map(({ id }) => id)).not.toContain(open.id)
    }
  })
})

describe('members', () => {
  it('are listed for all, their sign-in names for owners', async () => {
    const helper = await server.people.enter('Hal', 'helper')
    const seen = await helper.ask('/members', memberList)
    expect(seen.every((m) => m.login === '' && m.lastSeen === null)).toBe(true)
    expect(seen.find((m) => m.name === 'Rosa')!.role).toBe('owner')
    const owned = await owner.ask('/members', memberList)
    expect(owned.find((m) => m.name === 'Rosa')!.login).toBe('rosa')
  })
  it('always have an owner among them, even when two go at once', async () => {
    const own = await testServer()
    try {
      const first = await own.people.owner()
      expect(await first.status(`/members/${first.id}`, 'PUT', { role: 'guest' })).toBe(422)
      expect(await first.status(`/members/${first.id}`, 'DELETE')).toBe(422)
      const second = await own.people.enter('Second', 'owner')
      const statuses = await Promise.all([
        first.status(`/members/${first.id}`, 'DELETE'),
        second.status(`/members/${second.id}`, 'DELETE'),
      ])
      expect(statuses.filter((s) => s === 204)).toHaveLength(1)
    } finally {
      await own.close()
    }
  })
})

describe('what is noted', () => {
  it('tells owners who came, who was let in and what was taken out, and nobody can change it', async () => {
    const builder = await server.people.enter('Vera', 'builder')
    const added = await builder.fetch('/builds', { method: 'POST', json: sampleBuild(randomUUID) })
    const { id } = (await added.json()) as { id: string }
    await builder.status(`/builds/${id}/file`)
    await owner.status('/workshop/file')
    await signIn(server.people.stranger(), builder.login, 'surely not it')
    const { entries } = await owner.ask('/audit', auditPage)
    const said = entries.map(({ what, who }) => `${who} ${what}`)
    for (const one of ['Vera exported', 'Rosa exported', 'Vera signInFailed', 'Rosa invited'])
      expect(said).toContain(one)
    expect(JSON.stringify(entries)).not.toContain('surely not it')
    expect(entries.map((e) => Number(e.id))).toEqual(entries.map((e) => Number(e.id)).sort((a, b) => b - a))
  })
  it('in one workshop is not told in another', async () => {
    const there = await server.people.workshop('Fifth')
    const nel = await server.people.enter('Nelly', 'owner', there)
    const { entries } = await nel.ask('/audit', auditPage)
    expect(entries.filter((e) => e.who !== 'Nelly')).toEqual([])
  })
})
