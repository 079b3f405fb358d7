import * as fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { normalPair } from '../numeric/normalPair'
import { randomBits } from '../numeric/randomBits'
import { changeEffect, type CountedLap } from './changeEffect'
import { lapsToShow, planError, RUN_PLANS } from './lapsToShow'

interface Stint {
  readonly plan: string
  readonly laps: number
  /** s that B is quicker by. */
  readonly worth: number
  readonly noise?: number
}
/**
 * Stints as HANDBOOK 12 simulates them: learning 1.5·e^(−n/4) s, tyres +0.04 s a lap, fuel −0.054 s a lap.
 */
function stint({ plan, laps, worth, noise = 0.35 }: Stint, bits: () => number): CountedLap[] {
  const on = [...plan].flatMap((letter) => Array.from({ length: laps }, () => letter))
  return on.map((letter, i) => {
    const n = i + 1
    const trend = 1.5 * Math.exp(-n / 4) + (0.04 - 0.054) * n
    const time = 90 + trend + noise * normalPair(bits)[0] - (letter === 'B' ? worth : 0)
    return { time, on: letter, number: n, session: 'one', fuel: null, air: null }
  })
}
/** How often something is called real that is worth nothing, and how often the 90 % interval holds what is. */
function ratesOf(plan: string, laps: number, draws = 1200) {
  const bits = randomBits(12)
  let [alarms, held, error] = [0, 0, 0]
  for (let draw = 0; draw < draws; draw += 1) {
    const nothing = changeEffect(stint({ plan, laps, worth: 0 }, bits)).changes[0]!
    if (nothing.verdict !== 'notShown') alarms += 1
    const some = changeEffect(stint({ plan, laps, worth: 0.4 }, bits)).changes[0]!
    if (some.interval[0] <= -0.4 && some.interval[1] >= -0.4) held += 1
    error += some.error
  }
  return { alarms: alarms / draws, held: held / draws, error: error / draws }
}
const base = (more: Partial<CountedLap> = {}): CountedLap => ({
  time: 90,
  on: 'A',
  number: 1,
  session: 'one',
  fuel: null,
  air: null,
  ...more,
})

describe('changeEffect', () => {
  it('calls as little real by mistake, and holds the truth as often, as the handbook’s simulated stints', () => {
    // HANDBOOK 12: A6 B6 A6 5.5 % and 89 %, error 0.20 s; A4 B4 A4 B4 4.7 % and 90 %; A6 B6 twice the error.
    const back = ratesOf('ABA', 6)
    expect(back.alarms).toBeGreaterThan(0.035)
    expect(back.alarms).toBeLessThan(0.075)
    expect(back.held).toBeGreaterThan(0.87)
    expect(back.held).toBeLessThan(0.93)
    expect(back.error).toBeCloseTo(0.2, 1)
    const twice = ratesOf('ABAB', 4)
    expect(twice.alarms).toBeLessThan(0.07)
    expect(twice.held).toBeGreaterThan(0.87)
    const once = ratesOf('AB', 6)
    expect(once.error / back.error).toBeGreaterThan(1.8)
    expect(once.error / back.error).toBeLessThan(2.2)
  })
  it('finds what fuel, air and a session are worth where they vary apart from the laps', () => {
    const bits = randomBits(5)
    const laps = Array.from({ length: 40 }, (_, i): CountedLap => {
      const fuel = 0.05 - 0.002 * (i % 10) + (i >= 20 ? 0.01 : 0)
      const air = 1.18 + 0.02 * Math.sin(i)
      const session = i < 20 ? 'morning' : 'noon'
      const on = i % 8 < 4 ? 'A' : 'B'
      const time =
        80 + 40 * fuel - 12 * (air - 1.18) + (session === 'noon' ? 0.5 : 0) - (on === 'B' ? 0.6 : 0) + 0.02 * normalPair(bits)[0] // prettier-ignore
      return { time, on, number: i + 1, session, fuel, air }
    })
    const found = changeEffect(laps)
    expect(found.changes[0]).toMatchObject({ on: 'B', verdict: 'quicker' })
    expect(found.changes[0]!.seconds).toBeCloseTo(-0.6, 1)
    expect(found.scatter).toBeLessThan(0.03)
    expect(found.left).toEqual([])
    expect(found.parts.session).toBeCloseTo(0.5, 0)
  })
  it('leaves fuel out that only falls lap by lap, and says so', () => {
    const laps = stint({ plan: 'ABA', laps: 5, worth: 0 }, randomBits(2)).map((l) => ({
      ...l,
      fuel: 0.05 - 0.001 * l.number,
    }))
    expect(changeEffect(laps).left).toEqual(['fuel'])
  })
  it('says that a change can’t be told from a session that it was driven in alone', () => {
    const laps = stint({ plan: 'AB', laps: 6, worth: 1 }, randomBits(2)).map((l) => ({ ...l, session: l.on }))
    expect(changeEffect(laps).changes[0]).toMatchObject({
      verdict: 'confounded',
      with: 'session',
      error: Infinity,
    })
  })
  it('says nothing of three laps, and that a base has no others beside it', () => {
    const few = [base(), base({ number: 2, time: 89 }), base({ number: 3, on: 'B', time: 88 })]
    expect(changeEffect(few).changes[0]!.verdict).toBe('tooFew')
    expect(changeEffect([base(), base({ number: 2 })]).changes).toEqual([])
    expect(() => changeEffect([])).toThrow(RangeError)
    expect(() => changeEffect([base({ time: -3 })])).toThrow(RangeError)
  })
  it('turns round with its base, and doesn’t mind how much longer the course is', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 9999 }),
        fc.double({ min: -40, max: 200, noNaN: true }),
        (seed, more) => {
          const laps = stint({ plan: 'ABA', laps: 5, worth: 0.3 }, randomBits(seed))
          const [there, back] = [changeEffect(laps, 'A').changes[0]!, changeEffect(laps, 'B').changes[0]!]
          expect(back.seconds).toBeCloseTo(-there.seconds, 6)
          expect(back.error).toBeCloseTo(there.error, 6)
          const longer = changeEffect(laps.map((l) => ({ ...l, time: l.time + more }))).changes[0]!
          expect(longer.seconds).toBeCloseTo(there.seconds, 6)
        },
      ),
      { numRuns: 40 },
    )
  })
})

describe('lapsToShow', () => {
  it('wants fewer laps for more, and none that nobody drives', () => {
    for (const plan of RUN_PLANS) {
      const [small, large] = [lapsToShow(plan, 0.4, 0.35), lapsToShow(plan, 0.8, 0.35)]
      expect(large!).toBeLessThan(small ?? Infinity)
    }
    expect(lapsToShow('ABA', 0.02, 0.5)).toBeNull()
    expect(() => lapsToShow('ABA', 0, 0.3)).toThrow(RangeError)
  })
  it('there and not back has twice the error of there and back, for two thirds of the laps', () => {
    expect(planError('AB', 6).error / planError('ABA', 6).error).toBeCloseTo(2, 1)
  })
  it('shows what it says in four of five cases', () => {
    const bits = randomBits(8)
    const laps = lapsToShow('ABA', 0.5, 0.35)!
    let shown = 0
    for (let draw = 0; draw < 400; draw += 1)
      if (changeEffect(stint({ plan: 'ABA', laps, worth: 0.5 }, bits)).changes[0]!.verdict === 'quicker')
        shown += 1
    expect(shown / 400).toBeGreaterThan(0.72)
    expect(shown / 400).toBeLessThan(0.9)
  })
})
