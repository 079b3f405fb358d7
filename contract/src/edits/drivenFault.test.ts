import { describe, expect, it } from 'vitest'
import { documentFrom, sampleBuild, sampleOuting, sampleSetup } from '../testing/sampleBuild'
import { drivenFault } from './drivenFault'
import type { Edit } from './edit'

const newId = () => crypto.randomUUID()

function driven() {
  const file = sampleBuild(newId)
  const stageId = file.stages[0]!.id
  const [first, second] = [sampleSetup(stageId, newId(), 1), sampleSetup(stageId, newId(), 2)]
  file.setups.push(first, second)
  file.outings.push(sampleOuting(stageId, newId(), { setupId: first.id }))
  return { document: documentFrom(file), stageId }
}

describe('drivenFault', () => {
  const { document, stageId } = driven()
  const [first, second] = document.setups as [(typeof document.setups)[0], (typeof document.setups)[0]]
  const put = (record: object) => ({ op: 'put', kind: 'setup', record }) as Edit
  const remove = (id: string) => ({ op: 'remove', kind: 'setup', id, version: 1 }) as Edit
  it('keeps a sheet as it was driven on', () => {
    expect(drivenFault(document, [put({ ...first, brakeBar: 0.55 })])).toBe(
      'Set-up sheet 1 was driven on at Quarry Hill: it stays as it was. Write the next sheet instead.',
    )
    expect(drivenFault(document, [remove(first.id)])).toMatch(/stays as it was/)
  })
  it('lets it be called good, and others be put right', () => {
    expect(drivenFault(document, [put({ ...first, name: 'Dry', note: 'Held all day' })])).toBeNull()
    expect(drivenFault(document, [put({ ...second, brakeBar: 0.55 })])).toBeNull()
    expect(drivenFault(document, [put(sampleSetup(stageId, newId(), 3))])).toBeNull()
  })
  it('lets it go with its stage, and once no day names it', () => {
    const stage = { op: 'remove', kind: 'stage', id: stageId, version: 1 } as Edit
    expect(drivenFault(document, [remove(first.id), stage])).toBeNull()
    const [outing] = document.outings
    const day = { op: 'put', kind: 'outing', record: { ...outing!, setupId: second.id } } as Edit
    expect(drivenFault(document, [put({ ...first, brakeBar: 0.55 }), day])).toBeNull()
    const gone = { op: 'remove', kind: 'outing', id: outing!.id, version: 1 } as Edit
    expect(drivenFault(document, [remove(first.id), gone])).toBeNull()
    // And the other way: what is put on a sheet by the same edits holds it.
    expect(drivenFault(document, [put({ ...second, brakeBar: 0.55 }), day])).toMatch(/sheet 2/)
  })
})
