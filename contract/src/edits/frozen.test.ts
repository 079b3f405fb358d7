import { describe, expect, it } from 'vitest'
import type { Edit } from './edit'
import { stageNamed } from '../files/newBuild'
import type { BuildDocument } from '../records/kinds'
import {
  documentFrom,
  sampleBuild,
  sampleDynoDay,
  sampleLine,
  samplePull,
  sampleSeal,
  sampleSwap,
} from '../testing/sampleBuild'
import { frozenFault, sealOf } from './frozen'

const newId = () => crypto.randomUUID()
const sealAt = (stageId: string) => sampleSeal(stageId, newId())

/** Two stages, the first of them frozen, with a swap, a line, a dyno day and a pull each. */
function frozen(): { document: BuildDocument; first: string; second: string } {
  const file = sampleBuild(newId)
  const first = file.stages[0]!.id
  const second = newId()
  file.stages.push(stageNamed('Second', 1, second))
  const swap = sampleSwap(second, newId())
  file.swaps.push(swap)
  file.lines.push(sampleLine(swap.id, newId()))
  for (const stageId of [first, second]) {
    const day = sampleDynoDay(stageId, newId())
    file.dynoDays.push(day)
    file.pulls.push(samplePull(day.id, newId()))
  }
  file.seals.push(sealAt(first))
  return { document: documentFrom(file), first, second }
}
const put = (kind: Edit['kind'], record: object) => ({ op: 'put', kind, record }) as Edit
const remove = (kind: Edit['kind'], record: { id: string }) =>
  ({ op: 'remove', kind, id: record.id, version: 1 }) as Edit

describe('frozenFault', () => {
  const { document, first, second } = frozen()
  const of = <T extends { stageId: string }>(all: readonly T[], stageId: string) =>
    all.find((r) => r.stageId === stageId)!
  const lineOf = (stageId: string) => document.lines.find((l) => l.swapId === of(document.swaps, stageId).id)!
  const pullOf = (stageId: string) =>
    document.pulls.find((p) => p.dynoDayId === of(document.dynoDays, stageId).id)!
  const stage = (id: string) => document.stages.find((s) => s.id === id)!
  it.each<[string, (at: string) => Edit[]]>([
    ['the stage itself', (at) => [put('stage', { ...stage(at), name: 'Other' })]],
    ['a swap', (at) => [put('swap', of(document.swaps, at))]],
    ['a new swap', (at) => [put('swap', { ...sampleSwap(at, newId()), version: 0 })]],
    ['a line', (at) => [put('line', lineOf(at))]],
    ['a line that goes', (at) => [remove('line', lineOf(at))]],
    ['a pull', (at) => [put('pull', pullOf(at))]],
    [
      'a new swap with its line',
      (at) => {
        const swap = sampleSwap(at, newId())
        return [
          put('line', { ...sampleLine(swap.id, newId()), version: 0 }),
          put('swap', { ...swap, version: 0 }),
        ]
      },
    ],
  ])('refuses %s of a frozen stage, and no other’s', (_, edits) => {
    expect(frozenFault(document, edits(first))).toMatch(/As bought is frozen: open it again/)
    expect(frozenFault(document, edits(second))).toBeNull()
  })
  it('refuses to move a swap into or out of a frozen stage', () => {
    expect(
      frozenFault(document, [put('swap', { ...of(document.swaps, second), stageId: first })]),
    ).not.toBeNull()
    expect(
      frozenFault(document, [put('swap', { ...of(document.swaps, first), stageId: second })]),
    ).not.toBeNull()
  })
  it('leaves the build and its jobs free', () => {
    expect(frozenFault(document, [put('build', document.build)])).toBeNull()
    expect(frozenFault(document, [put('job', { id: newId(), stageId: first })])).toBeNull()
  })
  it('keeps a seal for good: it is opened once, with nothing else changed, and never goes', () => {
    const [seal] = document.seals
    const reopened = { at: '2026-11-25T08:00:00Z', author: 'B', reason: 'New scales' }
    expect(frozenFault(document, [put('seal', { ...seal, reopened })])).toBeNull()
    expect(frozenFault(document, [put('seal', { ...seal, author: 'Someone else', reopened })])).toMatch(
      /for good/,
    )
    expect(frozenFault(document, [put('seal', { ...seal, note: 'x' })])).toMatch(/for good/)
    expect(frozenFault(document, [remove('seal', seal!)])).toMatch(/for good/)
    const opened = { ...document, seals: [{ ...seal!, reopened }] }
    expect(frozenFault(opened, [put('seal', { ...seal, reopened: null })])).toMatch(/for good/)
    expect(sealOf(opened, first)).toBeNull()
    expect(frozenFault(opened, [put('swap', of(document.swaps, first))])).toBeNull()
    expect(frozenFault(document, [put('seal', { ...sealAt(second), version: 0 })])).toBeNull()
  })
})
