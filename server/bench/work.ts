import {
  commonRatio,
  planWork,
  randomBits,
  simulateWork,
  weekStretches,
  workingTime,
  type WorkItem,
  type WorkNetwork,
} from '@bold-ballast/core'
import { median, say } from './median'

/** A workshop of three, 300 jobs and waits, drawn as the Shop draws them. */
const JOBS = 300
const HOUR = 3600
const bits = randomBits(3)
const chance = () => (bits() >>> 0) / 2 ** 32
const week = (['mon', 'tue', 'wed', 'thu', 'sat'] as const).map((day) => ({
  day,
  from: '18:00',
  until: '22:00',
}))
const from = Date.parse('2026-11-29T12:00:00Z') / 1000
const item = (at: number): WorkItem => ({
  lasts:
    at % 3 === 0
      ? { by: 'guesses', short: HOUR, likely: 2 * HOUR, long: 5 * HOUR }
      : { by: 'promise', promised: HOUR * (1 + 3 * chance()), record: 0 },
  hands: at % 9 === 0 ? 2 : at % 17 === 0 ? 0 : 1,
  named: at % 4 === 0 ? [at % 3] : [],
  able: [0, 1, 2],
  after:
    at === 0
      ? []
      : [...new Set([Math.floor(at * chance()), Math.max(0, at - 1 - Math.floor(12 * chance()))])],
  cure: at % 11 === 0 ? 24 * HOUR : 0,
  notBefore: -Infinity,
})
const items = Array.from({ length: JOBS }, (_, at) => item(at))
const network: WorkNetwork = {
  items,
  hands: [0, 1, 2].map(() => workingTime(weekStretches(week, [], '2026-11-29', 1400, 'Europe/Berlin'))),
  records: [commonRatio(2)],
  from,
  targets: [items.map((_, at) => at)],
  dues: [Infinity],
}
const plan = planWork(network)
const took = (draws: number) => median(() => void simulateWork(network, { draws, plan }))
took(500)
say(`${JOBS} jobs, 2,500 draws: half of all, as each of two workers has it`, took(2500), 'goal 1,000 ms')
say(`${JOBS} jobs, 100 draws: while one is dragged`, took(100), 'goal 100 ms')
