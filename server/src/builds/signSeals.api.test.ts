import { putEdit, type BuildDocument, type Edit, type Seal } from '@bold-ballast/contract'
import { sampleBuild, sampleLine } from '@bold-ballast/contract/sampleBuild'
import { differingFigures, sealedFiguresOf } from '@bold-ballast/words'
import { wholeCar } from '@bold-ballast/model/testing/wholeCar'
import { randomUUID } from 'node:crypto'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { signedSeal } from '../testing/signedSeal'
import { testServer, type TestServer } from '../testing/testServer'

let server: TestServer
beforeAll(async () => {
  server = await testServer()
})
afterAll(() => server.close())

async function added(file = sampleBuild(randomUUID)): Promise<{ document: BuildDocument; stageId: string }> {
  const { body } = await server.add(file)
  const document = (await server.read(body.id)).body
  return { document, stageId: document.stages[0]!.id }
}
const read = async ({ build }: BuildDocument) => (await server.read(build.id)).body
const sign = (document: BuildDocument, seal: Omit<Seal, 'version'>) => [putEdit(document, 'seal', seal)]

describe('what is signed', () => {
  it('is refused where the records say otherwise than was shown, with the difference said', async () => {
    const { document, stageId } = await added()
    const seal = signedSeal(document, stageId)
    const facts = seal.figures.facts.map((f) => (f.what === 'Mass' ? { ...f, says: '900 ±1 kg' } : f))
    const flattered = { ...seal, figures: { ...seal.figures, facts } }
    const { status, body } = await server.refuseEdit(document.build.id, sign(document, flattered))
    const mass = seal.figures.facts.find((f) => f.what === 'Mass')!.says
    expect(status).toBe(422)
    expect(body.detail).toContain(`Mass: shown as 900 ±1 kg, it is ${mass}`)
    expect(body.errors).toMatchObject([{ field: 'figures' }])
    expect((await read(document)).seals).toEqual([])
  })
  it('is what the server works out, to the last figure that no sheet shows', async () => {
    const { document, stageId } = await added(wholeCar().file)
    const seal = signedSeal(document, stageId)
    // Between its ends a curve is drawn, and not said in words.
    const curve = seal.figures.curve.map((p, i) => (i === 1 ? { ...p, torque: p.torque - 1 } : p))
    expect(curve.length).toBeGreaterThan(3)
    await server.edit(document.build.id, sign(document, { ...seal, figures: { ...seal.figures, curve } }))
    const kept = await read(document)
    expect(kept.seals[0]!.figures).toEqual(sealedFiguresOf(document, stageId))
  })
  it('counts what is changed in the same batch', async () => {
    const { document, stageId } = await added()
    const line = { ...sampleLine(document.swaps[0]!.id, randomUUID(), 9), kind: 'on' as const, mass: 25 }
    const edits: Edit[] = [putEdit(document, 'line', line)]
    const stale = signedSeal(document, stageId)
    expect((await server.refuseEdit(document.build.id, [...edits, ...sign(document, stale)])).status).toBe(
      422,
    )
    const { document: other, stageId: there } = await added()
    const own = { ...line, id: randomUUID(), swapId: other.swaps[0]!.id }
    const after = {
      ...other,
      lines: [...other.lines, { ...own, version: 1 }],
    }
    await server.edit(other.build.id, [putEdit(other, 'line', own), ...sign(other, signedSeal(after, there))])
    expect((await read(other)).seals).toHaveLength(1)
  })
  it('stays as it was signed when the build changes, and what has moved can be said', async () => {
    const { document, stageId } = await added()
    await server.edit(document.build.id, sign(document, signedSeal(document, stageId)))
    const { version: _, ...build } = document.build
    const reference = { ...build.reference, fuel: build.reference.fuel + 0.01 }
    await server.edit(document.build.id, [
      { op: 'put', kind: 'build', record: { ...build, reference, version: document.build.version } },
    ])
    const later = await read(document)
    const signed = later.seals[0]!.figures
    expect(signed).toEqual(sealedFiguresOf(document, stageId))
    const moved = differingFigures(signed, sealedFiguresOf(later, stageId), later.build.units)
    expect(moved.map((m) => m.what)).toEqual(expect.arrayContaining(['Condition', 'Mass']))
  })
})
