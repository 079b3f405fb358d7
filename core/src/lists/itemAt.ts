/**
 * The item at a place of a list that must have one there.
 *
 * A place that is taken for there gives `undefined`, which turns into NaN three functions further on;
 * this says at once which place was missing.
 *
 * @param list any list
 * @param index from 0; negative counts from the end, −1 is the last
 * @returns the item
 * @throws {RangeError} when the list has no such place
 * @example itemAt([1, 2, 3], -1) // 3
 */
export function itemAt<T>(list: ArrayLike<T>, index: number): T {
  const at = index < 0 ? list.length + index : index
  if (!Number.isInteger(at) || at < 0 || at >= list.length)
    throw new RangeError(`There is no item ${index} in a list of ${list.length}.`)
  return list[at] as T
}
