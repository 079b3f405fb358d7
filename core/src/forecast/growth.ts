import type { Grade } from '../evidence/grade'

/** Share that a part is expected to turn out heavier than planned, by how its mass is known. */
export type GrowthAllowance = Readonly<Record<Grade, number>>

/**
 * Mass growth allowance: parts still to come turn out heavier than planned, the less is known the more.
 *
 * @source ANSI/AIAA S-120A and SAWE RP A-3 for the discipline; the figures are the product's
 * own and editable. That parts still to come turn out heavier is common practice.
 */
export const USUAL_GROWTH: GrowthAllowance = { guess: 0.15, claim: 0.05, measured: 0, proven: 0 }

/** How far all guesses, and all claims, of a build may lean the same way, as shares of what is still open. */
export interface Lean {
  readonly guess: number
  readonly claim: number
}

/**
 * Guesses lean the same way: one head made them, one optimism is in all of them. So a part of what is still open is one
 * error, common to all lines of a grade, that no number of lines averages out. It is an optimist's: what goes on turns out
 * heavier, and what comes off lighter, so that it adds up over both.
 *
 * @source common practice; the figures are the product's own and editable
 */
export const USUAL_LEAN: Lean = { guess: 0.1, claim: 0.03 }
