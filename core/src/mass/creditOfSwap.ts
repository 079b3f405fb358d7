import { isMeasured } from '../evidence/grade'
import { sumKnown, type Known } from '../evidence/known'
import type { LedgerLine } from './ledger'
import { lineMass, lineSign } from './lineMass'

export interface Credit {
  /** Change of the car's mass, kg: negative is a saving. */
  readonly net: Known
  readonly state: 'banked' | 'pending' | 'empty'
  /** Lines that nobody has weighed. */
  readonly unweighed: number
  /** Lines that are not yet off, or not yet fitted. */
  readonly unfitted: number
}

/**
 * The credit of one swap: Σ on + carried over − Σ off.
 *
 * It is banked only once every line on both sides is weighed and fitted: a heavy door is no saving until
 * its glass and latch have moved to the replacement.
 *
 * @source common practice
 * @example creditOfSwap([{ ...line, kind: 'off', mass: 25.4 }, { ...line, mass: 4.9 }]).net.value // −20.5
 */
export function creditOfSwap(lines: readonly LedgerLine[]): Credit {
  const net = sumKnown(lines.map((line) => ({ known: lineMass(line), times: lineSign(line) })))
  const unweighed = lines.filter((line) => !isMeasured(line.grade)).length
  const unfitted = lines.filter((line) => !line.fitted).length
  const state = lines.length === 0 ? 'empty' : unweighed + unfitted === 0 ? 'banked' : 'pending'
  return { net, state, unweighed, unfitted }
}
