/**
 * A chance as it is said of a mark: in tenths, which is as finely as anybody can tell, and in hundredths near both ends.
 *
 * @param chance 0 to 1
 * @example sayOdds(0.87) // '9 in 10'
 */
export function sayOdds(chance: number): string {
  if (chance > 0.995) return 'over 99 in 100'
  if (chance < 0.005) return 'under 1 in 100'
  const isNearEnd = chance < 0.05 || chance > 0.95
  return isNearEnd ? `${Math.round(chance * 100)} in 100` : `${Math.round(chance * 10)} in 10`
}
