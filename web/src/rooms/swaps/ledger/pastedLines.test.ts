import { unitOf } from '@bold-ballast/core'
import { describe, expect, it } from 'vitest'
import { guessRoles, pastedLines } from './pastedLines'

const units = { mass: unitOf('mass', 'kg'), length: unitOf('length', 'mm') }
const usual = { kind: 'off', system: 'other', grade: 'measured', fitted: true } as const
const read = (rows: string[][], more = {}) => {
  const { roles, header } = guessRoles(rows)
  const titles = rows[header] ?? []
  return pastedLines(rows.slice(header + 1), roles, units, { ...usual, ...more }, titles, header + 1)
}

describe('guessRoles', () => {
  it('goes by headers, whatever their order, and takes each role once', () => {
    expect(
      guessRoles([
        ['Weight (kg)', 'Item', 'Qty', 'Notes', 'Item'],
        ['2', 'Seat', '1', '', 'x'],
      ]),
    ).toEqual({
      roles: ['mass', 'name', 'quantity', 'ignore', 'ignore'],
      hasHeader: true,
      header: 0,
    })
  })
  it('goes by what stands in the columns where there are no headers', () => {
    const rows = [
      ['Front seat', '2', '19.4'],
      ['Rear bench', '1', '21,3 kg'],
    ]
    expect(guessRoles(rows)).toEqual({ roles: ['name', 'quantity', 'mass'], hasHeader: false, header: -1 })
  })
  it('takes the only column of figures for the mass, whole or not', () =>
    expect(
      guessRoles([
        ['Seat', '19'],
        ['Bench', '21'],
      ]).roles,
    ).toEqual(['name', 'mass']))
  it('keeps who says so apart from how it is known', () => {
    const rows = [
      ['part', 'kg', 'grade', 'source'],
      ['Fuel cell', '11.5', 'claim', 'maker’s sheet'],
    ]
    expect(guessRoles(rows).roles).toEqual(['name', 'mass', 'grade', 'source'])
    expect(read(rows)[0]!.line).toMatchObject({ grade: 'claim', source: 'maker’s sheet' })
  })
  it('finds the headings below a title, and never takes the count for the mass', () => {
    const rows = [
      ['Strip list, part by part', '', ''],
      ['', '', ''],
      ['Part', 'Pcs', 'lbs'],
      ['Seat', '2', '42'],
      ['Bench', '1', '47'],
    ]
    expect(guessRoles(rows)).toEqual({ roles: ['name', 'quantity', 'mass'], hasHeader: true, header: 2 })
    const read1 = read(rows)
    expect(read1.map((r) => [r.row, r.line?.quantity])).toEqual([[4, 2], [5, 1]]) // prettier-ignore
    expect(read1[0]!.line!.mass).toBeCloseTo(19.05, 2)
    // Without headings, whole figures on both sides: few pieces, many kilos, on whichever side they stand.
    const whole = [['Seat', '2', '19'], ['Bench', '1', '21'], ['Door', '4', '27']] // prettier-ignore
    expect(guessRoles(whole).roles).toEqual(['name', 'quantity', 'mass'])
    expect(guessRoles(whole.map(([name, n, m]) => [name!, m!, n!])).roles).toEqual([
      'name',
      'mass',
      'quantity',
    ])
  })
  it('makes nothing of nothing', () =>
    expect(guessRoles([])).toEqual({ roles: [], hasHeader: false, header: -1 }))
})

describe('pastedLines', () => {
  it('reads any unit, decimal commas, and off where the mass is below zero', () => {
    const rows = read(
      [
        ['Part', 'Mass'],
        ['Seat', '42 lb'],
        ['Bench', '21,3'],
        ['Cage', '-3.5'],
      ],
      { kind: 'on' },
    )
    expect(rows.map((r) => r.line?.mass)).toEqual([expect.closeTo(19.05, 2), 21.3, 3.5])
    expect(rows.map((r) => r.line?.kind)).toEqual(['on', 'on', 'off'])
  })
  it.each(['lbs', 'lb', 'Lbs', 'pounds', 'Weight (lb)', 'Weight lbs', 'weight, lb each', 'mass [lbs]'])(
    'takes a column headed “%s” for pounds',
    (title) => {
      const [row] = read([
        ['Part', title],
        ['Seat', '32.5'],
      ])
      expect(row!.line!.mass).toBeCloseTo(14.742, 3)
    },
  )
  it.each(['kg', 'Weight', 'Mass (kg)', 'kilos'])('takes one headed “%s” for what the person reads in', (title) =>
    expect(read([['Part', title], ['Seat', '32.5']])[0]!.line!.mass).toBe(32.5)) // prettier-ignore
  it('names each bad row by its place in what was pasted, and keeps the good ones', () => {
    const rows = read([
      ['Part', 'Mass', 'Pcs'],
      ['Seat', 'heavy', '1'],
      ['', '3', '1'],
      ['Bench', '21', 'two'],
      ['Door', '27', '2'],
    ])
    expect(rows.filter((r) => r.line).map((r) => r.line!.name)).toEqual(['Door'])
    expect(rows.filter((r) => !r.line).map((r) => r.row)).toEqual([2, 3, 4])
    expect(rows[1]!.problems[0]).toMatch(/name/)
  })
  it('reads way, grade, system and swap where columns say them', () => {
    const [row] = read([
      ['Swap', 'Part', 'Mass', 'Way', 'Known by', 'System'],
      ['Doors', 'Skin', '6', 'carried over', 'claim', 'Body'],
    ])
    expect(row).toMatchObject({ swap: 'Doors', line: { kind: 'carried', grade: 'claim', system: 'body' } })
  })
  it('takes no word that it doesn’t know for another: the known ones are said', () => {
    const rows = read([
      ['Part', 'Mass', 'System', 'Done'],
      ['Skin', '6', 'Boddy', 'yes'],
      ['Glass', '3', 'Body', 'perhaps'],
      ['Latch', '1', 'Body', 'no'],
    ])
    expect(rows.map((r) => r.line?.fitted)).toEqual([undefined, undefined, false])
    expect(rows[0]!.problems[0]).toMatch(/“Boddy” is no system\. Known are .*body/i)
    expect(rows[1]!.problems[0]).toMatch(/“perhaps” says neither/)
  })
  it('says when no column is a mass', () =>
    expect(
      read([
        ['Part', 'Colour'],
        ['Seat', 'red'],
      ])[0]!.problems,
    ).toContain('No column is the mass.'))
  it('passes over empty rows', () =>
    expect(
      read([
        ['Seat', '4.5'],
        ['', ''],
      ]),
    ).toHaveLength(1))
})
