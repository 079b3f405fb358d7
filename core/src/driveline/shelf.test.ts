import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { axleReactions } from './axleReactions'
import type { GearingFigures } from './compareGearings'
import { axleGrip, type DrivenAxle } from './axleGrip'
import { tractiveForce, type Gearing } from './gearing'
import { lapInGears } from './lapInGears'
import { ratingOnFuel } from './ratingOnFuel'
import { ratiosFrom } from './ratiosFrom'
import { candidatesOf, rankGearings } from './shelf'

const rpm = (n: number) => (n * Math.PI) / 30
const gearing: Gearing = {
  ratios: [3, 2, 1.4, 1],
  finalDrive: 4,
  between: 1,
  rollingRadius: 0.3,
  growth: 0,
  limiter: rpm(7000),
}

describe('ratiosFrom', () => {
  it.each([
    ['4.10, 4.44', [4.1, 4.44]],
    ['4,10 4,44', [4.1, 4.44]],
    ['41/10', [4.1]],
    ['41:10; 43/10', [4.1, 4.3]],
    ['4.1:1', [4.1]],
    ['3.2,1.9,1.3', [3.2, 1.9, 1.3]],
    ['3,2; 1,9; 1', [3.2, 1.9, 1]],
  ])('reads %s', (text, is) => {
    const read = ratiosFrom(text)
    expect(read).toHaveLength(is.length)
    ;(read as number[]).forEach((r, i) => expect(r).toBeCloseTo(is[i]!, 9))
  })
  it.each(['', '  ', 'four', '4.1/', '41/0', '-4', '400', '4.1 x 2'])(
    'refuses “%s” and says what would do',
    (text) => expect(ratiosFrom(text)).toMatchObject({ problem: expect.stringContaining('41/10') }),
  )
})

describe('lapInGears', () => {
  const band = { threshold: rpm(4000), shiftSpeed: rpm(7000) }
  // In metres a second at 7,000 rpm: 18.3, 27.5, 39.3, 55.0.
  const upAndDown = [
    { time: 0, speed: 20 },
    { time: 10, speed: 50 },
    { time: 20, speed: 20 },
  ]
  it('counts by hand: second at 20 m/s, fourth at 50, and back', () => {
    const lap = lapInGears(gearing, band, upAndDown)
    expect(lap.shifts).toBe(4)
    expect(lap.inGear[0]).toBe(0)
    expect(lap.inBand + lap.offBoil + lap.onLimiter).toBeCloseTo(1, 9)
  })
  it('stays on the limiter in the last gear, off the boil where the next gear down is over', () => {
    const steady = (speed: number) => [
      { time: 0, speed },
      { time: 30, speed },
    ]
    expect(lapInGears(gearing, band, steady(60)).onLimiter).toBeCloseTo(1)
    const wide = { ...gearing, ratios: [3, 1] }
    // 20 m/s: 7,639 rpm in first, 2,546 in the next.
    expect(lapInGears(wide, band, steady(20))).toMatchObject({ offBoil: expect.closeTo(1, 9), shifts: 0 })
  })
  it('neither invents nor loses time, whatever the speeds', () => {
    const speeds = fc.array(fc.double({ min: 1, max: 90, noNaN: true }), { minLength: 2, maxLength: 20 })
    fc.assert(
      fc.property(speeds, (list) => {
        const lap = lapInGears(
          gearing,
          band,
          list.map((speed, i) => ({ time: i * 3, speed })),
        )
        expect(lap.inGear.reduce((a, b) => a + b, 0)).toBeCloseTo(1, 9)
        expect(lap.inBand + lap.offBoil + lap.onLimiter).toBeCloseTo(1, 9)
        expect(lap.shifts).toBeGreaterThanOrEqual(0)
      }),
    )
  })
  it('refuses a lap that goes back in time, or is a point', () => {
    expect(() => lapInGears(gearing, band, upAndDown.slice(0, 1))).toThrow('two or more')
    expect(() => lapInGears(gearing, band, [...upAndDown].reverse())).toThrow('rise')
  })
})

describe('ratingOnFuel', () => {
  // Handbook 4: petrol 0.745 kg/l at 43.4 MJ/kg, E85 29.2 MJ/kg and 0.7824 kg/l.
  it('takes an injector’s power down by the heat in a litre', () =>
    expect(ratingOnFuel(300e3, 'fuel', { stated: 0, burnt: 0.85 })).toBeCloseTo(
      (300e3 * 782.4 * 29.18) / (745 * 43.4),
      -3,
    ))
  it('hardly moves a turbo’s, and gives each fuel its own back', () => {
    expect(ratingOnFuel(300e3, 'air', { stated: 0, burnt: 0.85 }) / 300e3).toBeCloseTo(1.008, 2)
    for (const flow of ['fuel', 'air'] as const)
      expect(ratingOnFuel(250e3, flow, { stated: 0.4, burnt: 0.4 })).toBeCloseTo(250e3, 6)
  })
})

describe('axleReactions', () => {
  const all: DrivenAxle = {
    mass: 1200,
    share: 0.4,
    lever: 0.2,
    driven: 'all',
    grip: 1.2,
    downforceArea: 1.5,
    airDensity: 1.2,
  }
  it('of both axles together are what the whole car can react', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 80, noNaN: true }), (v) => {
        const { front, rear } = axleReactions(all, v)
        expect(front! + rear!).toBeCloseTo(axleGrip(all, v), 6)
      }),
    )
  })
  it('of one driven axle is its grip', () =>
    expect(axleReactions({ ...all, driven: 'rear' }, 30)).toEqual({
      rear: axleGrip({ ...all, driven: 'rear' }, 30),
    }))
})

describe('a shelf', () => {
  const empty = { gearboxes: [], finalDrives: [], between: [], tyres: [] }
  it('makes every combination once, the fitted one first', () => {
    const shelf = {
      ...empty,
      gearboxes: [{ name: 'close', ratios: [2.6, 1.9, 1.4, 1.1] }],
      finalDrives: [
        { name: '4.00 again', ratio: 4 },
        { name: '4.44', ratio: 4.44 },
      ],
    }
    const all = candidatesOf(gearing, shelf)
    expect(all).toHaveLength(4)
    expect(all[0]).toEqual({ parts: [], gearing })
    expect(all.at(-1)!.parts).toEqual(['close', '4.44'])
  })
  it('says so when there are too many', () =>
    expect(() =>
      candidatesOf(gearing, {
        ...empty,
        finalDrives: Array.from({ length: 600 }, (_, i) => ({ name: String(i), ratio: 3 + i / 1000 })),
      }),
    ).toThrow('601 combinations'))
  it('ranks by the figure that is asked for, with “never” last', () => {
    const tried = (more: Partial<GearingFigures>) => ({
      figures: {
        zeroToHundred: null,
        quarterMile: null,
        shifts: 0,
        topSpeed: null,
        window: null,
        speeds: [],
        lap: null,
        ...more,
      },
    })
    const [a, b, c] = [
      tried({ quarterMile: 12, topSpeed: 60 }),
      tried({ quarterMile: 11 }),
      tried({ topSpeed: 70, lap: { shifts: 8, inBand: 0.8, offBoil: 0.2, onLimiter: 0, inGear: [] } }),
    ]
    expect(rankGearings([a, b, c], 'quarterMile')).toEqual([b, a, c])
    expect(rankGearings([a, b, c], 'topSpeed')[0]).toBe(c)
    expect(rankGearings([a, c], 'shifts')[0]).toBe(c)
  })
})

describe('a final drive', () => {
  it('that is taller never raises the force at the wheel, gear by gear at the same engine speed', () => {
    const curve = [1500, 4000, 7000].map((n, i) => ({ speed: rpm(n), torque: [180, 260, 210][i]! }))
    const ratio = fc.double({ min: 2.4, max: 6, noNaN: true })
    fc.assert(
      fc.property(ratio, ratio, fc.integer({ min: 1600, max: 6900 }), (a, b, n) => {
        const force = (finalDrive: number) => {
          const g = { ...gearing, finalDrive }
          return tractiveForce(g, curve, 1, (rpm(n) * 0.3) / (2 * finalDrive))!
        }
        expect(force(Math.min(a, b))).toBeLessThanOrEqual(force(Math.max(a, b)) + 1e-6)
      }),
    )
  })
})
