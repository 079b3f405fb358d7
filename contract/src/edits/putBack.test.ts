import { describe, expect, it } from 'vitest'
import { applyEdits } from './applyEdits'
import { putBack } from './putBack'
import { removalOf } from './removalOf'
import { documentFrom, sampleBuild } from '../testing/sampleBuild'

const before = documentFrom(sampleBuild(() => crypto.randomUUID()))
const line = before.lines[0]!
const without = (kind: 'line' | 'swap' | 'stage', id: string) =>
  applyEdits(before, removalOf(before, kind, id))

describe('what somebody removed meanwhile', () => {
  it('comes back by itself where what it hung from is there', () => {
    const edits = putBack(without('line', line.id), before, 'line', { ...line, mass: 7 })
    expect(edits).toMatchObject([{ op: 'put', kind: 'line', record: { id: line.id, mass: 7, version: 0 } }])
  })
  it('comes back with all that it hung from, from the top', () => {
    const now = without('stage', before.stages[0]!.id)
    const edits = putBack(now, before, 'line', line)
    expect(edits.map((edit) => edit.kind)).toEqual(['stage', 'swap', 'line'])
    expect(applyEdits(now, edits).lines.map(({ id }) => id)).toEqual([line.id])
  })
})
