import { massAboard } from '@bold-ballast/core'
import type { Car } from './Car'

/**
 * What a condition has aboard beside what the car is reckoned with, kg; nothing for none, and for one that isn't there.
 *
 * @example conditionShift(car, null) // 0
 */
export function conditionShift(
  { build, loads, conditions }: Pick<Car, 'build' | 'loads' | 'conditions'>,
  conditionId: string | null,
): number {
  const condition = conditions.find((c) => c.id === conditionId)
  if (!condition) return 0
  const carriers = { ...build, loads }
  return massAboard(condition, carriers) - massAboard(build.reference, carriers)
}
