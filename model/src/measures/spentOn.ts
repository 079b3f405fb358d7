import type { MarkFigures } from '@bold-ballast/core'
import type { Car } from '../car/Car'
import { countedUp, NOTHING } from './computedFigures'

/** What the swaps so far cost or take, as far as somebody typed it; evidence once everything is fitted. */
export function spentOn(
  { swaps, summary }: Pick<Car, 'swaps' | 'summary'>,
  field: 'cost' | 'workTime',
): MarkFigures {
  const counted = swaps.flatMap(({ swap }) => swap[field] ?? [])
  if (counted.length === 0) return NOTHING
  const sum = counted.reduce((a, b) => a + b, 0)
  return countedUp(sum, summary.openLinesSoFar === 0)
}
