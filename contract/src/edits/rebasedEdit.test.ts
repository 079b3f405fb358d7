import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { BuildDocument } from '../records/kinds'
import { documentFrom, sampleBuild } from '../testing/sampleBuild'
import { applyEdits } from './applyEdits'
import { mergeFields, rebasedEdit } from './rebasedEdit'

const document: BuildDocument = documentFrom(sampleBuild(() => crypto.randomUUID()))
const line = document.lines[0]!
const { version: _, ...typed } = line
const changedBy = (fields: Partial<typeof line>) =>
  applyEdits(document, [
    { op: 'put', kind: 'line', record: { ...line, ...fields, version: line.version + 1 } },
  ])

describe('what two have made of one record', () => {
  const record = fc.record({ a: fc.nat(2), b: fc.nat(2), c: fc.array(fc.nat(1), { maxLength: 2 }) })
  it('is the same whoever comes first, and keeps what only one of them changed', () =>
    fc.assert(
      fc.property(record, record, record, (base, one, other) => {
        const merged = mergeFields(base, one, other)
        expect(mergeFields(base, other, one)).toEqual(merged)
        if (!merged) return
        for (const key of ['a', 'b', 'c'] as const) {
          const isMine = JSON.stringify(one[key]) !== JSON.stringify(base[key])
          expect(merged[key]).toEqual(isMine ? one[key] : other[key])
        }
      }),
    ))
  it('is nothing where both changed one field otherwise', () =>
    expect(mergeFields({ a: 1, b: 1 }, { a: 2, b: 1 }, { a: 3, b: 1 })).toBeNull())
})

describe('saving what was typed', () => {
  it('goes onto the version that the form began from', () => {
    expect(rebasedEdit(document, 'line', line, { ...typed, mass: 7 })).toEqual({
      op: 'put',
      kind: 'line',
      record: { ...line, mass: 7 },
    })
  })
  it('leaves alone what somebody else changed meanwhile in other fields', () => {
    const now = changedBy({ name: 'Renamed' })
    expect(rebasedEdit(now, 'line', line, { ...typed, mass: 7 })).toEqual({
      op: 'put',
      kind: 'line',
      record: { ...line, name: 'Renamed', mass: 7, version: line.version + 1 },
    })
  })
  it('names the old version where both changed one field, or the record is gone: the server asks', () => {
    const late = rebasedEdit(changedBy({ mass: 6 }), 'line', line, { ...typed, mass: 7 })
    expect(late).toMatchObject({ record: { mass: 7, version: line.version } })
    const gone = applyEdits(document, [{ op: 'remove', kind: 'line', id: line.id, version: line.version }])
    expect(rebasedEdit(gone, 'line', line, typed)).toMatchObject({ record: { version: line.version } })
  })
  it('of a new record is new, once', () => {
    const id = crypto.randomUUID()
    expect(rebasedEdit(document, 'line', null, { ...typed, id })).toMatchObject({ record: { version: 0 } })
  })
})
