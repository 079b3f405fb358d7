import type { Build, DynoDay, Pull } from '@bold-ballast/contract'
import { sampleDynoDay, samplePull } from '@bold-ballast/contract/sampleBuild'
import { named } from '@bold-ballast/core'
import { describe, expect, it } from 'vitest'
import { bridgeOfSides, compareSides, sidesOf } from './compareSides'

const stored = <T extends object>(record: T) => ({ ...record, version: 1 })
const hubs: DynoDay = stored({ ...sampleDynoDay('s', 'hubs'), dyno: 'Hubs', repeatability: 0.01 })
const rollers: DynoDay = stored({
  ...sampleDynoDay('s', 'rollers'),
  dyno: 'Rollers',
  kind: 'rollerLoaded' as const,
  repeatability: 0.02,
  date: '2026-06-01',
})
const pulls = (day: string, configuration: string, kilowatts: number[]): Pull[] =>
  kilowatts.map((kW, i) =>
    stored({
      ...samplePull(day, `${day} ${configuration} ${i}`, i),
      configuration,
      peakPower: kW * 1000,
      peakTorque: null,
    }),
  )
const view = (all: Pull[], bridges: Build['bridges'] = []) => ({
  build: { bridges } as unknown as Build,
  dynoDays: [hubs, rollers],
  pulls: all,
  instruments: [],
})

describe('sidesOf', () => {
  it('groups pulls by configuration and dyno, and takes the name for one without', () => {
    const all = [
      ...pulls('hubs', 'long', [100, 101]),
      ...pulls('rollers', 'long', [94]),
      ...pulls('hubs', '', [90]),
    ]
    const sides = sidesOf(view(all))
    expect(sides.map((s) => [s.dyno, s.configuration, s.pulls.length])).toEqual([
      ['Rollers', 'long', 1],
      ['Hubs', 'long', 2],
      ['Hubs', 'Pull 0', 1],
    ])
  })
})

describe('compareSides', () => {
  const all = [
    ...pulls('hubs', 'stock', [100, 101, 99]),
    ...pulls('hubs', 'long', [105, 106, 104]),
    ...pulls('rollers', 'stock', [95, 96]),
    ...pulls('rollers', 'wing', [97, 97.5]),
  ]
  const side = (dyno: string, configuration: string) =>
    sidesOf(view(all)).find((s) => s.dyno === dyno && s.configuration === configuration)!

  it('says what is real, and leaves out what no pull can say', () => {
    const rows = compareSides(side('Hubs', 'stock'), side('Hubs', 'long'), 'observed', null, null, [])
    expect(rows.map((r) => r.measure)).toEqual(['peakPower'])
    expect(rows[0]!.gain.verdict).toBe('real')
    expect(rows[0]!.gain.difference).toBeCloseTo(5000, 6)
  })
  it('has no bridge between two dynos unless somebody built one', () => {
    expect(bridgeOfSides(view(all), side('Hubs', 'stock'), side('Rollers', 'wing'), 'observed')).toBeNull()
    const bridge = {
      id: 'b',
      firstDayId: 'hubs',
      secondDayId: 'rollers',
      firstConfiguration: 'stock',
      secondConfiguration: 'stock',
      note: '',
    }
    const there = bridgeOfSides(
      view(all, [bridge]),
      side('Hubs', 'long'),
      side('Rollers', 'wing'),
      'observed',
    )!
    expect(there.value).toBeCloseTo(0.955, 3)
    const back = bridgeOfSides(
      view(all, [bridge]),
      side('Rollers', 'wing'),
      side('Hubs', 'long'),
      'observed',
    )!
    expect(there.value * back.value).toBeCloseTo(1, 9)
    const gone = { ...bridge, firstConfiguration: 'sold' }
    expect(
      bridgeOfSides(view(all, [gone]), side('Hubs', 'long'), side('Rollers', 'wing'), 'observed'),
    ).toBeNull()
  })
  it('carries the bridge’s doubt into the verdict', () => {
    const far = named(0.955, 'measured', { bridge: 0.02 * 0.955 })
    const [row] = compareSides(side('Hubs', 'long'), side('Rollers', 'wing'), 'observed', null, far, [])
    expect(row!.before).toBeCloseTo(105_000 * 0.955, 0)
    expect(row!.gain).toMatchObject({ verdict: 'notShown', moreNeeded: null })
    expect(row!.gain.interval[1] - row!.gain.interval[0]).toBeGreaterThan(2 * 1.96 * 0.02 * 100_000 * 0.95)
  })
})
