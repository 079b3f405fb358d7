import { describe, expect, it } from 'vitest'
import { normalPair } from '../numeric/normalPair'
import { quantileOf } from '../numeric/quantileOf'
import { randomBits } from '../numeric/randomBits'
import { jobOf } from '../testing/fourJobs'
import { durationsOf, drawDurations } from './durations'
import { farOut, leftOf, logTimeOf, meanLasting } from './lastsOf'
import type { PromiseRatio } from './promiseRatio'
import { simulateWork } from './simulateWork'
import { workingTime } from './workingTime'
import type { Lasts, WorkItem, WorkNetwork } from './WorkNetwork'

const DAY = 86_400
const HOUR = 3600
/** A record that leaves no doubt of its middle and its spread. */
const surely = (ratio: number, spread: number): PromiseRatio => ({
  mean: Math.log(ratio),
  weight: 1e9,
  spread,
  freedom: 1e9,
})
const promised = (time: number, gone: number): Lasts => ({ by: 'promise', promised: time, record: 0, gone })
const passing = (lasts: Lasts): WorkItem => ({ ...jobOf([0, 0, 0], []), lasts, hands: 0, able: [] })
const network = (items: readonly WorkItem[], record: PromiseRatio, more: Partial<WorkNetwork> = {}) => ({
  items,
  hands: null,
  records: [record],
  from: 0,
  targets: [items.map((_, at) => at)],
  dues: [Infinity],
  ...more,
})
/** What one item is done within, in the middle and in eight of ten. */
function reached(lasts: Lasts, record: PromiseRatio, unit: number): readonly [number, number] {
  const { finishes } = simulateWork(network([passing(lasts)], record), { draws: 40_000 })
  const sorted = finishes[0]!.sort()
  return [quantileOf(sorted, 0.5) / unit, quantileOf(sorted, 0.8) / unit]
}

describe('what isn’t done yet', () => {
  // HANDBOOK 13: promised in 20 days, ratio 1.4 in the median with a log-deviation of 0.4.
  it.each([
    [0, 28.0, 39.2],
    [19, 11.5, 22.2],
    [40, 7.5, 17.1],
  ])('lasts on from day %i as the handbook says', (gone, middle, late) => {
    const [half, eight] = reached(promised(20 * DAY, gone * DAY), surely(1.4, 0.4), DAY)
    expect(Math.abs(half - middle)).toBeLessThan(0.01 * middle + 0.1)
    expect(Math.abs(eight - late)).toBeLessThan(0.01 * late + 0.1)
  })
  // HANDBOOK 13: a job of 8 h by one who takes twice (0.4).
  it.each([
    [12, 6.0, 12.1],
    [16, 5.0, 10.7],
  ])('takes on after %i h of work as the handbook says', (gone, middle, late) => {
    const [half, eight] = reached(promised(8 * HOUR, gone * HOUR), surely(2, 0.4), HOUR)
    expect(Math.abs(half - middle)).toBeLessThan(0.15)
    expect(Math.abs(eight - late)).toBeLessThan(0.25)
  })
  it('is what the quadrature of a truncated lognormal says, in the mean too, near and far out', () => {
    for (const gone of [5, 12, 40, 400]) {
      const time = { middle: Math.log(16), spread: 0.4 }
      const far = farOut(gone, time)
      const steps = 20_000
      let sum = 0
      for (let i = 0; i < steps; i += 1) sum += leftOf(gone, far, 0.4, (i + 0.5) / steps) / steps
      const mean = meanLasting({ by: 'promise', promised: 8, record: 0, gone }, [surely(2, 0.4)])
      expect(Math.abs(sum / mean - 1)).toBeLessThan(gone > 100 ? 0.1 : 0.01)
    }
  })
  it('takes three guesses for a lognormal once it is begun, and is never certain', () => {
    const guesses: Lasts = { by: 'guesses', short: 2, likely: 3, long: 7 }
    expect(Math.exp(logTimeOf(guesses, []).middle)).toBeCloseTo(3.84, 2)
    expect(meanLasting({ ...guesses, gone: 6.9 }, [])).toBeGreaterThan(0.5)
    expect(meanLasting({ by: 'guesses', short: 4, likely: 4, long: 4, gone: 9 }, [])).toBeGreaterThan(0.1)
  })

  // HANDBOOK 13: five 20-day promises open at day 40 move the mean of what all has in common from 1.0 to about 1.5.
  it('tells of the build as a whole: five that are late move all that is open', () => {
    const late = Array.from({ length: 5 }, () => passing(promised(20 * DAY, 40 * DAY)))
    const fresh = passing(promised(10 * DAY, 0))
    const durations = durationsOf(network([...late, fresh], surely(1.4, 0.4), { slip: 0.2 }))
    const alone = durationsOf(network([fresh], surely(1.4, 0.4), { slip: 0.2 }))
    const bits = randomBits(3)
    const [six, one] = [new Float64Array(6), new Float64Array(1)]
    let [slipped, plain] = [0, 0]
    for (let i = 0; i < 20_000; i += 1) {
      drawDurations(durations, bits, six)
      drawDurations(alone, bits, one)
      slipped += six[5]!
      plain += one[0]!
    }
    process.stdout.write(
      `  five late promises make what is open last ${(slipped / plain).toFixed(2)} times as long\n`,
    )
    expect(slipped / plain).toBeGreaterThan(1.4)
    expect(slipped / plain).toBeLessThan(1.6)
  })
  it('keeps one job’s own spread, whatever all slips by together', () => {
    const spreadWith = (slip: number) => {
      const durations = durationsOf(network([passing(promised(DAY, 0))], surely(2, 0.4), { slip }))
      const bits = randomBits(5)
      const lasting = new Float64Array(1)
      const logs = Array.from({ length: 20_000 }, () => {
        drawDurations(durations, bits, lasting)
        return Math.log(lasting[0]! / DAY)
      })
      const mean = logs.reduce((sum, x) => sum + x, 0) / logs.length
      return Math.sqrt(logs.reduce((sum, x) => sum + (x - mean) ** 2, 0) / logs.length)
    }
    expect(spreadWith(0)).toBeCloseTo(0.4, 2)
    expect(spreadWith(0.2)).toBeCloseTo(0.4, 2)
    expect(spreadWith(0.6)).toBeCloseTo(0.4, 2)
  })
})

/** A workshop’s world: whatever takes twice as long, builds slip as a whole, and a tenth of the hours isn’t on the list. */
const SLIP = 0.2
const SPREAD = 0.45
const RATIO = 2
const JOBS = 8

/** How often what is said to be done with eight chances in ten is, of builds that are still at it at some share of their way. */
function keptAt(way: number, builds: number, seed: number): number {
  let [asked, kept] = [0, 0]
  const bits = randomBits(seed)
  const normal = () => normalPair(bits)[0]
  for (let build = 0; build < builds; build += 1) {
    const slip = Math.exp(SLIP * normal())
    const said = Array.from({ length: JOBS }, () => HOUR * (1 + 3 * Math.abs(normal())))
    const forgotten = 0.1 * Math.exp(0.5 * normal())
    const own = Math.sqrt(SPREAD ** 2 - SLIP ** 2)
    const taken = said.map((time) => time * RATIO * slip * Math.exp(own * normal()))
    const usual = said.reduce((sum, time) => sum + time * RATIO, 0)
    const moment = way * usual
    let [worked, left] = [0, 0]
    const items: WorkItem[] = []
    const done: { lasts: Lasts; took: number }[] = []
    taken.forEach((time, at) => {
      const gone = Math.min(time, Math.max(0, moment - worked))
      worked += time
      if (gone >= time) return void done.push({ lasts: promised(said[at]!, 0), took: time })
      left += time - gone
      items.push({
        ...jobOf([0, 0, 0], items.length === 0 ? [] : [items.length - 1]),
        lasts: promised(said[at]!, gone),
      })
    })
    if (items.length === 0) continue
    const { finishes } = simulateWork(
      network(items, surely(RATIO, SPREAD), {
        hands: [workingTime([[0, 1e9]])],
        targets: [[items.length - 1]],
        slip: SLIP,
        done,
        forgotten: 0.1,
      }),
      { draws: 400, seed: build + 1 },
    )
    asked += 1
    // What was forgotten comes up while the rest is done.
    if (left * (1 + forgotten) <= quantileOf(finishes[0]!.sort(), 0.8)) kept += 1
  }
  return kept / asked
}

describe('dates', () => {
  it.each([0, 0.5, 0.9, 1.1])('given at %d of the way are kept in about four of five cases', (way) => {
    const kept = keptAt(way, 220, 31)
    process.stdout.write(`  at ${way} of the way: 80 % dates are kept in ${(100 * kept).toFixed(1)} %\n`)
    expect(kept).toBeGreaterThan(0.75)
    expect(kept).toBeLessThan(0.88)
  })
  it.each([10, 19, 25, 40])('of five orders that aren’t all here on day %i are kept', (day) => {
    const bits = randomBits(77)
    const normal = () => normalPair(bits)[0]
    let [asked, kept] = [0, 0]
    for (let build = 0; build < 900 && asked < 220; build += 1) {
      const slip = Math.exp(SLIP * normal())
      const there = Array.from(
        { length: 5 },
        () => 20 * DAY * 1.4 * slip * Math.exp(Math.sqrt(0.16 - SLIP ** 2) * normal()),
      )
      const open = there.filter((time) => time > day * DAY)
      if (open.length === 0) continue
      const items = open.map(() => passing(promised(20 * DAY, day * DAY)))
      const done = there
        .filter((time) => time <= day * DAY)
        .map((took) => ({ lasts: promised(20 * DAY, 0), took }))
      const { finishes } = simulateWork(network(items, surely(1.4, 0.4), { slip: SLIP, done }), {
        draws: 400,
        seed: build + 1,
      })
      asked += 1
      if (Math.max(...open) - day * DAY <= quantileOf(finishes[0]!.sort(), 0.8)) kept += 1
    }
    process.stdout.write(
      `  orders on day ${day}: 80 % dates are kept in ${((100 * kept) / asked).toFixed(1)} %\n`,
    )
    expect(kept / asked).toBeGreaterThan(0.75)
    expect(kept / asked).toBeLessThan(0.88)
  })
})
