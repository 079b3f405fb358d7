import { randomUUID } from 'node:crypto'
import { describe, expect, it } from 'vitest'
import { ruleCsv, ruleRows } from './ruleRows'

const read = (text: string) => ruleRows(text, { length: 'mm' }, randomUUID)

describe('ruleRows', () => {
  it('reads back what it writes', () => {
    const rules = [
      {
        id: 'a',
        measure: 'massWithDriver' as const,
        comparator: 'atLeast' as const,
        limit: 1150,
        wording: 'Driver, “in gear”',
        clause: '3.1',
      },
      {
        id: 'b',
        measure: 'wingAboveRoof' as const,
        comparator: 'atMost' as const,
        limit: 0.13,
        wording: '',
        clause: '',
      },
      {
        id: 'c',
        measure: 'noise' as const,
        comparator: 'atMost' as const,
        limit: 98,
        wording: '',
        clause: '7',
      },
    ]
    const { records, bad } = read(ruleCsv({ rules }, { length: 'mm' }))
    expect(bad).toEqual([])
    expect(records.map(({ id: _, ...r }) => r)).toEqual(
      rules.map(({ id: _, ...r }) => ({ ...r, limit: expect.closeTo(r.limit, 6) as number })),
    )
  })
  it('takes limits in any unit, and names what it can’t read', () => {
    const { records, bad } = read(
      'measure,allows,limit\nOverall width,at most,75 in\nColour,at most,3\nNoise,at most,loud\nOverall width,about,1.9 m\n',
    )
    expect(records[0]!.limit).toBeCloseTo(1.905)
    expect(bad.map((b) => [b.line, b.problem])).toEqual([
      [3, expect.stringMatching(/Choose what is limited/)],
      [4, expect.stringMatching(/not|Choose/)],
      [5, expect.stringMatching(/at most or at least/)],
    ])
  })
})
