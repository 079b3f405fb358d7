import { sumKnown, type Known } from '../evidence/known'
import { creditOfSwap, type Credit } from '../mass/creditOfSwap'
import type { LedgerLine } from '../mass/ledger'

export interface StageCredit {
  /** Everything the stage changes, kg. */
  readonly net: Known
  readonly banked: Known
  readonly pending: Known
}

/**
 * What a stage's swaps are worth: the change, and how much of it is banked or pending, always apart.
 *
 * @param swaps the lines of each swap
 */
export function totalsOfStage(swaps: readonly (readonly LedgerLine[])[]): StageCredit {
  const credits = swaps.map(creditOfSwap)
  const total = (of: readonly Credit[]) => sumKnown(of.map((c) => ({ known: c.net, times: 1 })))
  return {
    net: total(credits),
    banked: total(credits.filter((c) => c.state === 'banked')),
    pending: total(credits.filter((c) => c.state === 'pending')),
  }
}
