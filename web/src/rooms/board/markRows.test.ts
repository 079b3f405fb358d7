import type { Mark } from '@bold-ballast/contract'
import { describe, expect, it } from 'vitest'
import { markRows, targetAt } from './markRows'

const stages = [{ id: 'a' }, { id: 'b' }, { id: 'c' }]
const mark = (id: string, stageId: string, more: Partial<Mark> = {}): Mark => ({
  id,
  stageId,
  measure: 'mass',
  comparator: 'atMost',
  value: 1,
  tolerance: 0,
  weight: 1,
  version: 1,
  conditionId: null,
  gear: null,
  place: '',
  part: '',
  speed: null,
  ...more,
})

describe('markRows', () => {
  it('puts marks on one thing into one row, and others apart', () => {
    const rows = markRows(
      [
        mark('1', 'a', { measure: 'topSpeed' }),
        mark('2', 'a'),
        mark('3', 'b'),
        mark('4', 'b', { measure: 'topSpeed', gear: 4 }),
        mark('5', 'gone'),
      ],
      stages,
    )
    expect(rows).toHaveLength(3)
    expect(rows[0]!.marks.map((m) => m.id)).toEqual(['2', '3'])
    expect(rows.flatMap((r) => r.marks)).toHaveLength(4)
  })
})

describe('targetAt', () => {
  const marks = [mark('late', 'c'), mark('early', 'a')]
  it('is the stage’s own, else the next to come, else the last that was', () => {
    expect(targetAt(marks, stages, 0).id).toBe('early')
    expect(targetAt(marks, stages, 1).id).toBe('late')
    expect(targetAt([mark('early', 'a')], stages, 2).id).toBe('early')
  })
})
