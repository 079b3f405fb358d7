import { QUANTITIES, unitsOf, type Quantity, type Unit } from './quantities'

const plain = (text: string) => text.trim().toLowerCase().replace(/\s+/g, ' ').replace(/\.$/, '')

/**
 * The unit of a quantity that a spelling stands for, or `undefined`.
 *
 * The symbol itself is tried first and exactly, because `T` and `t` or `M` and `m` may differ.
 *
 * @example unitNamed('mass', 'lbs')?.symbol // 'lb'
 */
export function unitNamed(quantity: Quantity, spelling: string): Unit | undefined {
  const exact = unitsOf(quantity).find((u) => u.symbol === spelling.trim())
  if (exact) return exact
  const wanted = plain(spelling)
  return unitsOf(quantity).find((u) => u.symbol.toLowerCase() === wanted || u.aliases.includes(wanted))
}

/**
 * A unit that is known to be there.
 *
 * @throws {RangeError} where the quantity has no such unit
 * @example unitOf('engineSpeed', 'rpm').symbol // 'rpm'
 */
export function unitOf(quantity: Quantity, symbol: string): Unit {
  const found = unitNamed(quantity, symbol)
  if (!found) throw new RangeError(`no unit ${symbol} of ${quantity}`)
  return found
}

/**
 * The quantity that a unit spelling belongs to, so that a mistake can be named: "12 psi is a pressure".
 *
 * @example quantityOf('psi') // 'pressure'
 */
export function quantityOf(spelling: string): Quantity | undefined {
  return (Object.keys(QUANTITIES) as Quantity[]).find((quantity) => unitNamed(quantity, spelling))
}
