/**
 * What a map has under a key that it must have.
 *
 * @param map any map
 * @param key a key of it
 * @returns the value
 * @throws {RangeError} when it has no such key
 * @example valueAt(new Map([['front', 0.52]]), 'front') // 0.52
 */
export function valueAt<K, V>(map: ReadonlyMap<K, V>, key: K): V {
  if (!map.has(key)) throw new RangeError(`There is nothing under ${String(key)}.`)
  return map.get(key) as V
}
