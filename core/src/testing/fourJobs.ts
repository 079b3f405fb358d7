import type { Lasts, WorkItem, WorkNetwork } from '../work/WorkNetwork'
import { workingTime } from '../work/workingTime'

const HOUR = 3600

/** A job of so many hours, by three guesses, that any hand can do. */
export const jobOf = (
  [short, likely, long]: readonly [number, number, number],
  after: readonly number[],
  more: Partial<WorkItem> = {},
): WorkItem => {
  const lasts: Lasts = { by: 'guesses', short: short * HOUR, likely: likely * HOUR, long: long * HOUR }
  return { lasts, hands: 1, named: [], able: [0], after, cure: 0, notBefore: -Infinity, ...more }
}

/** The network of HANDBOOK 13: A before B and C, D after both. As many hands as needed. */
export const fourJobs: WorkNetwork = {
  items: [jobOf([2, 3, 7], []), jobOf([1, 2, 4], [0]), jobOf([3, 4, 8], [0]), jobOf([1, 1.5, 3], [1, 2])],
  hands: null,
  records: [],
  from: 0,
  targets: [[3]],
  dues: [Infinity],
}

/** The same for one pair of hands, who never sleeps. */
export const fourJobsAlone: WorkNetwork = { ...fourJobs, hands: [workingTime([[0, 1e6]])] }
