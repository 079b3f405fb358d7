import { randomBits } from '../numeric/randomBits'

/** So many changes are split exactly; above, orders are drawn. */
export const MOST_EXACT = 10

/**
 * What each of several changes is worth, split fairly: the mean of what it adds over all orders in which they could
 * have been made. The order in which changes are counted matters, so no one order is fair.
 *
 * @param count of changes, n
 * @param worths of every set of them, 2ⁿ values: bit i of the index says that change i is in
 * @returns one share for each change; together they are the whole
 * @throws {RangeError} when there are not 2ⁿ worths, or too many changes
 * @source L. S. Shapley, A value for n-person games, Contributions to the Theory of Games II (1953) 307:
 * Σ |S|!(n − |S| − 1)!/n!·(v(S ∪ i) − v(S))
 * @example shapleyExact(2, [0, 1, 2, 5]) // [2, 3]
 */
export function shapleyExact(count: number, worths: ArrayLike<number>): number[] {
  if (!(count >= 0 && count <= 20)) throw new RangeError('at most 20 changes are split exactly')
  if (worths.length !== 2 ** count) throw new RangeError('every set of changes has a worth')
  // |S|!(n − |S| − 1)!/n! by size, without factorials: 1/n over the binomial of n − 1 and |S|.
  const weights: number[] = []
  let binomial = 1
  for (let size = 0; size < count; size += 1) {
    weights.push(1 / (count * binomial))
    binomial = (binomial * (count - 1 - size)) / (size + 1)
  }
  const shares = new Array<number>(count).fill(0)
  for (let set = 0; set < worths.length; set += 1) {
    let size = 0
    for (let bits = set; bits; bits &= bits - 1) size += 1
    for (let i = 0; i < count; i += 1)
      if (!(set & (1 << i))) shares[i]! += weights[size]! * (worths[set | (1 << i)]! - worths[set]!)
  }
  return shares
}

/**
 * The same from orders that are drawn, for more changes than can be tried in every set, with its standard error.
 *
 * @param worth of a set of changes
 * @param options.orders how many are drawn; each is also run backwards, which evens out much of the noise
 * @throws {RangeError} for fewer than two orders
 * @source Castro, Gómez and Tejada, Computers & Operations Research 36 (2009) 1726: sampling of permutations
 * @example shapleySampled(12, worth, { orders: 60 })[0] // { value: 2, sigma: 0 }
 */
export function shapleySampled(
  count: number,
  worth: (isIn: readonly boolean[]) => number,
  { orders = 60, seed = 1 }: { readonly orders?: number; readonly seed?: number } = {},
): { readonly value: number; readonly sigma: number }[] {
  if (!(orders >= 2)) throw new RangeError('two orders are the least')
  const bits = randomBits(seed)
  const sums = new Float64Array(count)
  const squares = new Float64Array(count)
  const none = worth(new Array<boolean>(count).fill(false))
  const along = (order: readonly number[]): number[] => {
    const isIn = new Array<boolean>(count).fill(false)
    const adds = new Array<number>(count).fill(0)
    let before = none
    for (const i of order) {
      isIn[i] = true
      const after = worth([...isIn])
      adds[i] = after - before
      before = after
    }
    return adds
  }
  for (let o = 0; o < orders; o += 1) {
    const order = Array.from({ length: count }, (_, i) => i)
    for (let i = count - 1; i > 0; i -= 1) {
      const j = (bits() >>> 0) % (i + 1)
      ;[order[i], order[j]] = [order[j]!, order[i]!]
    }
    const [there, back] = [along(order), along([...order].reverse())]
    for (let i = 0; i < count; i += 1) {
      const mean = (there[i]! + back[i]!) / 2
      sums[i]! += mean
      squares[i]! += mean * mean
    }
  }
  return Array.from({ length: count }, (_, i) => {
    const value = sums[i]! / orders
    const variance = Math.max(0, squares[i]! / orders - value * value) * (orders / (orders - 1))
    return { value, sigma: Math.sqrt(variance / orders) }
  })
}
