import { cholesky, forwards, logDeterminantOf, type Triangular } from '../numeric/cholesky'
import { mean } from '../numeric/mean'

/** A log of a car that rolls out, in stretches: what is fitted, column by column, and when. SI. */
export interface CoastStretches {
  readonly time: readonly number[]
  readonly speed: readonly number[]
  /** Points in each. */
  readonly counts: readonly number[]
  readonly columns: readonly (readonly number[])[]
  /** Rolled so far, m. */
  readonly way: readonly number[]
}

interface CoastRow {
  readonly time: number
  readonly speed: number
  readonly columns: readonly number[]
  readonly way: number
}

/** As many stretches of a run tell all of what is slow, and each is short against what hangs together. */
const STRETCHES = 30

/**
 * A log in stretches of equal time, each the mean of its points: what is quicker than a stretch tells nothing of drag, and
 * hangs together in ways that nobody knows.
 *
 * @param rows point by point
 * @example stretchesOf([{ time: 0, speed: 40, columns: [0], way: 0 }, { time: 60, speed: 20, columns: [1], way: 1 }]).speed // [40, 20]
 */
export function stretchesOf(rows: readonly CoastRow[]): CoastStretches {
  const [from, to] = [rows[0]!.time, rows.at(-1)!.time]
  const groups = new Map<number, CoastRow[]>()
  for (const row of rows) {
    const at = Math.min(STRETCHES - 1, Math.floor((STRETCHES * (row.time - from)) / (to - from)))
    groups.set(at, [...(groups.get(at) ?? []), row])
  }
  const all = [...groups.values()]
  const of = (value: (row: CoastRow) => number) => all.map((group) => mean(group.map(value)))
  return {
    time: of((row) => row.time),
    speed: of((row) => row.speed),
    counts: all.map((group) => group.length),
    columns: rows[0]!.columns.map((_, c) => of((row) => row.columns[c]!)),
    way: of((row) => row.way),
  }
}

/** What the errors of a log may be, for a sensor's noise of one over a stretch. */
export interface CoastErrors {
  /** How many times larger than the sensor's noise over a stretch what hangs together is, and gusts at the end, in variance. */
  readonly hanging: number
  readonly gusts: number
  readonly logDeterminant: number
  /** Independent pieces that slow errors come in: as many as they can be known by; Infinity without gusts. */
  readonly pieces: number
  /** How likely it is before the log is looked at. */
  readonly before: number
  /** Makes a column of one run independent. */
  readonly whiten: (run: number, column: readonly number[]) => readonly number[]
}

/** Shares in variance against a sensor's noise over a stretch. */
const HANGING = [0, 1, 10, 100, 1000]
const GUSTS = [0, 3, 30, 300, 3000, 30_000]
/** What hangs together dies away after about so long, of the run; hills are so long, m; gusts last so long, s. */
const LASTING = [0.03, 0.11]
const HILLS = [100, 250, 600]
const GUST_LASTS = [4, 15, 50]
/** How likely gusts are that push, before the log is looked at (common practice). */
const GUSTY = 0.5

/** Errors that die away, by how far apart they are. */
const dying = ({ time }: CoastStretches, lasting: number): number[][] =>
  time.map((a) => time.map((b) => Math.exp(-Math.abs(a - b) / lasting)))

/** A road that goes up and down takes speed and gives it back, g·h/v, in waves along the way that don't stay in step for long. */
function rolling({ way, speed }: CoastStretches, hill: number): number[][] {
  const slowest = Math.min(...speed)
  return way.map((a, i) =>
    way.map((b, j) => {
      const apart = Math.abs(a - b)
      const size = slowest ** 2 / (speed[i]! * speed[j]!)
      return size * Math.cos((2 * Math.PI * apart) / hill) * Math.exp(-apart / hill)
    }),
  )
}

/** Gusts push; what they push stays in the speed: the sum of what dies away, faster as the car is. */
function pushed({ time, speed }: CoastStretches, lasting: number): number[][] {
  const steps = time.map((t, i) => (i === 0 ? 0 : t - time[i - 1]!))
  const middle = mean(speed)
  const push = time.map((a, i) =>
    time.map(
      (b, j) =>
        steps[i]! *
        steps[j]! *
        Math.exp(-Math.abs(a - b) / lasting) *
        ((speed[i]! * speed[j]!) / middle ** 2),
    ),
  )
  // Summed along both, from the start on.
  const sums = push.map((row) => [...row])
  for (let i = 0; i < sums.length; i += 1)
    for (let j = 0; j < sums.length; j += 1)
      sums[i]![j]! +=
        (i > 0 ? sums[i - 1]![j]! : 0) +
        (j > 0 ? sums[i]![j - 1]! : 0) -
        (i > 0 && j > 0 ? sums[i - 1]![j - 1]! : 0)
  const most = sums.at(-1)!.at(-1)! || 1
  return sums.map((row) => row.map((x) => x / most))
}

/**
 * All that the errors of some runs may be: a sensor's own noise, what hangs together and dies away (a logger that smooths, a
 * road that undulates), and what pushes the car about for good (gusts), each in many sizes.
 *
 * @example coastErrors([stretches]).length // 336
 */
export function coastErrors(runs: readonly CoastStretches[]): CoastErrors[] {
  const own = runs.map(({ counts }) => {
    const usual = mean(counts)
    return counts.map((count) => usual / count)
  })
  const lasting = (run: CoastStretches, share: number) => share * (run.time.at(-1)! - run.time[0]!)
  const dyings = [
    ...LASTING.map((share) => runs.map((run) => dying(run, lasting(run, share)))),
    ...HILLS.map((hill) => runs.map((run) => rolling(run, hill))),
  ]
  const pushes = GUST_LASTS.map((lasts) => runs.map((run) => pushed(run, lasts)))
  const found: CoastErrors[] = []
  for (const hanging of HANGING)
    for (const [d, died] of dyings.entries()) {
      if (hanging === 0 && d > 0) continue
      for (const gusts of GUSTS)
        for (const [p, push] of pushes.entries()) {
          if (gusts === 0 && p > 0) continue
          const triangles = runs.map((_, r) => {
            const [dies, stays] = [died[r]!, push[r]!]
            return cholesky(
              own[r]!.map((noise, i) => {
                const row = new Array<number>(i + 1)
                for (let j = 0; j <= i; j += 1) row[j] = hanging * dies[i]![j]! + gusts * stays[i]![j]!
                row[i]! += noise
                return row
              }),
            )
          })
          if (triangles.some((one) => one === null)) continue
          const all = triangles as readonly Triangular[]
          found.push({
            hanging,
            gusts,
            pieces:
              gusts === 0
                ? Infinity
                : runs.reduce((sum, run) => sum + (2 * lasting(run, 1)) / GUST_LASTS[p]!, 0),
            before:
              (hanging === 0 ? 1 : 1 / dyings.length) *
              (gusts === 0 ? 1 - GUSTY : GUSTY / (GUSTS.length - 1) / GUST_LASTS.length),
            logDeterminant: all.reduce((sum, one) => sum + logDeterminantOf(one), 0),
            whiten: (run, column) => forwards(all[run]!, column),
          })
        }
    }
  return found
}
