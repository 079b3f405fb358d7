import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { known, productKnown } from '../evidence/known'
import { randomBits } from '../numeric/randomBits'
import { airAt } from './airAt'
import { bridgeDynos } from './bridgeDynos'
import { checkPull, usualLimits, type PullGears, type PullToCheck } from './checkPull'
import { compareCurves, type CurveSide } from './compareCurves'
import { crankFor, crankRange, usualLoss } from './crankRange'
import { curveFigures, meanPower, torqueAt } from './curveFigures'
import { densityAltitude } from './densityAltitude'
import { meanCurve } from './meanCurve'
import { pulledPower } from './pulledPower'
import { usedBand } from './usedBand'

const rpm = (n: number) => (n * Math.PI) / 30
const curve = (torques: number[], from = 2000, step = 500) =>
  torques.map((torque, i) => ({ speed: rpm(from + i * step), torque }))

describe('airAt', () => {
  const air = (time: string | null, temperature: number) => ({
    time,
    temperature,
    pressure: 1e5,
    humidity: 0.5,
  })
  it('goes evenly from reading to reading and holds the first and last', () => {
    const day = [air('12:00', 300), air('10:00', 290)]
    expect(airAt(day, '10:30')!.temperature).toBeCloseTo(292.5)
    expect(airAt(day, '08:00')!.temperature).toBe(290)
    expect(airAt(day, '17:45')!.temperature).toBe(300)
    expect(airAt(day, '12:00')!.temperature).toBe(300)
  })
  it('averages where nobody noted a time, and knows nothing without a reading', () => {
    expect(airAt([air(null, 290), air(null, 300)], '11:00')!.temperature).toBe(295)
    expect(airAt([air('10:00', 290), air('11:00', 294)], null)!.temperature).toBe(292)
    expect(airAt([], '10:00')).toBeNull()
  })
})

describe('densityAltitude', () => {
  // Heights, temperatures and pressures of the standard atmosphere, ISO 2533: dry air.
  it.each([
    [0, 288.15, 101_325],
    [1000, 281.65, 89_874.6],
    [2000, 275.15, 79_495.2],
    [3000, 268.65, 70_108.5],
  ])('is %d m in the standard air of that height', (height, temperature, pressure) =>
    expect(densityAltitude({ temperature, pressure, humidity: 0 })).toBeCloseTo(height, -1),
  )
  it('rises by about 36 m a degree at sea level (120 ft, common practice) and with humidity', () => {
    const at = (celsius: number, humidity = 0) =>
      densityAltitude({ temperature: celsius + 273.15, pressure: 101_325, humidity })
    expect(at(25) / 10).toBeGreaterThan(33)
    expect(at(25) / 10).toBeLessThan(37)
    expect(at(30, 0.9)).toBeGreaterThan(at(30, 0.1))
  })
})

describe('figures of a curve', () => {
  const flat = curve([200, 200, 200, 200])
  it('means power over a band: 200 N·m from 2,000 to 3,500 rpm is 57.6 kW', () => {
    expect(meanPower(flat, [rpm(2000), rpm(3500)])).toBeCloseTo(200 * rpm(2750), 6)
    expect(meanPower(flat, [rpm(2100), rpm(2300)])).toBeCloseTo(200 * rpm(2200), 6)
    expect(meanPower(flat, [rpm(1500), rpm(3000)])).toBeNull()
    expect(torqueAt(flat, rpm(2250))).toBe(200)
  })
  it('finds the 90 % band between points', () => {
    // Power 100, 200, 300 … by torque falling as speed rises: constant torque, so power is linear in speed.
    const { band90, power, arrival, arrivalFrom } = curveFigures(curve([100, 100, 100, 100, 100, 100, 100]))
    expect(power.speed).toBeCloseTo(rpm(5000))
    expect(band90[0]).toBeCloseTo(rpm(4500), 6)
    expect(band90[1]).toBeCloseTo(rpm(5000), 6)
    expect([arrival, arrivalFrom]).toEqual([rpm(2000), 'torque'])
  })
  it('takes the arrival of boost from boost where it was logged', () => {
    const boost = [5e3, 40e3, 110e3, 120e3]
    expect(curveFigures(flat, boost)).toMatchObject({ arrivalFrom: 'boost', arrival: rpm(3000) })
    expect(curveFigures(flat, [0, 1e3, 2e3, 0]).arrivalFrom).toBe('torque')
  })
  it('splits at will: the mean of two halves is the whole', () => {
    const torques = fc.array(fc.double({ min: 50, max: 400, noNaN: true }), { minLength: 4, maxLength: 12 })
    fc.assert(
      fc.property(torques, fc.double({ min: 0.1, max: 0.9, noNaN: true }), (list, share) => {
        const c = curve(list)
        const [a, b] = [c[0]!.speed, c.at(-1)!.speed]
        // On a point of the curve, so that both halves see the same straight pieces.
        const cut = c[Math.max(1, Math.floor(share * (c.length - 1)))]!.speed
        const halves = meanPower(c, [a, cut])! * (cut - a) + meanPower(c, [cut, b] as const)! * (b - cut)
        if (cut < b) expect(halves / (b - a)).toBeCloseTo(meanPower(c, [a, b])!, 3)
      }),
    )
  })
})

describe('meanCurve', () => {
  it('is the mean where all pulls cover, and nothing elsewhere', () => {
    const short = curve([220, 240], 2500)
    expect(meanCurve([curve([200, 200, 200, 200]), short]).map((p) => p.torque)).toEqual([210, 220])
    expect(meanCurve([short, curve([100, 100], 8000)])).toEqual([])
    expect(meanCurve([])).toEqual([])
  })
})

describe('usedBand', () => {
  it('lands at 5,141 rpm from 7,000 with 1.77 to 1.30', () => {
    const { after, band } = usedBand([1.77, 1.3, 1.1], rpm(7000))
    expect((after[0]! * 30) / Math.PI).toBeCloseTo(5141, 0)
    expect(band).toEqual([after[0], rpm(7000)])
  })
  it('refuses gears out of order', () => expect(() => usedBand([1.3, 1.77], 700)).toThrow('taller'))
})

/** Curves of one day off a dyno that repeats to so much. */
const sideOf = (curves: CurveSide['curves'], scatter: number, more: Partial<CurveSide> = {}): CurveSide => ({
  curves,
  doubts: curves.map(() => ({ scatter })),
  ...more,
})

describe('compareCurves', () => {
  const base = curve([180, 200, 210, 205, 190, 170])
  const times = (by: number) => base.map((p) => ({ ...p, torque: p.torque * by }))
  it('gives the difference with a band from the repeats', () => {
    const d = compareCurves(
      sideOf([times(0.99), base, times(1.01)], 0.015),
      sideOf([times(1.03), times(1.04), times(1.05)], 0.015),
      rpm(250),
    )
    expect(d.from).toBe('repeats')
    expect(d.difference[0]! / d.before[0]!).toBeCloseTo(0.04, 9)
    // Spread 1 %, three a side, four degrees of freedom: 2.776 · 1 % · √(1/3 + 1.04²/3).
    const spread = Math.sqrt((2 * 0.01 ** 2 + 2 * (0.01 / 1.04) ** 2) / 4)
    expect(d.half[0]! / d.before[0]!).toBeCloseTo(2.776 * spread * Math.sqrt((1 + 1.04 ** 2) / 3), 4)
  })
  it('falls back on the stated repeatability, one pull against one', () => {
    const d = compareCurves(sideOf([base], 0.015), sideOf([times(1.02)], 0.015), rpm(250))
    expect(d.from).toBe('repeatability')
    expect(d.half[0]!).toBeGreaterThan(d.difference[0]!)
  })
  it('takes the pooled spread where one side has a single pull', () => {
    const d = compareCurves(
      sideOf([times(0.99), base, times(1.01)], 0.3),
      sideOf([times(1.04)], 0.3),
      rpm(250),
    )
    expect(d.from).toBe('repeats')
    expect(d.half[0]! / d.before[0]!).toBeCloseTo(4.303 * 0.01 * Math.sqrt(1 / 3 + 1.04 ** 2), 3)
  })
  it('compares only what both cover, and carries a bridge’s doubt', () => {
    const short = base.slice(2)
    const plain = compareCurves(sideOf([base], 0.01), sideOf([short], 0.01), rpm(250))
    expect(plain.speeds[0]).toBeCloseTo(rpm(3000))
    const bridged = compareCurves(
      sideOf([base], 0.01, { scale: 0.95, doubts: [{ scatter: 0.01, shared: { bridge: 0.02 } }] }),
      sideOf([short], 0.01),
      rpm(250),
    )
    expect(bridged.before[0]! / plain.before[0]!).toBeCloseTo(0.95)
    expect(bridged.half[0]!).toBeGreaterThan(plain.half[0]!)
    expect(compareCurves(sideOf([base], 0.01), sideOf([curve([100, 100], 8000)], 0.01), 10).speeds).toEqual(
      [],
    )
  })
})

describe('the band along the revs', () => {
  const bits = randomBits(77)
  const uniform = () => ((bits() >>> 0) + 0.5) / 4294967296
  const normal = () => Math.sqrt(-2 * Math.log(uniform())) * Math.cos(2 * Math.PI * uniform())
  /** A pull that is strong or weak as a whole, and wobbles from place to place. */
  const pulled = (off: number, whole: number, local: number, reach: number) => {
    const by = off + whole * normal()
    let wobble = normal()
    return Array.from({ length: 51 }, (_, i) => {
      wobble = reach * wobble + Math.sqrt(1 - reach ** 2) * normal()
      const n = 2000 + i * 100
      const torque = 200 + 60 * Math.exp(-(((n - 4600) / 1700) ** 2))
      return { speed: rpm(n), torque: torque * (1 + by + local * wobble) }
    })
  }
  it.each([
    ['strong or weak as a whole', 0.008, 0, 0, 3, 3, 0],
    ['with wobble that lasts some hundred rpm', 0.006, 0.006, 0.7, 3, 3, 0],
    ['with nothing but local wobble', 0, 0.01, 0.3, 3, 4, 0],
    ['with wobble, and days off by 1 %', 0.004, 0.004, 0.6, 4, 4, 0.01],
  ] as const)(
    'holds 93 to 97 times of a hundred %s',
    (name, whole, local, reach, a, b, between) => {
      const ROUNDS = 500
      let [held, all] = [0, 0]
      for (let i = 0; i < ROUNDS; i += 1) {
        const offs = [between * normal(), between * normal()]
        const side = (count: number, day: 0 | 1) =>
          Array.from({ length: count }, () => pulled(offs[day]!, whole, local, reach))
        const on = (count: number, day: 0 | 1) => {
          const name = day === 0 ? 'mon' : 'tue'
          const doubt = { scatter: 0.01, day: name, shared: { [name]: between } }
          return sideOf(side(count, day), 0.01, { doubts: Array.from({ length: count }, () => doubt) })
        }
        const d = compareCurves(on(a, 0), on(b, 1), rpm(100))
        d.difference.forEach((v, k) => {
          all += 1
          if (Math.abs(v) <= d.half[k]!) held += 1
        })
      }
      process.stdout.write(`  band along the revs ${name}: held ${((held / all) * 100).toFixed(1)} %\n`)
      expect(held / all).toBeGreaterThan(0.93)
      expect(held / all).toBeLessThan(0.97)
    },
    30_000,
  )
})

describe('bridgeDynos', () => {
  const hubs = { dyno: 'Hubs', kind: 'hub', date: '2026-05-02', repeatability: 0.01, ownError: 0.03 }
  const rollers = { ...hubs, dyno: 'Rollers', repeatability: 0.02 }
  const of = (id: string, power: number) => ({ id, power })
  const first = pulledPower(hubs, [of('a', 200e3), of('b', 200e3)])
  const second = pulledPower(rollers, [of('c', 190e3)])
  it('is the ratio of the means with all of their doubts', () => {
    const bridge = bridgeDynos(first, second)
    expect(bridge.value).toBeCloseTo(0.95)
    // Two dynos of 3 %, two days of 1 %, two pulls of 1 % and one of 2 %.
    const each = Math.hypot(0.03, 0.03, 0.01, 0.01, 0.01 / Math.SQRT2, 0.02)
    expect(bridge.sigma / bridge.value).toBeCloseTo(each, 9)
  })
  it('undoes itself the other way round, exactly, and needs powers', () => {
    const [there, back] = [bridgeDynos(first, second), bridgeDynos(second, first)]
    const round = productKnown(there, back)
    expect(round.value).toBeCloseTo(1, 12)
    expect(round.sigma).toBeCloseTo(0, 12)
    expect(() => bridgeDynos({ ...first, value: 0 }, second)).toThrow(RangeError)
  })
})

describe('crankRange', () => {
  it('is a guess, and wider than the loss alone', () => {
    const range = crankRange(known(200e3, 'proven', 1000), [0.12, 0.18])
    expect(range.low).toBeCloseTo((200e3 - 1960) / 0.88, 0)
    expect(range.high).toBeCloseTo((200e3 + 1960) / 0.82, 0)
    expect(range.middle.grade).toBe('guess')
    expect(crankFor(176, [0.12, 0.2])).toEqual([200, 220])
  })
  it('is never below the power at the wheels, however doubtful that is', () => {
    const wheel = known(200e3, 'claim', 14e3)
    expect(crankRange(wheel, [0.08, 0.14]).low).toBe(200e3)
    expect(crankRange(wheel, [0, 0]).low).toBeCloseTo(200e3 - 1.96 * 14e3, -2)
  })
  it('knows that hubs lose less than rollers, and an engine dyno nothing', () => {
    for (const layout of ['front', 'rear', 'all'] as const)
      expect(usualLoss(layout, 'hub')[1]).toBeLessThan(usualLoss(layout, 'rollerLoaded')[1])
    expect(usualLoss('all', 'engine')).toEqual([0, 0])
  })
  it('refuses a loss that is none', () =>
    expect(() => crankRange(known(1, 'measured'), [0.3, 0.2])).toThrow(RangeError))
})

describe('checkPull', () => {
  const none: PullGears = { limiter: null, overall: null, overalls: [], rollingRadius: null }
  const points = curve([180, 210, 220, 225, 220, 210, 200, 190, 185])
  const clean: PullToCheck = {
    points,
    channels: null,
    peakPower: null,
    peakPowerSpeed: null,
    peakTorque: null,
    peakTorqueSpeed: null,
  }
  const limits = usualLimits(true)
  const kinds = (more: Partial<PullToCheck>, gears: Partial<PullGears> = {}) =>
    checkPull({ ...clean, ...more }, limits, { ...none, ...gears })
  const all = (value: number) => points.map(() => value)

  it('finds nothing wrong with a good pull', () =>
    expect(
      kinds(
        { channels: { lambda: all(0.8), oilPressure: all(5.2e5), coolant: all(360) } },
        { limiter: rpm(6600) },
      ),
    ).toEqual([]))
  it('says that a peak at the limiter is no peak', () => {
    expect(kinds({}, { limiter: rpm(6000) })[0]).toMatchObject({ kind: 'limiter' })
    expect(
      kinds({ points: null, peakPower: 1e5, peakPowerSpeed: rpm(7100) }, { limiter: rpm(7000) })[0]!.says,
    ).toMatch(/at or after the limiter \(7,000 rpm\)/)
  })
  it('names the rpm where the mixture goes lean or rich', () => {
    const lambda = points.map((_, i) => (i >= 6 ? 0.97 + i / 1000 : 0.8))
    const [fault] = kinds({ channels: { lambda } })
    expect(fault).toMatchObject({ kind: 'lambda', speed: rpm(5000) })
    expect(fault!.says).toMatch(/too lean from 5,000 rpm: λ 0.98 at 6,000 rpm, 0.90/)
    expect(kinds({ channels: { lambda: all(0.62) } })[0]!.says).toMatch(/too rich/)
  })
  it('names the rpm where oil pressure falls short, and cold coolant', () => {
    const oilPressure = points.map((p) => (p.speed > rpm(5200) ? 2.4e5 : 5e5))
    expect(kinds({ channels: { oilPressure } })[0]).toMatchObject({ kind: 'oil', speed: rpm(5500) })
    expect(kinds({ channels: { coolant: all(325) } })[0]!.says).toMatch(
      /never warmed up: 52 °C at most, 70 °C/,
    )
  })
  it('finds the gear that the speeds fit', () => {
    const roadSpeed = points.map((p) => (p.speed * 0.3) / 5.6)
    const gears = {
      overall: 4.1,
      rollingRadius: 0.3,
      overalls: [
        { name: 'third', ratio: 5.6 },
        { name: 'fourth', ratio: 4.1 },
      ],
    }
    expect(kinds({ channels: { roadSpeed } }, gears)[0]!.says).toMatch(
      /5.60 to 1; the gear of this day is 4.10. It was third/,
    )
  })
  it('takes 2,300 N·m for torque at the hubs', () => {
    const hubs = points.map((p) => ({ ...p, torque: p.torque * 10.2 }))
    expect(kinds({ points: hubs }, { overall: 10.2 })[0]).toMatchObject({ kind: 'hubTorque' })
  })
  it('explains typed peaks that contradict each other by the unit', () => {
    const typed = {
      points: null,
      peakPower: 100e3,
      peakPowerSpeed: rpm(6500),
      peakTorque: 165,
      peakTorqueSpeed: rpm(4500),
    }
    expect(kinds(typed)).toEqual([])
    const inPounds = { ...typed, peakTorque: 165 / 1.35582 }
    expect(kinds(inPounds)[0]!.says).toMatch(/lb·ft taken for N·m/)
    const atHubs = { ...typed, peakTorque: 165 * 4.1 }
    expect(kinds(atHubs, { overalls: [{ name: 'fourth', ratio: 4.1 }] })[0]!.says).toMatch(
      /hubs behind fourth/,
    )
  })
})
