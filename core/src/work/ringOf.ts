/**
 * Jobs that wait for each other in a ring, so that none of them can begin.
 *
 * @param after of each job, the places of those that come before it
 * @returns the places round the ring, each after the one before it and the first after the last; `null` where there is none
 * @source depth-first search: Cormen et al., Introduction to Algorithms, 22.3
 * @example ringOf([[1], [2], [0], []]) // [2, 1, 0]
 */
export function ringOf(after: readonly (readonly number[])[]): number[] | null {
  const NEW = 0
  const OPEN = 1
  const CLOSED = 2
  const state = after.map(() => NEW)
  for (let root = 0; root < after.length; root += 1) {
    if (state[root] !== NEW) continue
    const path = [root]
    const next = [0]
    state[root] = OPEN
    while (path.length > 0) {
      const at = path.at(-1)!
      const before = after[at]![next.at(-1)!]
      next[next.length - 1]! += 1
      if (before === undefined) {
        state[at] = CLOSED
        path.pop()
        next.pop()
      } else if (state[before] === OPEN) return path.slice(path.indexOf(before)).reverse()
      else if (state[before] === NEW) {
        state[before] = OPEN
        path.push(before)
        next.push(0)
      }
    }
  }
  return null
}

/**
 * The link of a ring to cut: the one that has a job wait for one that was written down later, the longest step back.
 *
 * @param ring as `ringOf` gives it
 * @param order where each job stands in the list
 * @returns places of the job and of the one that it should no longer wait for
 * @source common practice: what was written down first is mostly done first
 * @example linkToCut([2, 1, 0], [0, 1, 2]) // { job: 1, before: 2 }
 */
export function linkToCut(
  ring: readonly number[],
  order: readonly number[],
): { job: number; before: number } {
  const links = ring.map((job, i) => ({ job, before: ring.at(i - 1)! }))
  const back = ({ job, before }: { job: number; before: number }) => order[before]! - order[job]!
  return links.reduce((best, link) => (back(link) > back(best) ? link : best))
}
