import type { Reach, WorkOutcome } from './simulateWork'

const joined = (lists: readonly Float64Array[]): Float64Array => {
  const all = new Float64Array(lists.reduce((sum, list) => sum + list.length, 0))
  let at = 0
  for (const list of lists) {
    all.set(list, at)
    at += list.length
  }
  return all
}

/**
 * One outcome of several that were drawn apart, by workers beside each other, with as many draws each: finishes stand one
 * behind the other, shares and reaches are their means.
 *
 * @param parts one or more, of the same network
 * @example joinOutcomes([outcome, outcome]).finishes[0].length // 20
 */
export function joinOutcomes(parts: readonly WorkOutcome[]): WorkOutcome {
  const [first] = parts
  if (!first || parts.length === 1) return first!
  const mean = (of: (part: WorkOutcome) => number) =>
    parts.reduce((sum, part) => sum + of(part), 0) / parts.length
  const shares = (of: (part: WorkOutcome) => readonly Float64Array[]) =>
    of(first).map((list, i) => list.map((_, at) => mean((part) => of(part)[i]![at]!)))
  const reaches = (of: (part: WorkOutcome) => readonly Reach[]) =>
    of(first).map((_, at) => ({
      early: mean((part) => of(part)[at]!.early),
      middle: mean((part) => of(part)[at]!.middle),
      late: mean((part) => of(part)[at]!.late),
    }))
  return {
    finishes: first.finishes.map((_, i) => joined(parts.map((part) => part.finishes[i]!))),
    critical: shares((part) => part.critical),
    starts: reaches((part) => part.starts),
    ends: reaches((part) => part.ends),
    doneBy: shares((part) => part.doneBy),
  }
}
