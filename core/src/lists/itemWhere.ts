/**
 * The first item of a list that is as wanted, where there must be one.
 *
 * @param list any list
 * @param isWanted tells whether an item is it
 * @returns the item
 * @throws {RangeError} when none is
 * @example itemWhere([1, 2, 3], (n) => n > 1) // 2
 */
export function itemWhere<T>(list: readonly T[], isWanted: (item: T, index: number) => boolean): T {
  const index = list.findIndex(isWanted)
  if (index < 0) throw new RangeError(`None of ${list.length} is it.`)
  return list[index] as T
}
