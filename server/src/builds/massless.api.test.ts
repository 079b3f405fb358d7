import type { BuildDocument, BuildFile, Edit } from '@bold-ballast/contract'
import { sampleBuild, sampleLine } from '@bold-ballast/contract/sampleBuild'
import { demo } from '@bold-ballast/demo'
import { randomUUID } from 'node:crypto'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { testServer, type TestServer } from '../testing/testServer'

let server: TestServer
beforeAll(async () => {
  server = await testServer()
})
afterAll(() => server.close())

const document = async (id: string): Promise<BuildDocument> => (await server.read(id)).body
/** A line that takes all of a car away. */
const tooMuch = (of: BuildDocument | BuildFile, mass = 1850) => ({
  ...sampleLine(of.swaps.at(-1)!.id, randomUUID(), 90),
  ...({ name: 'Rear seats', kind: 'off', mass, grade: 'guess' } as const),
})
const added = (kind: 'line' | 'branch', record: object) =>
  ({ op: 'put', kind, record: { ...record, version: 0 } }) as unknown as Edit
/** A demo car off which more has come than it weighs, as an earlier version took it in. */
function massless(): BuildFile {
  const file = structuredClone(demo.builds().find((b) => b.build.name === 'Nightjar')!)
  return { ...file, lines: [...file.lines, tooMuch(file)] }
}

describe('a car that would weigh less than nothing', () => {
  it('is listed with its fault among the others, and opens', async () => {
    const sound = await server.add(sampleBuild(randomUUID))
    const added = await server.add(massless())
    expect(added.status).toBe(201)
    const { status, body } = await server.list()
    expect(status).toBe(200)
    const listed = body.find((b) => b.id === added.body.id)!
    expect(listed.fault).toMatchObject({ why: 'weighsNothing', stage: 'Diet' })
    expect((listed.fault as { mass: number }).mass).toBeLessThan(0)
    expect(body.find((b) => b.id === sound.body.id)!.fault).toBeNull()
    expect((await document(added.body.id)).lines.some((l) => l.name === 'Rear seats')).toBe(true)
    for (const path of ['/claims', '/parts', '/instruments', '/gearsets', `/builds/${added.body.id}/file`]) {
      const response = await fetch(`${server.base}/api/v1${path}`)
      expect([path, response.status]).toEqual([path, 200])
      await response.arrayBuffer()
    }
  })
  it('is refused to be made, by a line, by the car as bought, or by something that is tried', async () => {
    const { body } = await server.add(sampleBuild(randomUUID))
    const own = await document(body.id)
    const line = added('line', tooMuch(own, 9000))
    const refused = await server.refuseEdit(body.id, [line])
    expect(refused.status).toBe(422)
    expect(refused.body.title).toBe('More comes off than the car weighs')
    expect(refused.body.detail).toMatch(/would weigh −?-?\d+ kg/)
    const bare = { op: 'put', kind: 'build', record: { ...own.build, baseMass: 60 } } as Edit
    const heavy = added('line', tooMuch(own, 90))
    const both = await server.refuseEdit(body.id, [bare, heavy])
    expect([both.status, both.body.title]).toEqual([422, 'More comes off than the car weighs'])
    const branch = {
      id: randomUUID(),
      stageId: own.stages[0]!.id,
      stepId: null,
      name: 'Lighter still',
      note: '',
      order: 0,
      edits: [line],
      adoptedAt: null,
    }
    expect((await server.refuseEdit(body.id, [added('branch', branch)])).status).toBe(422)
    expect((await document(body.id)).lines).toEqual(own.lines)
  })
  it('is mended step by step, and no step may make it worse', async () => {
    const { body } = await server.add(massless())
    const own = await document(body.id)
    const wrong = own.lines.find((l) => l.name === 'Rear seats')!
    const other = { op: 'put', kind: 'build', record: { ...own.build, note: 'looked at' } } as Edit
    expect((await server.edit(body.id, [other])).status).toBe(200)
    const worse = { op: 'put', kind: 'line', record: { ...wrong, mass: 1900 } } as Edit
    expect((await server.refuseEdit(body.id, [worse])).status).toBe(422)
    const better = { op: 'put', kind: 'line', record: { ...wrong, mass: 1800 } } as Edit
    expect((await server.edit(body.id, [better])).status).toBe(200)
    const right = { op: 'put', kind: 'line', record: { ...wrong, mass: 18.5, version: 2 } } as Edit
    expect((await server.edit(body.id, [right])).status).toBe(200)
    expect((await server.list()).body.find((b) => b.id === body.id)!.fault).toBeNull()
  })
})
