import fc from 'fast-check'
import { expect, it } from 'vitest'
import { jobOf } from '../testing/fourJobs'
import { simulateWork } from './simulateWork'
import { inCommon, workEnd, workingTime, workStart } from './workingTime'
import type { WorkItem, WorkNetwork } from './WorkNetwork'

const HOUR = 3600
const DAY = 24 * HOUR

/** When each item begins, worked out by looking at all that could be done by all who could do it, again and again. */
function plainStarts({ items, hands, from }: WorkNetwork, isPatient: boolean): number[] {
  const there = hands!
  const free = there.map(() => from)
  const starts: number[] = []
  const ends: number[] = []
  const uses = (hand: number) => items.filter((item) => item.able.includes(hand)).length
  const lasts = (item: WorkItem) => (item.lasts.by === 'guesses' ? item.lasts.likely : NaN)
  const readyAt = ({ after, notBefore }: WorkItem) =>
    Math.max(from, notBefore, ...after.map((one) => ends[one]! + items[one]!.cure))
  const timeOf = (team: readonly number[]) => inCommon(team.map((hand) => there[hand]!))
  /** All teams of so many of some, those of the first before those of the next. */
  const teamsOf = (able: readonly number[], size: number): number[][] =>
    size === 0
      ? [[]]
      : able.flatMap((hand, i) => teamsOf(able.slice(i + 1), size - 1).map((rest) => [hand, ...rest]))
  const soonest = (item: WorkItem) => {
    const able = item.able
      .filter((hand) => !item.named.includes(hand))
      .sort((a, b) => uses(a) - uses(b) || a - b)
    return teamsOf(able, Math.max(0, item.hands - item.named.length))
      .map((others) => [...item.named, ...others])
      .map((team) => ({
        team,
        begins: workStart(timeOf(team), Math.max(readyAt(item), ...team.map((hand) => free[hand]!))),
      }))
      .reduce((best, one) => (one.begins < best.begins ? one : best))
  }
  const pass = () => {
    const at = items.findIndex(
      (item, i) => item.hands === 0 && ends[i] === undefined && item.after.every((one) => one in ends),
    )
    if (at < 0) return false
    starts[at] = readyAt(items[at]!)
    ends[at] = starts[at]! + lasts(items[at]!)
    return true
  }
  for (;;) {
    while (pass());
    const open = items.flatMap((item, at) =>
      item.hands > 0 && ends[at] === undefined && item.after.every((one) => one in ends)
        ? [{ item, at, ...soonest(item) }]
        : [],
    )
    if (open.length === 0) return starts
    const [first] = open.sort((a, b) => (a.begins === b.begins ? a.at - b.at : a.begins - b.begins))
    const until = workEnd(timeOf(first!.team), first!.begins, lasts(first!.item))
    const urgent = isPatient
      ? open.filter(({ at, begins }) => at < first!.at && begins < until).sort((a, b) => a.at - b.at)
      : []
    const { item, at, team, begins } = urgent[0] ?? first!
    starts[at] = begins
    ends[at] = workEnd(timeOf(team), begins, lasts(item))
    for (const hand of team) free[hand] = ends[at]!
  }
}

/** For certain so long, s. No two are alike, so that nothing is begun at the same moment by chance. */
const lastingFor = (time: number) => ({ by: 'guesses', short: time, likely: time, long: time }) as const
const HANDS = 3
/** Networks for three who are there at different hours, some jobs for one by name or for two, and some that pass by themselves. */
const network = fc
  .record({
    begins: fc.array(fc.integer({ min: 0, max: 20 }), { minLength: HANDS, maxLength: HANDS }),
    jobs: fc.array(
      fc.record({
        likely: fc.integer({ min: 1, max: 12 }),
        hands: fc.integer({ min: 0, max: 2 }),
        named: fc.subarray([0, 1, 2], { maxLength: 2 }),
        able: fc.subarray([0, 1, 2], { minLength: 2 }),
        after: fc.array(fc.nat(11), { maxLength: 2 }),
        cure: fc.constantFrom(0, 0, 5, 30),
        notBefore: fc.constantFrom(0, 0, 40),
      }),
      { minLength: 1, maxLength: 12 },
    ),
  })
  .map(({ begins, jobs }): WorkNetwork => ({
    items: jobs.map((job, place) =>
      jobOf([0, 0, 0], [...new Set(job.after.filter((one) => one < place))], {
        lasts: lastingFor(job.likely * HOUR + place),
        hands: job.hands,
        named: job.hands === 0 ? [] : job.named.slice(0, job.hands),
        able: job.able,
        cure: job.cure * HOUR,
        notBefore: job.notBefore * HOUR,
      }),
    ),
    hands: begins.map((from) =>
      workingTime(
        Array.from({ length: 200 }, (_, day): [number, number] => [
          day * DAY + from * HOUR,
          day * DAY + (from + 10) * HOUR,
        ]),
      ),
    ),
    records: [],
    from: 0,
    targets: [jobs.map((_, at) => at)],
    dues: [Infinity],
  }))

it('is begun as by one who looks at everything that could be begun, each time', () => {
  fc.assert(
    fc.property(network, fc.boolean(), (of, isPatient) => {
      const urgency = Float64Array.from(of.items, (_, at) => at)
      const { starts } = simulateWork(of, { draws: 1, plan: { urgency, isPatient } })
      const plain = plainStarts(of, isPatient)
      starts.forEach(({ middle }, at) => expect(middle).toBe(plain[at]))
    }),
    { numRuns: 300 },
  )
})
