import { unitOf } from '@bold-ballast/core'
import { describe, expect, it } from 'vitest'
import { guessRoles, pastedLines } from './pastedLines'

const units = { mass: unitOf('mass', 'kg'), length: unitOf('length', 'mm') }
const usual = { kind: 'off', system: 'other', grade: 'measured', fitted: true } as const
const read = (rows: string[][], more = {}) => {
  const { roles, hasHeader } = guessRoles(rows)
  return pastedLines(
    hasHeader ? rows.slice(1) : rows,
    roles,
    units,
    { ...usual, ...more },
    hasHeader ? (rows[0] ?? []) : [],
  )
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
    })
  })
  it('goes by what stands in the columns where there are no headers', () => {
    const rows = [
      ['Front seat', '2', '19.4'],
      ['Rear bench', '1', '21,3 kg'],
    ]
    expect(guessRoles(rows)).toEqual({ roles: ['name', 'quantity', 'mass'], hasHeader: false })
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
  it('makes nothing of nothing', () => expect(guessRoles([])).toEqual({ roles: [], hasHeader: false }))
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
