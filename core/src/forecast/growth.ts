import type { Grade } from '../evidence/grade'

/** Share that a part is expected to turn out heavier than planned, by how its mass is known. */
export type GrowthAllowance = Readonly<Record<Grade, number>>

/**
 * Mass growth allowance: parts still to come turn out heavier than planned, the less is known the more.
 *
 * @source ANSI/AIAA S-120A and SAWE RP A-3 for the discipline, from memory; the figures are the product's
 * own and editable. That parts still to come turn out heavier is common practice.
 */
export const USUAL_GROWTH: GrowthAllowance = { guess: 0.15, claim: 0.05, measured: 0, proven: 0 }
