import { type BuildDocument, type Line } from '@bold-ballast/contract'
import { ledgerIndex } from '@bold-ballast/model'
import { sampleLine } from '@bold-ballast/contract/sampleBuild'
import { describe, expect, it } from 'vitest'
import { historyOf, sourcesFor } from './partHistory'

const stage = (id: string, order: number) => ({ id, name: `Stage ${id}`, order })
const swap = (id: string, stageId: string) => ({ id, stageId, name: id, order: 0 })
const line = (id: string, swapId: string, more: Partial<Line>): Line => ({
  ...sampleLine(swapId, id),
  version: 1,
  ...more,
})
const seatOff = line('off', 'one', { name: 'Seat', kind: 'off', fate: 'stored' })
const dashOff = line('dash', 'one', { name: 'Dash', kind: 'off', order: 1 })
const seatOn = line('on', 'two', { name: 'Seat', kind: 'on', fromLine: 'off' })
const seatSold = line('sold', 'three', {
  name: 'Seat',
  kind: 'off',
  fromLine: 'on',
  fate: 'sold',
  fitted: false,
})
const view = {
  build: { doubts: null },
  stages: [stage('A', 0), stage('B', 1), stage('C', 2)],
  swaps: [swap('one', 'A'), swap('two', 'B'), swap('three', 'C')],
  lines: [seatOff, dashOff, seatOn, seatSold],
} as unknown as BuildDocument
const ledger = ledgerIndex(view)

describe('sourcesFor', () => {
  it('offers what came off to what goes on, the same name first', () =>
    expect(sourcesFor(seatOn, ledger).map((s) => s.line.id)).toEqual(['off', 'dash']))
  it('offers what went on to what comes off, and nothing that comes later', () => {
    expect(sourcesFor(seatSold, ledger).map((s) => s.line.id)).toEqual(['on'])
    expect(sourcesFor(seatOff, ledger)).toEqual([])
  })
})

describe('historyOf', () => {
  it('tells the whole chain from any link of it, oldest first', () => {
    const told = (of: Line) => historyOf(of, view, ledger).map((step) => step.says)
    expect(told(seatOn)).toEqual([
      'Seat: off in Stage A, stored',
      'Seat: on in Stage B',
      'Seat: off in Stage C, sold, not done yet',
    ])
    expect(told(seatOff)).toEqual(told(seatSold))
  })
  it('ends where a line is gone, and never runs in circles', () => {
    const orphan = line('o', 'two', { fromLine: 'nobody' })
    expect(historyOf(orphan, view, ledger)).toHaveLength(1)
    const round = { ...seatOff, fromLine: 'sold' }
    expect(historyOf(round, { ...view, lines: [round, seatOn, seatSold] }, ledger)).toHaveLength(3)
  })
})
