import type { Edit, Line } from '@bold-ballast/contract'
import { sampleLine } from '@bold-ballast/contract/sampleBuild'
import { randomUUID } from 'node:crypto'
import { describe, expect, it } from 'vitest'
import { keptSaid } from './keptSaid'

const claimed = {
  ...sampleLine(randomUUID(), randomUUID()),
  mass: 8,
  grade: 'claim',
  source: 'seller',
  version: 1,
} as Line
const put = (record: Line) => ({ op: 'put', kind: 'line', record }) as Edit
const saidAfter = (record: Line, view: readonly Line[] = [claimed]) => {
  const edit = keptSaid({ lines: [...view] }, put(record))
  return edit.op === 'put' && edit.kind === 'line' ? edit.record.said : undefined
}

describe('keptSaid', () => {
  it('keeps the last claim when the part is weighed', () =>
    expect(saidAfter({ ...claimed, mass: 8.6, grade: 'measured' })).toEqual({
      mass: 8,
      grade: 'claim',
      source: 'seller',
    }))
  it('lets nobody stand for what the scale says', () => {
    const source = (record: Line) => {
      const edit = keptSaid({ lines: [claimed] }, put(record))
      return edit.op === 'put' && edit.kind === 'line' ? edit.record.source : undefined
    }
    expect(source({ ...claimed, grade: 'measured' })).toBe('')
    expect(source({ ...claimed, grade: 'measured', source: 'our bench' })).toBe('our bench')
    expect(source({ ...claimed, mass: 7 })).toBe('seller')
  })
  it('keeps nothing while it is still only said, and what was kept once for good', () => {
    expect(saidAfter({ ...claimed, mass: 7 })).toBeNull()
    const said = { mass: 7.5, grade: 'guess' as const, source: '' }
    expect(saidAfter({ ...claimed, mass: 8.6, grade: 'measured', said })).toEqual(said)
    expect(
      saidAfter({ ...claimed, mass: 8.7, grade: 'measured' }, [{ ...claimed, grade: 'measured' }]),
    ).toBeNull()
    expect(saidAfter({ ...claimed, grade: 'measured' }, [])).toBeNull()
  })
})
