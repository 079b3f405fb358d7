import { describe, expect, it } from 'vitest'
import type { ClaimChecked } from '@bold-ballast/contract'
import { auditOf, ENOUGH_CLAIMS, reckonedFrom } from './claimsAudit'

const usual = {
  growth: { guess: 0.15, claim: 0.05 },
  doubts: { guess: 0.2, claim: 0.07 },
  lean: { guess: 0.1, claim: 0.03 },
}
const checked = (off: readonly number[], more: Partial<ClaimChecked> = {}): ClaimChecked[] =>
  off.map((o, i) => ({
    build: 'Wren',
    line: `00000000-0000-4000-8000-00000000000${i}`,
    name: `Part ${i}`,
    system: 'body',
    grade: 'claim',
    source: '',
    said: 10,
    weighed: 10 * (1 + o),
    ...more,
  }))

describe('auditOf', () => {
  it('groups by who said it, and leaves out what nobody is named for', () => {
    const { bySource } = auditOf([
      ...checked([0.1, 0.2], { source: 'seller' }),
      ...checked([0], { source: 'maker' }),
      ...checked([0.5]),
    ])
    expect(bySource.map((r) => [r.key, r.count, Number(r.bias.toFixed(3))])).toEqual([
      ['seller', 2, 0.15],
      ['maker', 1, 0],
    ])
  })
})

describe('reckonedFrom', () => {
  it('takes bias for growth and scatter for doubt, grade by grade', () => {
    const off = [0.02, 0.04, 0.06, 0.08, 0.1]
    // By hand: mean 0.06, deviations ±0.04, ±0.02, 0: variance 0.004/4, spread 0.0316.
    const { growth, doubts, lean } = reckonedFrom(auditOf(checked(off)), usual)
    expect(growth).toEqual({ guess: 0.15, claim: 0.06 })
    expect(doubts).toEqual({ guess: 0.2, claim: 0.032 })
    // The habit itself is known to 0.0316/√5.
    expect(lean).toEqual({ guess: 0.1, claim: 0.014 })
  })
  it('keeps the usual where too few parts speak', () => {
    const few = checked(Array.from({ length: ENOUGH_CLAIMS - 1 }, () => 0.5))
    expect(reckonedFrom(auditOf(few), usual)).toEqual(usual)
  })
  it('lets nothing shrink by habit, nor be surer than half a per cent', () => {
    const { growth, doubts } = reckonedFrom(auditOf(checked([-0.1, -0.1, -0.1, -0.1, -0.1])), usual)
    expect(growth.claim).toBe(0)
    expect(doubts.claim).toBe(0.005)
  })
})
