/** Items of which the one with the least key is at hand at once. */
export interface RankedHeap {
  readonly size: () => number
  /** The one with the least key; only while there is one. */
  readonly first: () => number
  readonly push: (item: number) => void
  /** Takes the first out. */
  readonly pop: () => number
  readonly clear: () => void
  /** One of them, in no order. */
  readonly at: (place: number) => number
  /** Takes one out by its place. */
  readonly takeAt: (place: number) => number
}

/**
 * A binary heap of whole numbers.
 *
 * @param keys of each item; one that changes while it is in the heap must not
 * @param most how many it can hold
 * @source Williams, Comm. ACM 7 (1964) 347
 * @example const heap = rankedHeap(Float64Array.of(3, 1, 2), 3); heap.push(0); heap.push(2); heap.first() // 2
 */
export function rankedHeap(keys: Float64Array, most: number): RankedHeap {
  const held = new Int32Array(most)
  let size = 0
  const up = (from: number) => {
    let at = from
    const item = held[at]!
    while (at > 0) {
      const above = (at - 1) >> 1
      if (keys[held[above]!]! <= keys[item]!) break
      held[at] = held[above]!
      at = above
    }
    held[at] = item
  }
  const down = (from: number) => {
    let at = from
    const item = held[at]!
    for (;;) {
      let below = 2 * at + 1
      if (below >= size) break
      if (below + 1 < size && keys[held[below + 1]!]! < keys[held[below]!]!) below += 1
      if (keys[item]! <= keys[held[below]!]!) break
      held[at] = held[below]!
      at = below
    }
    held[at] = item
  }
  const takeAt = (place: number): number => {
    const taken = held[place]!
    size -= 1
    if (place < size) {
      held[place] = held[size]!
      down(place)
      up(place)
    }
    return taken
  }
  return {
    size: () => size,
    first: () => held[0]!,
    at: (place) => held[place]!,
    push: (item) => {
      held[size] = item
      size += 1
      up(size - 1)
    },
    pop: () => takeAt(0),
    takeAt,
    clear: () => {
      size = 0
    },
  }
}
