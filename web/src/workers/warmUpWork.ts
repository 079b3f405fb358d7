import {
  commonRatio,
  plansOf,
  simulateWork,
  workingTime,
  type WorkItem,
  type WorkNetwork,
} from '@bold-ballast/core'

const HOUR = 3600
/** A moment of these years: what is compiled for small numbers is compiled anew for large ones. */
const FROM = 1.8e9
const JOBS = 40
const DRAWS = 400

/** Jobs of all sorts, for three, eight hours a day. */
function anyWork(): WorkNetwork {
  const days = (begins: number) =>
    workingTime(
      Array.from({ length: 60 }, (_, day): [number, number] => [
        FROM + (24 * day + begins) * HOUR,
        FROM + (24 * day + begins + 8) * HOUR,
      ]),
    )
  const items = Array.from({ length: JOBS }, (_, at): WorkItem => ({
    lasts:
      at % 5 === 0
        ? { by: 'promise', promised: HOUR, record: 0 }
        : { by: 'guesses', short: HOUR, likely: 1.5 * HOUR, long: 2.5 * HOUR },
    hands: at % 7 === 3 ? 0 : at % 6 === 0 ? 2 : 1,
    named: at % 4 === 0 ? [at % 3] : [],
    able: [0, 1, 2],
    after: [at - 2, at - 5].filter((before) => before >= 0),
    cure: at % 9 === 0 ? HOUR : 0,
    notBefore: -Infinity,
  }))
  const all = items.map((_, at) => at)
  return {
    items,
    hands: [0, 1, 2].map(days),
    records: [commonRatio(2)],
    from: FROM,
    targets: [[JOBS - 1], all],
    dues: [Infinity, Infinity],
  }
}

/**
 * Works through jobs that nobody asks for: a browser compiles what runs often, and a worker that has done so draws three times
 * as fast from its first draw on. It has nothing else to do until the build is there.
 */
export function warmUpWork() {
  const network = anyWork()
  for (const plan of plansOf(network)) simulateWork(network, { draws: DRAWS, plan })
}
