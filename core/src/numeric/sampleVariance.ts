import { mean } from './mean'

/**
 * The sum of the squares of values.
 *
 * @example sumOfSquares([3, 4]) // 25
 */
export const sumOfSquares = (values: readonly number[]): number =>
  values.reduce((sum, value) => sum + value * value, 0)

/** The sum of the squares of what values are off their mean by. */
export function squaresOff(values: readonly number[]): number {
  const middle = mean(values)
  return values.reduce((sum, value) => sum + (value - middle) ** 2, 0)
}

/**
 * The sample variance, with n − 1 below: what repeats say of the spread that they come from.
 *
 * @param values two or more
 * @source JCGM 100:2008, 4.2.2
 * @example sampleVariance([199, 200, 201]) // 1
 */
export const sampleVariance = (values: readonly number[]): number => squaresOff(values) / (values.length - 1)
