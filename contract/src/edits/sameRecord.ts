/**
 * Do two records say the same? Versions don't count, nor does the order of fields, which a database is
 * free to change.
 */
export function sameRecord(a: unknown, b: unknown): boolean {
  if (Object.is(a, b)) return true
  if (typeof a !== 'object' || typeof b !== 'object' || a === null || b === null) return false
  const keys = new Set([...Object.keys(a), ...Object.keys(b)])
  keys.delete('version')
  return [...keys].every((key) =>
    sameRecord((a as Record<string, unknown>)[key], (b as Record<string, unknown>)[key]),
  )
}
