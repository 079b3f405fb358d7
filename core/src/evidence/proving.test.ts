import { describe, expect, it } from 'vitest'
import { normalPair } from '../numeric/normalPair'
import { randomBits } from '../numeric/randomBits'
import type { LedgerLine } from '../mass/ledger'
import { EMPTY_FOLD, foldMass, pointsOf } from '../mass/massFold'
import { stateOf } from '../mass/massState'
import { stageWheelPower } from '../power/stageWheelPower'
import { booksBalance } from '../scales/booksBalance'
import { crossDoubt } from '../scales/crossDoubt'
import { readScales } from '../scales/readScales'
import { combineRepeats } from './combineRepeats'

const bits = randomBits(4711)
const normal = () => normalPair(bits)[0]

describe('combineRepeats', () => {
  it('calls honest repeats proven 19 times of 20, however many there are', () => {
    for (const n of [2, 3, 5, 10, 30]) {
      const ROUNDS = 3000
      let proven = 0
      for (let i = 0; i < ROUNDS; i += 1)
        if (
          combineRepeats(
            Array.from({ length: n }, () => 900 + 2 * normal()),
            2,
          ).grade === 'proven'
        )
          proven += 1
      process.stdout.write(`  ${n} honest repeats are proven ${((proven / ROUNDS) * 100).toFixed(1)} %\n`)
      expect(proven / ROUNDS).toBeGreaterThan(0.935)
      expect(proven / ROUNDS).toBeLessThan(0.965)
    }
  })
  it('catches repeats that are twice as wild as stated, the better the more there are', () => {
    const caught = (n: number) => {
      let found = 0
      for (let i = 0; i < 1500; i += 1)
        if (
          combineRepeats(
            Array.from({ length: n }, () => 900 + 4 * normal()),
            2,
          ).grade === 'measured'
        )
          found += 1
      return found / 1500
    }
    const few = caught(3)
    const many = caught(15)
    expect(many).toBeGreaterThan(few)
    expect(many).toBeGreaterThan(0.95)
  })
  it('never falls below what the instrument is off by itself', () => {
    const one = combineRepeats([900, 901, 899, 900, 900, 900], 1, 3)
    expect(one.sigma).toBeGreaterThan(3)
    expect(combineRepeats([900], 1, 3).sigma).toBeCloseTo(Math.hypot(1, 3), 12)
    expect(
      combineRepeats(
        Array.from({ length: 400 }, () => 900),
        1,
        3,
      ).sigma,
    ).toBeCloseTo(3, 3)
  })
})

describe('instruments have an error of their own', () => {
  const corners = { frontLeft: 250, frontRight: 250, rearLeft: 250, rearRight: 250 }
  const pad = { resolution: 0.1, accuracy: 0.0005 }
  it('shared by four pads: 0.1 % of the car where nobody checked them, and nothing of its shares', () => {
    const usual = readScales({ method: 'fourPads', corners }, pad)
    const checked = readScales({ method: 'fourPads', corners }, { ...pad, own: 0 })
    expect(usual.total.sigma).toBeCloseTo(Math.hypot(checked.total.sigma, 1), 9)
    expect(usual.front.sigma).toBe(checked.front.sigma)
    const bridge = readScales({ method: 'axles', front: 500, rear: 500 }, { ...pad, own: 0.002 })
    expect(bridge.total.sigma).toBeCloseTo(Math.hypot(Math.SQRT2 * 0.25, 2), 9)
  })
  it('books and scales that share nothing raise a false alarm 3 to 7 times of a hundred with pads off by 0.1 %', () => {
    const ROUNDS = 4000
    let [off, blind] = [0, 0]
    const part = (mass: number): LedgerLine => ({
      kind: 'off',
      mass,
      sigma: 0.05,
      grade: 'measured',
      quantity: 1,
      fitted: true,
      position: { x: 1, y: 0, z: 0.5 },
      movedTo: null,
      sharing: { with: 'scale bench', relative: 0.001 },
    })
    for (let i = 0; i < ROUNDS; i += 1) {
      const [pads, bench] = [1 + 0.001 * normal(), 1 + 0.001 * normal()]
      const base = 1100 + 1 * normal()
      const parts = Array.from({ length: 20 }, (_, k) => 3 + k / 2)
      const truth = 1100 - parts.reduce((a, b) => a + b, 0)
      const books = stateOf(
        foldMass(EMPTY_FOLD, [
          {
            mass: { value: base, sigma: 1, grade: 'measured' },
            sign: 1,
            position: { x: 1.1, y: 0, z: 0.5 },
            whole: true,
          },
          ...parts.flatMap((m) => pointsOf(part(m * bench + 0.05 * normal()))),
        ]),
      )
      const read = () => (truth / 4) * pads * (1 + 0.0005 * normal())
      const reading = {
        method: 'fourPads',
        corners: { frontLeft: read(), frontRight: read(), rearLeft: read(), rearRight: read() },
      } as const
      const verdict = (own: number) =>
        booksBalance(readScales(reading, { ...pad, own }).total, books.mass).verdict === 'off' ? 1 : 0
      off += verdict(0.001)
      blind += verdict(0)
    }
    process.stdout.write(
      `  books that are right are called off ${((off / ROUNDS) * 100).toFixed(1)} %, without the pads’ own error ${((blind / ROUNDS) * 100).toFixed(1)} %\n`,
    )
    expect(off / ROUNDS).toBeGreaterThan(0.03)
    expect(off / ROUNDS).toBeLessThan(0.07)
    expect(blind).toBeGreaterThan(off)
  })
  it('shared by all pulls of a dyno: 3 % of an absolute figure, and none of it beside its own pulls', () => {
    const pull = (peakPower: number, id: string) => ({
      id,
      dynoDayId: 'd',
      time: null,
      grade: 'measured' as const,
      standsForStage: true,
      points: null,
      peakPower,
    })
    const day = {
      id: 'd',
      stageId: 's',
      date: '2026-05-01',
      dyno: 'Hubs',
      kind: 'hub' as const,
      repeatability: 0.01,
      air: [],
      sheetCorrection: 'observed' as const,
    }
    const pulls = [pull(200e3, 'a'), pull(201e3, 'b'), pull(199e3, 'c')]
    const usual = stageWheelPower('s', [day], pulls, 'observed')!
    const checked = stageWheelPower('s', [{ ...day, ownError: 0.005 }], pulls, 'observed')!
    expect(usual.power.grade).toBe('proven')
    // 3 % of its own, 1 % of the day.
    expect(usual.power.sigma).toBeCloseTo(Math.hypot(2000 / Math.sqrt(3), 6000, 2000), 6)
    expect(checked.power.sigma).toBeCloseTo(Math.hypot(2000 / Math.sqrt(3), 1000, 2000), 6)
  })
})

describe('cross weight of four pads', () => {
  const corners = { frontLeft: 232, frontRight: 218, rearLeft: 204, rearRight: 226 }
  const read = (level: number | null, settled: boolean) =>
    readScales(
      { method: 'fourPads', corners },
      { resolution: 0.1, accuracy: 0.0005 },
      { setting: { level, settled }, springs: null },
    ).cross!
  it('holds the floor and the settling, and is surest on a level floor with springs at rest', () => {
    const sure = read(0.001, true)
    expect(read(null, true).sigma).toBeGreaterThan(sure.sigma)
    expect(read(0.001, false).sigma).toBeGreaterThan(sure.sigma)
    expect(sure.value).toBeCloseTo(0.4795, 4)
    // 1.9 kg for a millimetre, evenly likely, and a thousandth of friction.
    expect(crossDoubt({ level: 0.001, settled: true }, 880, null)).toBeCloseTo(
      Math.hypot(1.9 / 880 / Math.sqrt(3), 0.001),
      12,
    )
    expect(() => crossDoubt({ level: null, settled: true }, 0, null)).toThrow('mass')
  })
  it('takes the springs where they are known', () => {
    const stiff = {
      rates: { frontLeft: 80e3, frontRight: 80e3, rearLeft: 70e3, rearRight: 70e3 },
      halfTrackFront: 0.73,
      halfTrackRear: 0.72,
      toFront: 1.15,
      toRear: 1.25,
    }
    const soft = {
      ...stiff,
      rates: { frontLeft: 40e3, frontRight: 40e3, rearLeft: 35e3, rearRight: 35e3 },
    }
    const setting = { level: 0.002, settled: true }
    expect(crossDoubt(setting, 1000, stiff)).toBeGreaterThan(crossDoubt(setting, 1000, soft))
    // 1 mm at one pad moves 1.889 kg of this car's cross weight.
    expect(crossDoubt({ level: 0.001, settled: true }, 1000, soft)).toBeCloseTo(
      Math.hypot(0.001889 / Math.sqrt(3), 0.001),
      5,
    )
  })
})
