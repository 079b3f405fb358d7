import type { Build, DynoDay, Pull } from '@bold-ballast/contract'
import { sampleDynoDay, samplePull } from '@bold-ballast/contract/sampleBuild'
import { pulledPower, randomBits, type StageSummary } from '@bold-ballast/core'
import { describe, expect, it } from 'vitest'
import { bridgeOfSides, compareSides, sidesOf } from '../dyno/compareSides'
import { bridgedDynos } from './dynosBetween'
import { gainPowers } from './gainPowers'

/**
 * Worlds in which nothing was changed, drawn and then looked at as somebody would who knows only the pulls: dynos are off by
 * 3 % each, their days by 1 %, pulls by 0.5 %. Called real should be 3 to 7 of a hundred, and what is said to lie within an
 * interval nine times of ten should lie there.
 */
const bits = randomBits(3_600)
const uniform = () => ((bits() >>> 0) + 0.5) / 4294967296
const normal = () => Math.sqrt(-2 * Math.log(uniform())) * Math.cos(2 * Math.PI * uniform())
const stored = <T extends object>(record: T) => ({ ...record, version: 1 })

/** A day on a dyno with its pulls: what was on the car, and how many pulls. */
interface Planned {
  readonly dyno: string
  readonly date: string
  readonly pulls: Readonly<Record<string, number>>
}
const POWER = 300e3
const NINE_OF_TEN = 1.645

/** What was pulled in a drawn world. */
function drawn(plan: readonly Planned[], gain: number) {
  const dynos = new Map<string, number>()
  const days: DynoDay[] = []
  const pulls: Pull[] = []
  const offs = new Map<string, number>()
  for (const { dyno, date, pulls: wanted } of plan) {
    const own = dynos.get(dyno) ?? 0.03 * normal()
    dynos.set(dyno, own)
    const off = offs.get(dyno + date) ?? 0.01 * normal()
    offs.set(dyno + date, off)
    const id = `${dyno} ${date}`
    days.push(stored({ ...sampleDynoDay('s', id), dyno, date, repeatability: 0.005 }))
    for (const [configuration, count] of Object.entries(wanted))
      for (let i = 0; i < count; i += 1) {
        const power = (POWER + (configuration === 'long' ? gain : 0)) * (1 + own) * (1 + off)
        const pull = samplePull(id, `${id} ${configuration} ${i}`, i)
        pulls.push(
          stored({ ...pull, configuration, peakPower: power * (1 + 0.005 * normal()), peakTorque: null }),
        )
      }
  }
  return { days, pulls }
}

/** Two dynos, bridged on days of their own, on the first one's day, by the very pulls before; and dynos that share a date. */
const BRIDGED: readonly (readonly [string, readonly Planned[], readonly [string, string] | null])[] = [
  [
    'one dyno, two days',
    [
      { dyno: 'A', date: '2026-05-01', pulls: { stock: 3 } },
      { dyno: 'A', date: '2026-05-02', pulls: { long: 3 } },
    ],
    null,
  ],
  [
    'two dynos, bridged on two other days',
    [
      { dyno: 'A', date: '2026-05-01', pulls: { stock: 3 } },
      { dyno: 'B', date: '2026-05-02', pulls: { long: 3 } },
      { dyno: 'A', date: '2026-05-03', pulls: { bridge: 3 } },
      { dyno: 'B', date: '2026-05-04', pulls: { bridge: 3 } },
    ],
    ['A 2026-05-03', 'B 2026-05-04'],
  ],
  [
    'bridged on the first dyno’s day',
    [
      { dyno: 'A', date: '2026-05-01', pulls: { stock: 3, bridge: 3 } },
      { dyno: 'B', date: '2026-05-02', pulls: { long: 3 } },
      { dyno: 'B', date: '2026-05-04', pulls: { bridge: 3 } },
    ],
    ['A 2026-05-01', 'B 2026-05-04'],
  ],
  [
    'bridged by the pulls before themselves',
    [
      { dyno: 'A', date: '2026-05-01', pulls: { stock: 3 } },
      { dyno: 'B', date: '2026-05-02', pulls: { long: 3 } },
      { dyno: 'B', date: '2026-05-04', pulls: { stock: 3 } },
    ],
    ['A 2026-05-01', 'B 2026-05-04'],
  ],
  [
    'two dynos on one date, bridged on another',
    [
      { dyno: 'A', date: '2026-05-01', pulls: { stock: 3 } },
      { dyno: 'B', date: '2026-05-01', pulls: { long: 3 } },
      { dyno: 'A', date: '2026-05-04', pulls: { bridge: 3 } },
      { dyno: 'B', date: '2026-05-04', pulls: { bridge: 3 } },
    ],
    ['A 2026-05-04', 'B 2026-05-04'],
  ],
]

describe.each(BRIDGED)('%s', (name, plan, bridged) => {
  const configuration = plan.some(({ pulls }) => 'bridge' in pulls) ? 'bridge' : 'stock'
  const world = (gain: number) => {
    const { days, pulls } = drawn(plan, gain)
    const bridges = bridged
      ? [
          {
            id: 'b',
            firstDayId: bridged[0],
            secondDayId: bridged[1],
            firstConfiguration: configuration,
            secondConfiguration: configuration,
            note: '',
          },
        ]
      : []
    const build = { bridges, powerBasis: 'observed' } as unknown as Build
    const view = { build, dynoDays: days, pulls, instruments: [] }
    const sides = sidesOf(view)
    const before = sides.find((s) => s.configuration === 'stock' && s.dyno === 'A')!
    const after = sides.find((s) => s.configuration === 'long')!
    const bridge = bridged ? bridgeOfSides(view, before, after, 'observed') : null
    const [row] = compareSides(before, after, 'observed', null, bridge, [])
    const power = (side: typeof before) =>
      pulledPower(
        side.pulls[0]!.day,
        side.pulls.map(({ pull }) => ({ id: pull.id, power: pull.peakPower! })),
      )
    const car = (side: typeof before) => ({
      summary: { standing: { power: power(side), powerFrom: 'dyno' } } as unknown as StageSummary,
      pulledOn: side.pulls[0]!.day,
      bridges: bridgedDynos(view),
    })
    const split = gainPowers(car(before), car(after), 'standing')
    if (split.kind !== 'found') throw new Error(split.kind)
    return { gain: row!.gain, difference: split.powers.difference }
  }
  it('calls nothing real 3 to 7 times of a hundred, and holds what it says', () => {
    const ROUNDS = 1500
    let [real, within, split] = [0, 0, 0]
    for (let i = 0; i < ROUNDS; i += 1) {
      const { gain, difference } = world(0)
      if (gain.verdict === 'real') real += 1
      if (gain.interval[0] <= 0 && gain.interval[1] >= 0) within += 1
      if (Math.abs(difference.value) <= NINE_OF_TEN * difference.sigma) split += 1
    }
    const share = (count: number) => `${((100 * count) / ROUNDS).toFixed(1)} %`
    process.stdout.write(
      `  ${name}: called real ${share(real)}, 95 % holds ${share(within)}, 90 % of the split ${share(split)}\n`,
    )
    expect(real / ROUNDS).toBeGreaterThan(0.03)
    expect(real / ROUNDS).toBeLessThan(0.07)
    expect(split / ROUNDS).toBeGreaterThan(0.87)
    expect(split / ROUNDS).toBeLessThan(0.94)
  })
  it('holds a gain of a tenth, whatever the dynos read', () => {
    const ROUNDS = 1000
    let split = 0
    for (let i = 0; i < ROUNDS; i += 1) {
      const { difference } = world(30e3)
      // What the later dyno would have read of the gain itself is off by what that dyno is off by.
      if (Math.abs(difference.value - 30e3) <= NINE_OF_TEN * difference.sigma) split += 1
    }
    process.stdout.write(`  ${name}, a tenth gained: 90 % holds ${((100 * split) / ROUNDS).toFixed(1)} %\n`)
    expect(split / ROUNDS).toBeGreaterThan(0.87)
    expect(split / ROUNDS).toBeLessThan(0.94)
  })
})
