import { known, type Known } from '../evidence/known'
import type { LedgerLine } from './ledger'

/**
 * What all pieces of a line weigh together. Pieces of a kind share the error of the one reading, so the
 * uncertainty scales with their number instead of its root.
 *
 * @example lineMass({ mass: 0.4, sigma: null, grade: 'measured', quantity: 4 }) // 1.6 ±0.016 kg
 */
export function lineMass(line: Pick<LedgerLine, 'mass' | 'sigma' | 'grade' | 'quantity'>): Known {
  const one = known(line.mass, line.grade, line.sigma)
  return { value: one.value * line.quantity, sigma: one.sigma * line.quantity, grade: line.grade }
}

/**
 * How a line changes the car's mass: −1 for what comes off, +1 for what goes on or is carried over, 0 for
 * what is only moved. A carried-over part counts up because it was weighed with the part that came off.
 */
export function lineSign(line: Pick<LedgerLine, 'kind'>): -1 | 0 | 1 {
  return line.kind === 'off' ? -1 : line.kind === 'moved' ? 0 : 1
}
