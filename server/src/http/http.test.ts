import { PROBLEM_TYPES, problem } from '@bold-ballast/contract'
import { once } from 'node:events'
import { createServer } from 'node:http'
import { connect, type AddressInfo } from 'node:net'
import { describe, expect, it } from 'vitest'
import * as z from 'zod'
import { isModest } from './isModest'
import { limitClients } from './limitClients'
import { parse } from './parse'
import { readJson } from './readJson'
import { notFound, Refusal } from './Refusal'
import { refusalFrom } from './refusalFrom'

const error = (fields: object) => Object.assign(new Error('internal words'), fields)

describe('refusalFrom', () => {
  it.each([
    ['a refused connection', error({ code: 'ECONNREFUSED' }), 503, 'database-away'],
    ['an administrator’s shutdown', error({ nativeError: { code: '57P01' } }), 503, 'database-away'],
    ['a lost connection', new Error('Connection terminated unexpectedly'), 503, 'database-away'],
    ['no connection to be had', error({ name: 'KnexTimeoutError' }), 503, 'database-away'],
    ['broken JSON', error({ type: 'entity.parse.failed', status: 400 }), 400, 'not-json'],
    ['a body too large', error({ type: 'entity.too.large' }), 413, 'too-large'],
    ['a dangling link', error({ nativeError: { code: '23503' } }), 409, 'still-referenced'],
    ['an id taken', error({ code: '23505' }), 409, 'conflict'],
    ['a check of the table', error({ nativeError: { code: '23514' } }), 422, 'not-valid'],
    ['a full disk', error({ nativeError: { code: '53100' } }), 503, 'disk-full'],
    ['no room for a file', error({ code: 'ENOSPC' }), 503, 'disk-full'],
    ['a NUL in a text', error({ nativeError: { code: '22P05' } }), 422, 'not-valid'],
    ['a date that no calendar has', error({ code: '22008' }), 422, 'not-valid'],
    ['a broken escape in an address', Object.assign(new URIError('x'), { status: 400 }), 400, 'not-valid'],
    ['a charset nobody knows', error({ type: 'charset.unsupported', status: 415 }), 415, 'not-valid'],
    ['a missing asset', error({ status: 404 }), 404, 'not-found'],
    ['a range beyond the end', error({ status: 416 }), 416, 'not-valid'],
    ['a teapot', error({ status: 418 }), 500, 'unexpected'],
    ['anything else', new Error('secret path /etc'), 500, 'unexpected'],
    ['nothing at all', undefined, 500, 'unexpected'],
  ])('%s', (_what, thrown, status, type) => {
    const refusal = refusalFrom(thrown)
    expect(refusal).toMatchObject({ status, type })
    const said = problem.parse(refusal.toProblem())
    expect(said.type).toBe(`/problems/${type}`)
    expect(JSON.stringify(said)).not.toContain('secret path')
  })
  it('leaves a refusal as it is', () => {
    const own = notFound('build')
    expect(refusalFrom(own)).toBe(own)
  })
  it('uses only types that the contract names', () => {
    expect(PROBLEM_TYPES).toContain(new Refusal(403, 'foreign-origin', 'a', 'b').type)
  })
})

describe('parse', () => {
  const schema = z.strictObject({
    mass: z.number('Type a mass.'),
    name: z.string().min(1, 'Give it a name.'),
  })
  const refused = (body: unknown) => {
    try {
      parse(schema, body)
    } catch (thrown) {
      return (thrown as Refusal).toProblem()
    }
    throw new Error('it was taken')
  }
  it('gives back what fits', () =>
    expect(parse(schema, { mass: 1, name: 'x' })).toEqual({ mass: 1, name: 'x' }))
  it('names every field with its remedy, and the first in words', () => {
    const said = refused({ mass: 'x', name: '' })
    expect(said.errors).toEqual([
      { field: 'mass', problem: 'Type a mass.' },
      { field: 'name', problem: 'Give it a name.' },
    ])
    expect(said.detail).toBe('mass: Type a mass. And 1 more.')
  })
  it('takes nothing for an object', () => expect(refused(null).errors).toHaveLength(1))
  it('echoes no flood of unknown names', () => {
    const flood = Object.fromEntries(Array.from({ length: 5000 }, (_, i) => [`${'k'.repeat(300)}${i}`, 1]))
    const said = JSON.stringify(refused({ mass: 1, name: 'x', ...flood }))
    expect(said).toContain('and 4995 others')
    expect(said.length).toBeLessThan(1000)
  })
  it('names fifty faults at most', () => {
    const many = z.array(z.number())
    try {
      parse(many, Array(200).fill('x'))
    } catch (thrown) {
      expect((thrown as Refusal).toProblem().errors).toHaveLength(50)
    }
    expect.assertions(1)
  })
})

describe('isModest', () => {
  const text = (json: string) => Buffer.from(json)
  const limits = { depth: 3, containers: 4, values: 9 }
  it.each([
    ['{"a":[1,2,{"b":3}]}', null],
    ['[[[[]]]]', 'depth'],
    ['[{},{},{},{}]', 'containers'],
    ['[1,2,3,4,5,6,7,8,9,10,11]', 'values'],
    ['"[[[[[[,,,,,,,,,,,,,"', null],
    ['"\\"[[[[[["', null],
    ['', null],
  ])('%s: %s', (json, fault) => expect(isModest(text(json), limits)).toBe(fault))
  it('takes what builds hold by the million: points of curves', () =>
    expect(isModest(text(`{"points":[${'{"s":1,"t":2},'.repeat(200_000)}{"s":1}]}`))).toBeNull())
})

describe('limitClients', () => {
  it('cuts a client that sends by halves, and leaves one alone that is answered', async () => {
    const server = createServer((request, response) => request.resume().on('end', () => response.end('ok')))
    limitClients(server, 200)
    server.listen(0, '127.0.0.1')
    await once(server, 'listening')
    const { port } = server.address() as AddressInfo
    const half = connect(port, '127.0.0.1')
    half.write('POST / HTTP/1.1\r\nHost: localhost\r\nContent-Length: 1000\r\n\r\nhalf')
    const whole = await fetch(`http://127.0.0.1:${port}`)
    expect(await whole.text()).toBe('ok')
    half.resume()
    await once(half, 'close')
    server.closeAllConnections()
    server.close()
  })

  it('cuts a client that takes nothing of what it asked for', async () => {
    const server = createServer((_request, response) => response.end(Buffer.alloc(64 * 1024 * 1024)))
    limitClients(server, 200)
    server.listen(0, '127.0.0.1')
    await once(server, 'listening')
    const cut = new Promise((closed) =>
      server.once('connection', (socket) => socket.once('close', () => closed(true))),
    )
    const { port } = server.address() as AddressInfo
    // Asks, and never reads.
    const stalled = connect(port, '127.0.0.1').pause()
    stalled.on('error', () => undefined)
    stalled.write('GET / HTTP/1.1\r\nHost: localhost\r\n\r\n')
    expect(await cut).toBe(true)
    stalled.destroy()
    server.closeAllConnections()
    server.close()
  })
})

describe('readJson', () => {
  it('reads JSON in UTF-8, and says what else it was given', () => {
    expect(readJson(Buffer.from('{"a":[1,"ä"]}'))).toEqual({ a: [1, 'ä'] })
    for (const [body, status] of [
      [Buffer.from('{"a":'), 400],
      [Buffer.from([0x22, 0xff, 0x22]), 400],
      [Buffer.alloc(0), 400],
      [Buffer.from('['.repeat(100)), 413],
      [Buffer.from(`[${'{},'.repeat(1_100_000)}{}]`), 413],
    ] as const)
      expect(() => readJson(body)).toThrow(expect.objectContaining({ status }))
  })
})
