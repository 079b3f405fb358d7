import { formatKnown, type BooksBalance, type Unit } from '@bold-ballast/core'

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
