import { describe, expect, it } from 'vitest'
import { randomBits } from '../numeric/randomBits'
import type { Doubts } from './doubts'
import { isGainReal } from './isGainReal'
import { plainReadings, readingOf } from './reading'
import { repeatsToShow, welchTest } from './welch'

describe('Welch’s test', () => {
  it('agrees with SciPy 1.17.1, scipy.stats.ttest_ind(b, a, equal_var=False)', () => {
    const a = [27.5, 21.0, 19.0, 23.6, 17.0, 17.9, 16.9, 20.1, 21.9, 22.6, 23.1, 19.6, 19.0, 21.7, 21.4]
    const b = [27.1, 22.0, 20.8, 23.4, 23.4, 23.5, 25.8, 22.0, 24.8, 20.2, 21.9, 22.1, 22.9, 30.0, 23.9]
    const test = welchTest(a, b)
    expect(test.difference / test.standardError).toBeCloseTo(2.835263800664482, 10)
    expect(test.freedom).toBeCloseTo(27.713625968118762, 9)
    expect(test.p).toBeCloseTo(0.008452732437443423, 10)
  })
  it('gives the pooled test’s freedom for equal spreads and sizes', () => {
    const test = welchTest([200, 201, 199], [204, 205, 206])
    expect(test.freedom).toBeCloseTo(4, 9)
    expect(test.difference).toBe(5)
    // t = 5/√(2/3) = 6.124 with 4 degrees: p = 0.0036.
    expect(test.p).toBeCloseTo(0.0036, 4)
    expect(test.interval[0]).toBeCloseTo(5 - 2.776 * Math.sqrt(2 / 3), 2)
  })
  it('says which way round, and needs a spread', () => {
    expect(welchTest([5, 6], [1, 2]).difference).toBe(-4)
    expect(welchTest([5, 5], [5, 5]).p).toBe(1)
    expect(welchTest([5, 5], [6, 6]).p).toBe(0)
    expect(() => welchTest([1], [2, 3])).toThrow('repeats')
  })
  it('asks for more repeats the smaller the gain', () => {
    expect(repeatsToShow(4, 2)).toBe(6)
    expect(repeatsToShow(2, 2)!).toBeGreaterThan(15)
    expect(repeatsToShow(0, 2)).toBeNull()
    expect(repeatsToShow(0.001, 2)).toBeNull()
  })
})

/** Figures of one day, off an instrument that repeats to so much. */
const plain = (before: readonly number[], after: readonly number[], repeatability: number) =>
  isGainReal(plainReadings(before, repeatability), plainReadings(after, repeatability))
interface Days {
  readonly before: readonly string[]
  readonly after: readonly string[]
  readonly between: number
}
/** Figures of days that are off by so much together. */
const onDays = (
  before: readonly number[],
  after: readonly number[],
  repeatability: number,
  days: Days,
  bridge: Doubts = {},
) => {
  const side = (values: readonly number[], named: readonly string[], more: Doubts) =>
    values.map((value, i) => {
      const day = named[i]!
      return readingOf(value, { scatter: repeatability, day, shared: { [day]: days.between, ...more } })
    })
  return isGainReal(side(before, days.before, bridge), side(after, days.after, {}))
}

describe('is it real?', () => {
  it('takes one against one for real only beyond 2.77 times the stated repeatability', () => {
    expect(plain([200], [205.9], 0.015)).toMatchObject({
      verdict: 'notShown',
      p: null,
      how: 'repeatability',
    })
    // 1.96·√2·1.5 % of 200: 8.3.
    expect(plain([200], [207], 0.015).verdict).toBe('notShown')
    expect(plain([200], [209], 0.015).verdict).toBe('real')
    const { interval } = plain([200], [200], 0.015)
    expect(interval[1] / (200 * 0.015)).toBeCloseTo(2.772, 3)
  })
  it('says how many pulls are still needed', () => {
    const v = plain([200, 204, 202], [204, 206, 202], 0.015)
    expect(v.verdict).toBe('notShown')
    expect(v.moreNeeded).toBeGreaterThanOrEqual(3)
    expect(plain([200, 201, 199], [204, 205, 206], 0.015).moreNeeded).toBe(0)
  })
  it('counts thirds of one day as the day, and lets pulls make up for no more than their own scatter', () => {
    const monday = { before: ['mon', 'mon', 'mon'], after: ['mon', 'mon', 'mon'], between: 0.01 }
    const [a, b] = [
      [200, 204, 202],
      [204, 206, 202],
    ] as const
    const same = onDays(a, b, 0.015, monday)
    const { interval, verdict } = plain(a, b, 0.015)
    expect(same.verdict).toBe(verdict)
    // What the day does to the difference itself: 1 % of 2.
    same.interval.forEach((end, i) => expect(end).toBeCloseTo(interval[i]!, 2))
    // A day of 0.2 % takes 1.1 of a difference of 2: more pulls are needed, but not without end; one of 1 % takes all.
    const other = (between: number) =>
      onDays(a, b, 0.015, { ...monday, after: ['tue', 'tue', 'tue'], between })
    expect(other(0.002).moreNeeded!).toBeGreaterThan(same.moreNeeded!)
    expect(other(0.01).moreNeeded).toBeNull()
  })
  it('lets a bridge only make it harder', () => {
    const [a, b] = [
      [200, 201, 199],
      [204, 205, 206],
    ] as const
    expect(plain(a, b, 0.015).verdict).toBe('real')
    const bridged = onDays(
      a,
      b,
      0.015,
      { before: ['', '', ''], after: ['', '', ''], between: 0 },
      { bridge: 3 / 200 },
    )
    expect(bridged).toMatchObject({ verdict: 'notShown', moreNeeded: null })
    expect(bridged.interval[1] - bridged.interval[0]).toBeGreaterThan(2 * 1.96 * 3)
  })
  it('needs a figure on each side', () => expect(() => plain([], [1], 0.01)).toThrow(RangeError))

  // Simulated dyno days: the figures are printed, so that a reader sees what four pulls can and can't show.
  const random = randomBits(41)
  const uniform = () => ((random() >>> 0) + 0.5) / 4294967296
  const normal = () => Math.sqrt(-2 * Math.log(uniform())) * Math.cos(2 * Math.PI * uniform())
  const days = (gain: number, pulls: number, spreads: readonly [number, number] = [1, 1]) => {
    let shown = 0
    const DAYS = 2500
    for (let i = 0; i < DAYS; i += 1) {
      const side = (mean: number, spread: number) =>
        Array.from({ length: pulls }, () => mean * (1 + 0.01 * spread * normal()))
      if (plain(side(200, spreads[0]), side(200 * (1 + gain), spreads[1]), 0.01).verdict === 'real')
        shown += 1
    }
    return shown / DAYS
  }
  it.each([3, 4, 6])('with %d pulls a side raises a false alarm on 3 to 7 days of a hundred', (pulls) => {
    const alarms = days(0, pulls)
    const power = [0.01, 0.02, 0.04].map(
      (gain) => `${gain * 100} % gain shown ${(days(gain, pulls) * 100).toFixed(0)} %`,
    )
    process.stdout.write(
      `  ${pulls} pulls a side, repeating to 1 %: false alarms ${(alarms * 100).toFixed(1)} %, ${power.join(', ')}\n`,
    )
    expect(alarms).toBeGreaterThan(0.03)
    expect(alarms).toBeLessThan(0.07)
    expect(days(0.04, pulls)).toBeGreaterThan(days(0.01, pulls))
  })
  it('holds that with unequal spreads, which a pooled test would not', () => {
    const alarms = days(0, 5, [0.4, 1.6])
    process.stdout.write(
      `  5 pulls a side, one dyno four times as noisy: false alarms ${(alarms * 100).toFixed(1)} %\n`,
    )
    expect(alarms).toBeGreaterThan(0.03)
    expect(alarms).toBeLessThan(0.07)
  })
  it('raises a false alarm on 3 to 7 of a hundred days with one pull against one', () => {
    const ROUNDS = 4000
    let shown = 0
    for (let i = 0; i < ROUNDS; i += 1)
      if (plain([200 * (1 + 0.015 * normal())], [200 * (1 + 0.015 * normal())], 0.015).verdict === 'real')
        shown += 1
    process.stdout.write(`  one pull against one: false alarms ${((shown / ROUNDS) * 100).toFixed(1)} %\n`)
    expect(shown / ROUNDS).toBeGreaterThan(0.03)
    expect(shown / ROUNDS).toBeLessThan(0.07)
  })
  it.each([
    ['3 pulls against 3, each side on a day of its own', [0, 0, 0], [1, 1, 1]],
    ['4 pulls against 4, one day shared', [0, 0, 1, 1], [1, 1, 2, 2]],
    ['one pull against one on another day', [0], [1]],
    ['6 pulls over two days against 3 of a third', [0, 0, 0, 1, 1, 1], [2, 2, 2]],
  ])('allows for days that are off by 1 %%: %s', (name, first, second) => {
    const ROUNDS = 3000
    let [shown, without] = [0, 0]
    for (let i = 0; i < ROUNDS; i += 1) {
      const offs = [normal(), normal(), normal()]
      const read = (day: number) => 200 * (1 + 0.01 * offs[day]! + 0.005 * normal())
      const [a, b] = [first.map(read), second.map(read)]
      const of = { before: first.map(String), after: second.map(String), between: 0.01 }
      if (onDays(a, b, 0.005, of).verdict === 'real') shown += 1
      if (plain(a, b, 0.005).verdict === 'real') without += 1
    }
    process.stdout.write(
      `  ${name}: false alarms ${((shown / ROUNDS) * 100).toFixed(1)} %, taken for one day ${((without / ROUNDS) * 100).toFixed(0)} %\n`,
    )
    expect(shown / ROUNDS).toBeGreaterThan(0.03)
    expect(shown / ROUNDS).toBeLessThan(0.07)
    // A day that both sides share in the same part shows in their spreads, and costs nothing more.
    expect(without).toBeGreaterThan(0.8 * shown)
  })
  it('says that days stand in the way, and that no more pulls on them would help', () => {
    const of = { before: ['mon', 'mon', 'mon'], after: ['tue', 'tue', 'tue'], between: 0.01 }
    const v = onDays([200, 200.5, 199.5], [203, 203.5, 202.5], 0.01, of)
    expect(v).toMatchObject({ verdict: 'notShown', moreNeeded: null, isSharedInTheWay: true })
    const sameDay = { ...of, after: of.before }
    expect(onDays([200, 200.5, 199.5], [203, 203.5, 202.5], 0.01, sameDay).verdict).toBe('real')
  })

  it.each([
    ['as much as was assumed', 1],
    ['three times as much as was assumed', 3],
    ['five times as much', 5],
  ])('allows for days that scatter %s, three days a side', (name, times) => {
    const ROUNDS = 3000
    let shown = 0
    const days = {
      before: ['1', '1', '2', '2', '3', '3'],
      after: ['4', '4', '5', '5', '6', '6'],
      between: 0.01,
    }
    for (let i = 0; i < ROUNDS; i += 1) {
      const offs = new Map<string, number>()
      const read = (day: string) => {
        const off = offs.get(day) ?? 0.01 * times * normal()
        offs.set(day, off)
        return 200 * (1 + off + 0.005 * normal())
      }
      if (onDays(days.before.map(read), days.after.map(read), 0.005, days).verdict === 'real') shown += 1
    }
    process.stdout.write(
      `  days that scatter ${name}: false alarms ${((shown / ROUNDS) * 100).toFixed(1)} %\n`,
    )
    expect(shown / ROUNDS).toBeGreaterThan(0.03)
    // A scatter of three days that happens to look honest can't be told from one that is.
    expect(shown / ROUNDS).toBeLessThan(0.08)
  })
  it('doesn’t take readings that are rounded alike for sure', () => {
    const [a, b] = [plainReadings([200, 200, 200], 0.005), plainReadings([200.4, 200.4, 200.4], 0.005)]
    expect(isGainReal(a, b).verdict).toBe('real')
    // A horsepower is 0.75 kW: 0.2 kW of rounding.
    const { verdict, interval } = isGainReal(a, b, 0.215)
    expect(verdict).toBe('notShown')
    expect(interval[1] - interval[0]).toBeGreaterThan(0.5)
  })
})
