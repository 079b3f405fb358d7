import { normalShare } from '../numeric/normal'
import { CONFIDENCE, type Target } from './judge'
import type { Known } from './known'

/**
 * How likely a measurement is to settle a target, before it is made: it leaves a smaller doubt, and what it will read is
 * itself open by what it takes away.
 *
 * @param known the figure as it is known now
 * @param left its standard uncertainty once that is measured
 * @returns 0 to 1, of either verdict; 0 for a measurement that tells nothing new
 * @source preposterior analysis of a normal with a known variance (Raiffa and Schlaifer, Applied Statistical Decision
 * Theory, 1961, chapter 5, from memory); the verdict by {@link judge}
 * @example chanceSettled({ value: 1214, sigma: 8 }, 1, { comparator: 'atMost', value: 1220, tolerance: 0 }) // 0.876
 */
export function chanceSettled(
  { value, sigma }: Pick<Known, 'value' | 'sigma'>,
  left: number,
  { comparator, value: wanted, tolerance }: Target,
): number {
  const moves = Math.sqrt(Math.max(0, sigma ** 2 - left ** 2))
  if (moves === 0) return 0
  const below = (limit: number) => normalShare((limit - value) / moves)
  const guard = CONFIDENCE * left
  const outside = (limit: number) => below(limit - guard) + 1 - below(limit + guard)
  if (comparator === 'atMost') return outside(wanted + tolerance)
  if (comparator === 'atLeast') return outside(wanted - tolerance)
  const met = Math.max(0, below(wanted + tolerance - guard) - below(wanted - tolerance + guard))
  return met + below(wanted - tolerance - guard) + 1 - below(wanted + tolerance + guard)
}
