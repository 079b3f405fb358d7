import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { quantileOf } from '../numeric/quantileOf'
import { fourJobs, fourJobsAlone, jobOf } from '../testing/fourJobs'
import { betterOutcome, planWork } from './planWork'
import { chanceBy, simulateWork } from './simulateWork'
import { triangleQuantile, type Triangle } from './triangle'
import { workBetween, workingTime } from './workingTime'
import type { WorkItem, WorkNetwork } from './WorkNetwork'

const HOUR = 3600
const hours = (finishes: Float64Array, share: number) =>
  quantileOf(Float64Array.from(finishes).sort(), share) / HOUR
const meanOf = (values: Float64Array) => values.reduce((sum, v) => sum + v, 0) / values.length

/** The chance that a job is done within a time, from the inverse of its quantiles by halving. */
function shareWithin(of: Triangle, time: number): number {
  let [low, high] = [0, 1]
  for (let i = 0; i < 50; i += 1) {
    const middle = (low + high) / 2
    if (triangleQuantile(of, middle) < time) low = middle
    else high = middle
  }
  return low
}

/** Chances of each step of a grid, from the chance to be done within each. */
const densityOf = (within: readonly number[]) =>
  within.map((share, i) => share - (i === 0 ? 0 : within[i - 1]!))
const convolved = (a: readonly number[], b: readonly number[]): number[] => {
  const sum = Array.from({ length: a.length + b.length - 1 }, () => 0)
  a.forEach((x, i) => b.forEach((y, j) => (sum[i + j]! += x * y)))
  return sum
}

describe('work that is drawn many times', () => {
  // HANDBOOK 13, the check of the network: as many hands as needed.
  it('comes to what the handbook says of four jobs with as many hands as are needed', () => {
    const { finishes, critical } = simulateWork(fourJobs, { draws: 40_000 })
    const [all] = finishes
    expect(meanOf(all!) / HOUR).toBeCloseTo(10.83, 1)
    expect(hours(all!, 0.1)).toBeCloseTo(8.83, 1)
    expect(hours(all!, 0.5)).toBeCloseTo(10.74, 1)
    expect(hours(all!, 0.9)).toBeCloseTo(12.96, 1)
    expect(Math.abs(chanceBy(all!, 11 * HOUR) - 0.561)).toBeLessThan(0.01)
    expect(critical[0]![2]).toBeCloseTo(0.994, 2)
  })

  it('comes to what the handbook says of one pair of hands', () => {
    const { finishes } = simulateWork(fourJobsAlone, { draws: 40_000 })
    const [all] = finishes
    expect(hours(all!, 0.1)).toBeCloseTo(11.01, 1)
    expect(hours(all!, 0.5)).toBeCloseTo(13.08, 1)
    expect(hours(all!, 0.9)).toBeCloseTo(15.44, 1)
    // The handbook drew fewer: by 300,000 draws it is 26.3 %.
    expect(Math.abs(chanceBy(all!, 12 * HOUR) - 0.264)).toBeLessThan(0.01)
  })

  // Sums of independent times have the convolution of their densities; the later of two the product of their chances
  // (Feller, An Introduction to Probability Theory and Its Applications, vol. 2, I.4 and I.7).
  it('agrees with the exact distribution by convolution', () => {
    const step = HOUR / 20
    const grid = Array.from({ length: 200 }, (_, i) => (i + 0.5) * step)
    const within = (short: number, likely: number, long: number) =>
      grid.map((time) => shareWithin({ short: short * HOUR, likely: likely * HOUR, long: long * HOUR }, time))
    const [b, c] = [within(1, 2, 4), within(3, 4, 8)]
    const later = densityOf(b.map((share, i) => share * c[i]!))
    const exact = convolved(convolved(densityOf(within(2, 3, 7)), later), densityOf(within(1, 1.5, 3)))
    const { finishes } = simulateWork(fourJobs, { draws: 40_000 })
    for (const at of [9, 10, 11, 12, 13]) {
      const upTo = exact.slice(0, Math.round(at * 20)).reduce((sum, share) => sum + share, 0)
      expect(Math.abs(chanceBy(finishes[0]!, at * HOUR) - upTo)).toBeLessThan(0.012)
    }
  })

  it('has one of the jobs across every cut decide in each draw', () => {
    const { critical } = simulateWork(fourJobs, { draws: 2000 })
    const [shares] = critical
    expect(shares![0]).toBeCloseTo(1, 9)
    expect(shares![1]! + shares![2]!).toBeCloseTo(1, 9)
    expect(shares![3]).toBeCloseTo(1, 9)
  })

  it('gives the same for the same seed', () => {
    const once = simulateWork(fourJobs, { draws: 300, seed: 5 })
    expect(simulateWork(fourJobs, { draws: 300, seed: 5 })).toEqual(once)
    expect(simulateWork(fourJobs, { draws: 300, seed: 6 })).not.toEqual(once)
  })

  it('rests at night, and a cure passes while it does', () => {
    const day = (n: number) => [n * 24 * HOUR + 18 * HOUR, n * 24 * HOUR + 21 * HOUR] as const
    const network: WorkNetwork = {
      ...fourJobs,
      items: [
        jobOf([5, 5, 5], [], { cure: 8 * HOUR }),
        jobOf([1, 1, 1], [0]),
        jobOf([1, 1, 1], [1], { notBefore: 90 * HOUR }),
      ],
      hands: [workingTime([day(0), day(1), day(2), day(3), day(4)])],
      targets: [[1], [2]],
      dues: [Infinity, Infinity],
    }
    const { finishes } = simulateWork(network, { draws: 1 })
    // Three hours on the first evening, two on the second; eight hours later is the night, so the third evening it is.
    expect(finishes[0]![0]! / HOUR).toBe(2 * 24 + 19)
    expect(finishes[1]![0]! / HOUR).toBe(4 * 24 - 24 + 18 + 1)
  })

  it('is never done where the time at hand ends before the work does', () => {
    const network = { ...fourJobs, hands: [workingTime([[0, 5 * HOUR]])] }
    const outcome = simulateWork(network, { draws: 50 })
    expect(outcome.finishes[0]!.every((finish) => finish === Infinity)).toBe(true)
    expect(chanceBy(outcome.finishes[0]!, 1e12)).toBe(0)
    expect(outcome.ends[3]!.middle).toBe(Infinity)
  })

  it('needs the hands it names, together', () => {
    const network: WorkNetwork = {
      ...fourJobs,
      items: [jobOf([2, 2, 2], [], { hands: 2, named: [1], able: [0, 1] })],
      hands: [workingTime([[0, 10 * HOUR]]), workingTime([[4 * HOUR, 10 * HOUR]])],
      targets: [[0]],
    }
    expect(simulateWork(network, { draws: 1 }).finishes[0]![0]! / HOUR).toBe(6)
  })

  it('takes those who are there at the same time', () => {
    const [day, night, both] = [
      workingTime([[0, 10 * HOUR]]),
      workingTime([[12 * HOUR, 30 * HOUR]]),
      workingTime([[8 * HOUR, 20 * HOUR]]),
    ]
    const network: WorkNetwork = {
      ...fourJobs,
      items: [jobOf([2, 2, 2], [], { hands: 2, named: [0], able: [0, 1, 2] })],
      hands: [day, night, both],
      targets: [[0]],
    }
    const { finishes, doneBy } = simulateWork(network, { draws: 2 })
    expect(finishes[0]![0]! / HOUR).toBe(10)
    expect([...doneBy[0]!]).toEqual([1, 0, 1])
  })

  it('does first what is due first, however long the way ahead of the rest is', () => {
    const network: WorkNetwork = {
      ...fourJobs,
      items: [jobOf([9, 9, 9], []), jobOf([9, 9, 9], [0]), jobOf([2, 2, 2], [])],
      hands: [workingTime([[0, 1e6]])],
      targets: [[1], [2]],
      dues: [Infinity, 3 * HOUR],
    }
    expect(simulateWork(network, { draws: 1 }).finishes.map((f) => f[0]! / HOUR)).toEqual([20, 2])
  })

  it('refuses rings, and jobs that nobody can do', () => {
    const ring = { ...fourJobs, items: [jobOf([1, 1, 1], [1]), jobOf([1, 1, 1], [0])], targets: [[0]] }
    expect(() => simulateWork(ring, { draws: 1 })).toThrow('ring')
    const lonely = { ...fourJobsAlone, items: [jobOf([1, 1, 1], [], { hands: 2 })], targets: [[0]] }
    expect(() => simulateWork(lonely, { draws: 1 })).toThrow('more hands')
  })
})

/** Networks of up to nine jobs, each after some before it, for up to three hands. */
const network = fc
  .record({
    hands: fc.integer({ min: 1, max: 3 }),
    jobs: fc.array(
      fc.record({
        short: fc.integer({ min: 1, max: 9 }),
        more: fc.integer({ min: 0, max: 5 }),
        hands: fc.integer({ min: 1, max: 2 }),
        after: fc.array(fc.nat(8), { maxLength: 3 }),
      }),
      { minLength: 2, maxLength: 9 },
    ),
  })
  .map(({ hands, jobs }): WorkNetwork => {
    const everyone = Array.from({ length: hands }, (_, i) => i)
    return {
      items: jobs.map((job, at): WorkItem => ({
        ...jobOf(
          [job.short, job.short + job.more / 2, job.short + job.more],
          [...new Set(job.after.filter((one) => one < at))],
        ),
        hands: Math.min(hands, job.hands),
        able: everyone,
      })),
      hands: everyone.map(() => workingTime([[0, 1e7]])),
      records: [],
      from: 0,
      targets: [jobs.map((_, at) => at)],
      dues: [Infinity],
    }
  })
const SAME = { draws: 40, seed: 3 }
const eased = (before: WorkNetwork, after: WorkNetwork) => {
  const known = simulateWork(before, { ...SAME, plan: planWork(before, 0) })
  const tried = simulateWork(after, { ...SAME, plan: planWork(after, 0) })
  const better = betterOutcome(known, tried, 0)
  return [meanOf(known.finishes[0]!), meanOf(better.finishes[0]!)] as const
}

describe('what eases the work', () => {
  it('never makes the plan that is offered later: one more pair of hands', () => {
    fc.assert(
      fc.property(network, (before) => {
        const more = [...before.hands!, workingTime([[0, 1e7]])]
        const items = before.items.map((item) => ({ ...item, able: more.map((_, i) => i) }))
        const [known, now] = eased(before, { ...before, hands: more, items })
        expect(now).toBeLessThanOrEqual(known)
      }),
      { numRuns: 60 },
    )
  })

  it('never makes it later: a shorter job, and one link fewer', () => {
    fc.assert(
      fc.property(network, fc.nat(8), (before, which) => {
        const at = which % before.items.length
        const shorter = before.items.map((item, i) =>
          i === at ? { ...item, lasts: jobOf([0, 0, 0], []).lasts } : item,
        )
        const freer = before.items.map((item, i) =>
          i === at ? { ...item, after: item.after.slice(1) } : item,
        )
        for (const items of [shorter, freer]) {
          const [known, now] = eased(before, { ...before, items })
          expect(now).toBeLessThanOrEqual(known)
        }
      }),
      { numRuns: 60 },
    )
  })

  // Graham’s own example: nine jobs, three hands; with a fourth the list is done later.
  it('meets Graham’s anomaly', () => {
    const jobs = [
      [3, []],
      [2, []],
      [2, []],
      [2, []],
      [4, [3]],
      [4, [3]],
      [4, [3]],
      [4, [3]],
      [9, [0]],
    ] as const
    const of = (hands: number): WorkNetwork => ({
      items: jobs.map(([time, after]) => ({
        ...jobOf([time, time, time], [...after]),
        able: Array.from({ length: hands }, (_, i) => i),
      })),
      hands: Array.from({ length: hands }, () => workingTime([[0, 1e6]])),
      records: [],
      from: 0,
      targets: [jobs.map((_, at) => at)],
      dues: [Infinity],
    })
    const listed = { urgency: Float64Array.from(jobs, (_, at) => at), isPatient: false }
    const [three, four] = [3, 4].map((hands) => simulateWork(of(hands), { draws: 1, plan: listed }))
    expect(three!.finishes[0]![0]! / HOUR).toBe(12)
    expect(four!.finishes[0]![0]! / HOUR).toBe(15)
    expect(betterOutcome(three!, four!, 0)).toBe(three)
  })

  it('does all of the work, and nobody does two things at once', () => {
    fc.assert(
      fc.property(network, (of) => {
        const { starts, ends } = simulateWork(of, { draws: 1, seed: 9 })
        const end = Math.max(...ends.map((e) => e.middle))
        of.items.forEach((item, at) => {
          for (const before of item.after)
            expect(starts[at]!.middle).toBeGreaterThanOrEqual(ends[before]!.middle)
        })
        // At no moment more hands are at work than there are.
        for (const { middle: moment } of starts) {
          const busy = of.items.reduce(
            (sum, item, i) =>
              sum + (starts[i]!.middle <= moment && moment < ends[i]!.middle ? item.hands : 0),
            0,
          )
          expect(busy).toBeLessThanOrEqual(of.hands!.length)
        }
        const worked = of.items.reduce(
          (sum, item, i) => sum + item.hands * (ends[i]!.middle - starts[i]!.middle),
          0,
        )
        const there = of.hands!.reduce((sum, time) => sum + workBetween(time, 0, end), 0)
        expect(worked).toBeLessThanOrEqual(there + 1e-6)
      }),
      { numRuns: 80 },
    )
  })
})
