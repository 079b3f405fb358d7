/**
 * Whether each value lies above the one before it.
 *
 * @example isRising([1, 2, 2]) // false
 */
export const isRising = (values: readonly number[]): boolean =>
  values.every((value, i) => i === 0 || value > values[i - 1]!)
