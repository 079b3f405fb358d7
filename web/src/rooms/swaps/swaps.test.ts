import { type Line, type Swap } from '@bold-ballast/contract'
import { countedLines, type SwapWithLines } from '@bold-ballast/model'
import { sampleLine } from '@bold-ballast/contract/sampleBuild'
import { unitOf } from '@bold-ballast/core'
import { describe, expect, it } from 'vitest'
import { placeText, readCell, textOf } from './cells'
import { rowsOf } from './ledger/ledgerRows'
import { massDoubt } from '@bold-ballast/model'

const units = { mass: unitOf('mass', 'kg'), length: unitOf('length', 'mm') }
const line = (order: number, more: Partial<Line> = {}): Line => ({
  ...sampleLine('swap', `line-${order}`, order),
  version: 1,
  ...more,
})
const swap = (id: string, lines: Line[]): SwapWithLines => ({
  swap: {
    id,
    name: `Swap ${id}`,
    stageId: 's',
    order: 0,
    workTime: null,
    cost: null,
    note: '',
    version: 1,
  } satisfies Swap,
  lines,
  counted: countedLines(lines),
})

describe('rowsOf', () => {
  const swaps = [
    swap('a', [
      line(0, { name: 'Bonnet', mass: 19 }),
      line(1, { name: 'Hinge', mass: 0.4, quantity: 2, grade: 'guess' }),
    ]),
    swap('b', [line(2, { name: 'Loom', system: 'wiring', mass: 25 })]),
  ]
  const names = (rows: ReturnType<typeof rowsOf>) =>
    rows.map((r) => (r.type === 'swap' ? `[${r.id}]` : r.type === 'line' ? r.line.name : 'entry'))

  it('lists each swap with its lines, and the entry row under the swap it belongs to', () => {
    expect(names(rowsOf(swaps, '', 'order', 'a'))).toEqual(['[a]', 'Bonnet', 'Hinge', 'entry', '[b]', 'Loom'])
  })
  it('filters by part, system, way and grade, all words together, and leaves empty swaps out', () => {
    expect(names(rowsOf(swaps, 'wiring', 'order', null))).toEqual(['[b]', 'Loom'])
    expect(names(rowsOf(swaps, 'body guess', 'order', null))).toEqual(['[a]', 'Hinge'])
    expect(names(rowsOf(swaps, 'nothing like it', 'order', null))).toEqual([])
  })
  it('sorts within the swap', () => {
    expect(names(rowsOf(swaps, '', 'mass', null))).toEqual(['[a]', 'Bonnet', 'Hinge', '[b]', 'Loom'])
    expect(names(rowsOf(swaps, '', 'grade', null)).slice(0, 3)).toEqual(['[a]', 'Hinge', 'Bonnet'])
    expect(names(rowsOf(swaps, '', 'name', null))[1]).toBe('Bonnet')
  })
})

describe('cells', () => {
  it.each([
    ['mass', '56 lb', { mass: 56 * 0.45359237, weighing: null }],
    ['quantity', '4', { quantity: 4 }],
    ['name', '  Bonnet ', { name: 'Bonnet' }],
    ['kind', 'carried', { kind: 'carried' }],
    ['fitted', 'no', { fitted: false }],
    ['position', '1200 0 300', { position: { x: 1.2, y: 0, z: 0.3 }, movedTo: null }],
    ['position', '', { position: null, movedTo: null }],
    [
      'position',
      '0 0 300 > 1000 0 300',
      { position: { x: 0, y: 0, z: 0.3 }, movedTo: { x: 1, y: 0, z: 0.3 } },
    ],
  ] as const)('%s: %j', (column, text, patch) => {
    const read = readCell(column, text, units)
    expect('patch' in read && read.patch).toEqual(patch)
  })
  it.each([
    ['mass', '-2', /below zero/],
    ['mass', '2 psi', /pressure/],
    ['mass', '', /Nothing typed/],
    ['quantity', '1.5', /whole number/],
    ['quantity', '0', /1 or more/],
    ['name', ' ', /name/],
    ['position', '12', /three lengths/],
    ['position', '1 2 3 > 4', /three lengths/],
  ] as const)('%s refuses %j', (column, text, message) => {
    const read = readCell(column, text, units)
    expect('problem' in read && read.problem).toMatch(message)
  })
  it('starts an editor with text that reads back to the same line', () => {
    const full = line(3, {
      mass: 1234.5,
      position: { x: 1.2, y: -0.3, z: 0.45 },
      movedTo: { x: 2, y: 0, z: 0.4 },
    })
    for (const column of [
      'mass',
      'quantity',
      'name',
      'position',
      'kind',
      'system',
      'grade',
      'fitted',
    ] as const) {
      const read = readCell(column, textOf(full, column, units), units)
      expect('patch' in read ? { ...full, ...read.patch } : read, column).toEqual(full)
    }
    expect(placeText(full, units.length)).toBe('1200 -300 450 > 2000 0 400')
  })
})

describe('massDoubt', () => {
  it('asks in words, and offers the other readings of the same figure', () => {
    const doubt = massDoubt({ mass: 900, system: 'body' }, units.mass)!
    expect(doubt.question).toBe('900.0 kg is a lot for one piece of body. Did you mean g?')
    expect(doubt.instead).toEqual([{ words: '900 g', mass: 0.9 }])
  })
  it('is silent about what is likely', () =>
    expect(massDoubt({ mass: 20, system: 'body' }, units.mass)).toBeNull())
})
