/** Items of which the one with the least key stands first. */
export interface RankedHeap {
  /** Of each item; one that changes while it is in the heap must not. */
  readonly keys: Float64Array
  /** Those that are in it stand at the beginning. */
  readonly held: Int32Array
  size: number
}

/**
 * A binary heap of whole numbers, with nothing in it.
 *
 * @param keys of each item
 * @param most how many it can hold
 * @source Williams, Comm. ACM 7 (1964) 347
 * @example rankedHeap(Float64Array.of(3, 1, 2), 3).size // 0
 */
export const rankedHeap = (keys: Float64Array, most: number): RankedHeap => ({
  keys,
  held: new Int32Array(most),
  size: 0,
})

function moveUp({ keys, held }: RankedHeap, from: number) {
  let at = from
  const item = held[at]!
  const key = keys[item]!
  while (at > 0) {
    const above = (at - 1) >> 1
    if (keys[held[above]!]! <= key) break
    held[at] = held[above]!
    at = above
  }
  held[at] = item
}

function moveDown({ keys, held, size }: RankedHeap, from: number) {
  let at = from
  const item = held[at]!
  const key = keys[item]!
  for (;;) {
    let below = 2 * at + 1
    if (below >= size) break
    if (below + 1 < size && keys[held[below + 1]!]! < keys[held[below]!]!) below += 1
    if (key <= keys[held[below]!]!) break
    held[at] = held[below]!
    at = below
  }
  held[at] = item
}

/**
 * Puts an item in.
 *
 * @example const heap = rankedHeap(Float64Array.of(3, 1, 2), 3); heapPush(heap, 0); heapPush(heap, 2); heap.held[0] // 2
 */
export function heapPush(heap: RankedHeap, item: number): void {
  heap.held[heap.size] = item
  heap.size += 1
  moveUp(heap, heap.size - 1)
}

/**
 * Takes an item out by its place, the first if none is named; only while there is one.
 *
 * @example const heap = rankedHeap(Float64Array.of(3, 1), 2); heapPush(heap, 0); heapPush(heap, 1); heapTake(heap) // 1
 */
export function heapTake(heap: RankedHeap, place = 0): number {
  const { held } = heap
  const taken = held[place]!
  heap.size -= 1
  if (place < heap.size) {
    held[place] = held[heap.size]!
    moveDown(heap, place)
    if (place > 0) moveUp(heap, place)
  }
  return taken
}
