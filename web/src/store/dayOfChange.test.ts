import type { Edit, Line } from '@bold-ballast/contract'
import { sampleLine } from '@bold-ballast/contract/sampleBuild'
import { randomUUID } from 'node:crypto'
import { describe, expect, it } from 'vitest'
import { dayOfChange } from './dayOfChange'

const open = { ...sampleLine(randomUUID(), randomUUID()), fitted: false, changedOn: null, version: 1 } as Line
const dayAfter = (record: Line, view: readonly Line[] = [open]) => {
  const edit = dayOfChange({ lines: [...view] }, { op: 'put', kind: 'line', record } as Edit, '2026-05-02')
  return edit.op === 'put' && edit.kind === 'line' ? edit.record.changedOn : undefined
}

describe('dayOfChange', () => {
  it('dates a part on the day that it is said to be off or on, and forgets it where it is open again', () => {
    expect(dayAfter({ ...open, fitted: true })).toBe('2026-05-02')
    const done = { ...open, fitted: true, changedOn: '2026-05-02' }
    expect(dayAfter({ ...done, fitted: false }, [done])).toBeNull()
  })
  it('leaves a day that was typed, and lines that change otherwise or are new', () => {
    expect(dayAfter({ ...open, fitted: true, changedOn: '2026-04-01' })).toBe('2026-04-01')
    expect(dayAfter({ ...open, mass: 3 })).toBeNull()
    expect(dayAfter({ ...open, fitted: true }, [])).toBeNull()
  })
})
