import * as fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { normalPair } from '../numeric/normalPair'
import { randomBits } from '../numeric/randomBits'
import { changeEffect, type ChangeEffect, type CountedLap } from './changeEffect'
import { planDoubt, runsToShow, shownBy } from './runsToShow'

interface Stint {
  readonly plan: string
  readonly laps: number
  /** s that B is quicker by. */
  readonly worth: number
  readonly noise?: number
  /** How laps of a run hang together, and how far runs differ for no reason, of the lap. */
  readonly correlation?: number
  readonly offset?: number
  readonly lap?: number
}
/**
 * Stints as HANDBOOK 12 simulates them: learning 1.5·e^(−n/4) s, tyres +0.04 s a lap, fuel −0.054 s a lap.
 */
function stint(
  { plan, laps, worth, noise = 0.35, correlation = 0, offset = 0, lap = 90 }: Stint,
  bits: () => number,
): CountedLap[] {
  let number = 0
  return [...plan].flatMap((on, run) => {
    const own = offset * lap * normalPair(bits)[0]
    let error = normalPair(bits)[0]
    return Array.from({ length: laps }, (_, i): CountedLap => {
      number += 1
      const fresh = normalPair(bits)[0]
      if (i > 0) error = correlation * error + Math.sqrt(1 - correlation ** 2) * fresh
      const trend = 1.5 * Math.exp(-number / 4) + (0.04 - 0.054) * number
      const time = lap + trend + own + noise * error - (on === 'B' ? worth : 0)
      return { time, on, number, session: 'one', run: String(run), fuel: null, air: null }
    })
  })
}
/** How often something is called real that is worth nothing, and how often the 90 % interval holds what is. */
function ratesOf(world: Omit<Stint, 'worth'>, draws = 300) {
  const bits = randomBits(12)
  let [alarms, held, error] = [0, 0, 0]
  for (let draw = 0; draw < draws; draw += 1) {
    const nothing = changeEffect(stint({ ...world, worth: 0 }, bits)).changes[0]!
    if (nothing.verdict !== 'notShown') alarms += 1
    const some = changeEffect(stint({ ...world, worth: 0.4 }, bits)).changes[0]!
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
  run: '1',
  fuel: null,
  air: null,
  ...more,
})

describe('changeEffect', () => {
  // HANDBOOK 12: false alarms 7 % at most and 87 % held with AR(1) 0.5 and with runs 0.25 % apart; with independent
  // errors, plain least squares gave 20.5 % and 70 % (AR(1)), 11.4 % and 83 % (runs 0.15 s apart of 60 s laps).
  it.each([
    [{ plan: 'ABA', laps: 6, correlation: 0.5, lap: 60 }],
    [{ plan: 'ABA', laps: 6, correlation: 0.5, offset: 0.0025 }],
    [{ plan: 'AB', laps: 6, correlation: 0.5, offset: 0.0025 }],
    [{ plan: 'ABAB', laps: 4, offset: 0.0025, lap: 60 }],
    [{ plan: 'ABAB', laps: 4, correlation: 0.5, offset: 0.0025 }],
    [{ plan: 'ABABAB', laps: 3, correlation: 0.5, offset: 0.0025 }],
    [{ plan: 'ABABAB', laps: 3 }],
  ])('calls little real by mistake and holds the truth where laps hang together: %o', (world) => {
    const { alarms, held } = ratesOf(world)
    process.stdout.write(`  ${JSON.stringify(world)}: ${alarms} called real of nothing, 90 % holds ${held}\n`)
    expect(alarms).toBeLessThanOrEqual(0.075)
    expect(held).toBeGreaterThan(0.865)
  })
  it('finds what hangs together and what runs differ by, where there is enough of it', () => {
    const bits = randomBits(4)
    const found = changeEffect(
      stint({ plan: 'ABABABABABAB', laps: 8, worth: 0, correlation: 0.6, offset: 0.006, noise: 0.3 }, bits),
    )
    expect(found.correlation).toBeGreaterThanOrEqual(0.45)
    // 0.54 s where 0.225 s was expected, by the weight of ten runs.
    expect(found.offset.seconds).toBeGreaterThan(0.3)
    expect(found.offset.weight).toBe(18)
    const alike = changeEffect(stint({ plan: 'ABABABABABAB', laps: 8, worth: 0 }, bits))
    expect(alike.correlation).toBe(0.3)
    expect(alike.offset.seconds).toBeLessThan(0.225)
  })
  it('says there-and-not-back by the order in which it was driven', () => {
    const isBack = (plan: string) =>
      changeEffect(stint({ plan, laps: 5, worth: 0 }, randomBits(3))).changes[0]!.isBack
    expect(['AB', 'AABB', 'ABA', 'ABAB', 'ABBA'].map(isBack)).toEqual([false, false, true, true, true])
  })
  it('gives a share with what holds it, or not at all', () => {
    const found = changeEffect(stint({ plan: 'ABA', laps: 6, worth: 0 }, randomBits(3)))
    const { driver, tyres, session } = found.parts
    expect(session).toBeUndefined()
    // Learning goes with the logarithm and tyres with the number: together they are known better than either.
    expect(found.trend!.error).toBeLessThan(driver!.error)
    expect(found.trend!.seconds).toBeCloseTo(driver!.seconds + tyres!.seconds, 9)
    const few = changeEffect(stint({ plan: 'AB', laps: 3, worth: 0 }, randomBits(3)))
    expect(few.parts).toEqual({})
    expect(few.trend).toBeNull()
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
      return { time, on, number: i + 1, session, run: on + session, fuel, air }
    })
    const found = changeEffect(laps)
    expect(found.changes[0]).toMatchObject({ on: 'B', verdict: 'quicker' })
    expect(found.changes[0]!.seconds).toBeCloseTo(-0.6, 1)
    expect(found.scatter).toBeLessThan(0.03)
    expect(found.left).toEqual([])
    expect(found.parts.session!.seconds).toBeCloseTo(0.5, 0)
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
    const { offset } = usual
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 9999 }),
        fc.double({ min: -40, max: 200, noNaN: true }),
        (seed, more) => {
          const laps = stint({ plan: 'ABA', laps: 5, worth: 0.3 }, randomBits(seed))
          const [there, back] = ['A', 'B'].map((on) => changeEffect(laps, on, offset).changes[0]!) as [
            ChangeEffect,
            ChangeEffect,
          ]
          expect(back.seconds).toBeCloseTo(-there.seconds, 6)
          expect(back.error).toBeCloseTo(there.error, 6)
          const slower = laps.map((l) => ({ ...l, time: l.time + more }))
          const longer = changeEffect(slower, 'A', offset).changes[0]!
          expect(longer.seconds).toBeCloseTo(there.seconds, 6)
        },
      ),
      { numRuns: 40 },
    )
  })
})

const usual = { scatter: 0.35, correlation: 0.3, offset: { seconds: 0.225, weight: 10 } }

describe('runsToShow', () => {
  it('knows a plan’s error as the handbook does', () => {
    // HANDBOOK 12: A6 B6 A6 of 90 s laps knows a change to about ±0.40 s, A6 B6 to ±0.65; A3 B3 A3 B3 A3 B3 beats both.
    expect(planDoubt(3, 6, usual).error).toBeCloseTo(0.4, 1)
    expect(Math.abs(planDoubt(2, 6, usual).error - 0.65)).toBeLessThan(0.05)
    expect(planDoubt(6, 3, usual).error).toBeLessThan(0.8 * planDoubt(3, 6, usual).error)
    expect(planDoubt(2, 2, usual).error).toBe(Infinity)
  })
  it('wants fewer runs for more, and none that nobody drives', () => {
    const driven = [0.5, 0.8, 1.2, 2].map((wanted) => {
      const plan = runsToShow(wanted, usual)!
      expect(shownBy(plan.runs, plan.laps, usual)!).toBeLessThanOrEqual(wanted)
      return plan.runs * (plan.laps + 2)
    })
    expect(driven).toEqual(driven.toSorted((a, b) => b - a))
    expect(runsToShow(0.02, usual)).toBeNull()
    expect(() => runsToShow(0, usual)).toThrow(RangeError)
    expect(shownBy(2, 2, usual)).toBeNull()
  })
  it('shows what it says in four of five cases', () => {
    const bits = randomBits(8)
    const { runs, laps } = runsToShow(0.8, usual)!
    const plan = 'ABABABABABAB'.slice(0, runs)
    const world = { plan, laps, worth: 0.8, correlation: 0.3, offset: 0.0025 }
    let shown = 0
    for (let draw = 0; draw < 300; draw += 1)
      if (changeEffect(stint(world, bits)).changes[0]!.verdict === 'quicker') shown += 1
    expect(shown / 300).toBeGreaterThan(0.7)
    expect(shown / 300).toBeLessThan(0.9)
  })
})
