/** Stretches in which somebody is at work, s from any origin, one after the other, and none of them touching the next. */
export interface WorkingTime {
  readonly starts: Float64Array
  readonly ends: Float64Array
  /** Work that lies before each stretch, s. */
  readonly before: Float64Array
}

/**
 * Working time from stretches in any order; those that overlap are one.
 *
 * @param stretches each from and until, s
 * @example [...workingTime([[0, 3600], [7200, 9000], [1800, 5400]]).ends] // [5400, 9000]
 */
export function workingTime(stretches: readonly (readonly [number, number])[]): WorkingTime {
  const joined: [number, number][] = []
  for (const [from, until] of [...stretches].sort((a, b) => a[0] - b[0])) {
    if (!(until > from)) continue
    const last = joined.at(-1)
    if (last && from <= last[1]) last[1] = Math.max(last[1], until)
    else joined.push([from, until])
  }
  let sum = 0
  const before = joined.map(([from, until]) => {
    sum += until - from
    return sum - (until - from)
  })
  return {
    starts: Float64Array.from(joined, ([from]) => from),
    ends: Float64Array.from(joined, ([, until]) => until),
    before: Float64Array.from(before),
  }
}

/**
 * The first stretch that ends after a moment; as many as there are where none does.
 *
 * @example stretchAt(workingTime([[0, 10], [20, 30]]), 15) // 1
 */
export function stretchAt({ ends }: WorkingTime, moment: number): number {
  let [low, high] = [0, ends.length]
  while (low < high) {
    const middle = (low + high) >>> 1
    if (ends[middle]! > moment) high = middle
    else low = middle + 1
  }
  return low
}

/**
 * When work can begin that is ready at a moment; infinite where nobody is at work any more.
 *
 * @example workStart(workingTime([[0, 10], [20, 30]]), 15) // 20
 */
export function workStart(time: WorkingTime, ready: number): number {
  const at = stretchAt(time, ready)
  return at === time.ends.length ? Infinity : Math.max(ready, time.starts[at]!)
}

/**
 * When work is done that begins at a moment and rests outside of working time; infinite where the time at hand isn't enough.
 *
 * @param work s of it
 * @example workEnd(workingTime([[0, 10], [20, 30]]), 5, 8) // 23
 */
export function workEnd(time: WorkingTime, start: number, work: number): number {
  const { starts, ends, before } = time
  let at = stretchAt(time, start)
  if (at === ends.length) return work > 0 ? Infinity : start
  const from = Math.max(start, starts[at]!)
  if (work <= ends[at]! - from) return from + work
  // As much as will have been worked, counted from the first stretch on.
  const until = before[at]! + (from - starts[at]!) + work
  let high = before.length - 1
  while (at < high) {
    const middle = (at + high + 1) >>> 1
    if (before[middle]! < until) at = middle
    else high = middle - 1
  }
  const end = starts[at]! + (until - before[at]!)
  return end <= ends[at]! ? end : Infinity
}

/**
 * How much work lies between two moments, s.
 *
 * @example workBetween(workingTime([[0, 10], [20, 30]]), 5, 25) // 10
 */
export function workBetween(time: WorkingTime, from: number, until: number): number {
  const upTo = (moment: number) => {
    const at = stretchAt(time, moment)
    if (at < time.ends.length) return time.before[at]! + Math.max(0, moment - time.starts[at]!)
    const last = time.ends.length - 1
    return last < 0 ? 0 : time.before[last]! + time.ends[last]! - time.starts[last]!
  }
  return until > from ? upTo(until) - upTo(from) : 0
}

/**
 * Where all of several are at work.
 *
 * @example [...inCommon([workingTime([[0, 10]]), workingTime([[5, 20]])]).starts] // [5]
 */
export function inCommon(all: readonly WorkingTime[]): WorkingTime {
  const [first, ...rest] = all
  if (!first) return workingTime([])
  return rest.reduce((so, other) => {
    const both: [number, number][] = []
    for (let i = 0, j = 0; i < so.ends.length && j < other.ends.length;) {
      const from = Math.max(so.starts[i]!, other.starts[j]!)
      const until = Math.min(so.ends[i]!, other.ends[j]!)
      if (until > from) both.push([from, until])
      if (so.ends[i]! < other.ends[j]!) i += 1
      else j += 1
    }
    return workingTime(both)
  }, first)
}
