/**
 * The order of a record that is to stand behind others.
 *
 * @example nextOrder([{ order: 0 }, { order: 4 }]) // 5
 */
export const nextOrder = (others: readonly { readonly order: number }[]): number =>
  Math.max(-1, ...others.map((other) => other.order)) + 1
