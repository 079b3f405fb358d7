import { formatKnown, formatQuantity, leastFound, type BooksBalance, type Unit } from '@bold-ballast/core'

/**
 * Whether the books balance against a weighing, in a sentence.
 *
 * @param mass the unit it is said in
 */
export function describeBalance({ verdict, difference, sigma }: BooksBalance, mass: Unit): string {
  const { figure, spread, unit } = formatKnown(Math.abs(difference), sigma, mass)
  const apart = `${figure} ±${spread} ${unit}`
  if (verdict === 'balance') return `The books balance: ${apart} apart.`
  return `The books are off: the car is ${apart} ${difference > 0 ? 'heavier' : 'lighter'} than they say.`
}

/** Books that find less than this of a car are good books, kg. */
const GOOD = 5

/**
 * What of the car the books could miss without the scales saying so, where that is much; and where the mass as bought has no ±
 * of its own, that one was taken.
 *
 * @param taken the ± that was taken for the mass as bought, kg; `null` where one was typed
 * @param mass the unit it is said in
 * @returns `null` for books that find five kilos
 * @example describeFinding({ difference: 3, sigma: 12.5, z: 0.24, verdict: 'balance' }, 12, kg)
 */
export function describeFinding(balance: BooksBalance, taken: number | null, mass: Unit): string | null {
  const least = leastFound(balance)
  if (least <= GOOD) return null
  const finds = `These books don’t find less than ${formatQuantity(least, mass, 0)} that nobody listed`
  return taken === null
    ? `${finds}.`
    : `${finds}: the mass as bought has no ± of its own, and ±${formatQuantity(taken, mass, 0)} is taken. Weigh it, or type how well it is known.`
}
