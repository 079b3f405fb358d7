import { doubtName } from '../evidence/doubtNames'
import { known, type Known } from '../evidence/known'
import type { LedgerLine } from './ledger'

/**
 * What all pieces of a line weigh together. Pieces of a kind share the error of the one reading, so the
 * uncertainty scales with their number instead of its root.
 *
 * @example lineMass({ mass: 0.4, sigma: null, grade: 'measured', quantity: 4 }) // { value: 1.6, sigma: 0.016, … }
 */
export function lineMass(line: Pick<LedgerLine, 'mass' | 'sigma' | 'grade' | 'quantity' | 'alsoAt'>): Known {
  const one = known(line.mass, line.grade, line.sigma)
  const pieces = piecesOf(line)
  return { value: one.value * pieces, sigma: one.sigma * pieces, grade: line.grade }
}

/** Pieces of a line at all its places. */
export const piecesOf = ({ quantity, alsoAt }: Pick<LedgerLine, 'quantity' | 'alsoAt'>): number =>
  alsoAt ? alsoAt.reduce((sum, place) => sum + place.quantity, quantity) : quantity

/**
 * How a line changes the car's mass: −1 for what comes off, +1 for what goes on or is carried over, 0 for
 * what is only moved. A carried-over part counts up because it was weighed with the part that came off.
 */
export function lineSign(line: Pick<LedgerLine, 'kind'>): -1 | 0 | 1 {
  return line.kind === 'off' ? -1 : line.kind === 'moved' ? 0 : 1
}

/**
 * The same with what it shares with other lines, by name; the rest is its own.
 *
 * @example sharedMass({ ...line, mass: 10, grade: 'guess', quantity: 1, sharing: { with: 'all that is a guess', relative: 0.1 } }).sigma // 2.236
 */
export function sharedMass(line: LedgerLine): Known {
  const own = lineMass(line)
  if (!line.sharing) return own
  const shared = line.sharing.relative * own.value
  return {
    ...own,
    sigma: Math.hypot(own.sigma, shared),
    doubts: { [doubtName.shared(line.sharing.with)]: shared },
  }
}
