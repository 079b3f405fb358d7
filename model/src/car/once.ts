/** Worked out when it is asked for first, and kept. */
export function once<T>(compute: () => T): () => T {
  let kept: { readonly value: T } | null = null
  return () => (kept ??= { value: compute() }).value
}
