import { describe, expect, it } from 'vitest'
import { instrumentCsv, instrumentRows } from './instrumentRows'

const read = (text: string) => instrumentRows(text, 3, () => crypto.randomUUID())
const pads = {
  name: 'Yard pads',
  kind: 'pads',
  resolution: 0.5,
  repeatability: 0.0015,
  ownError: 0.001,
  betweenDays: null,
  checkedOn: '2026-04-20',
  checkedAgainst: 'Eight weights, 20 kg each',
  note: '',
} as const
const hubs = {
  ...pads,
  name: 'Hubs',
  kind: 'dyno',
  resolution: null,
  betweenDays: 0.007,
  checkedOn: null,
} as const

describe('scales and dynos as CSV', () => {
  it('come back as they went', () => {
    const text = instrumentCsv([pads, hubs].map((i) => ({ ...i, id: crypto.randomUUID(), order: 0 })))
    const { records, bad } = read(text)
    expect(bad).toEqual([])
    const rounded = (v: number | null) => v && Number(v.toPrecision(9))
    expect(
      records.map(({ id: _, order: __, ...rest }) => ({
        ...rest,
        repeatability: rounded(rest.repeatability),
        ownError: rounded(rest.ownError),
        betweenDays: rounded(rest.betweenDays),
      })),
    ).toEqual([pads, hubs])
    expect(records.map((r) => r.order)).toEqual([3, 4])
  })
  it('take what is usual where a row doesn’t say, and name each bad row', () => {
    const { records, bad } = read(
      'name,kind,step (kg)\nRollers,dyno,\nBench,part scale,0.01 kg\nWhat,thing,1\n,dyno,',
    )
    expect(records.map((r) => [r.name, r.ownError, r.betweenDays])).toEqual([
      ['Rollers', 0.03, 0.01],
      ['Bench', 0.001, null],
    ])
    expect(bad.map((b) => b.line)).toEqual([4, 5])
    expect(bad[0]!.problem).toMatch(/Choose what it is/)
  })
  it('want a step of a scale', () => {
    expect(read('name,kind\nPads,scale pads').bad[0]!.problem).toMatch(/smallest step/)
  })
})
