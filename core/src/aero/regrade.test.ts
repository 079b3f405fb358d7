import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { aeroBalance, placedAreas } from './aeroBalance'
import type { AeroElement } from './elementAreas'
import { aeroDraws } from './aeroDraws'
import { aeroSigma } from './aeroSigma'
import { regraded } from './regrade'

const element = (id: string, more: Partial<AeroElement>): AeroElement => ({
  id,
  name: id,
  kind: 'splitter',
  x: 0,
  z: 0,
  span: 1,
  chord: 1,
  lift: 0,
  drag: 0,
  wing: null,
  sealed: true,
  spread: 0.3,
  correction: null,
  ...more,
})
const splitter = element('splitter', { x: -0.6, z: 0.08, lift: 0.3, drag: 0.02, spread: 0.4 })
const wing = element('wing', { kind: 'spoiler', x: 3, z: 1.2, lift: 0.75, drag: 0.12, spread: 0.2 })
const applied = (elements: readonly AeroElement[], by: ReturnType<typeof regraded>) =>
  elements.map((e, i): AeroElement => {
    const { lift, drag, liftSpread, dragSpread } = by[i]!
    return { ...e, correction: { lift, drag, liftSpread, dragSpread } }
  })

describe('regraded', () => {
  it('agrees with the same update in NumPy', () => {
    // numpy: K = P Hᵀ (H P Hᵀ + R)⁻¹ with the two rows of front and rear, 0.22 ± 0.02 and 0.80 ± 0.03.
    const found = regraded(
      [splitter, wing],
      { front: { value: 0.22, sigma: 0.02 }, rear: { value: 0.8, sigma: 0.03 } },
      2.5,
    )
    expect(found.map((f) => f.lift)).toEqual([expect.closeTo(1.11437, 4), expect.closeTo(0.91594, 4)])
    expect(found.map((f) => f.drag)).toEqual([expect.closeTo(0.99963, 4), expect.closeTo(0.9917, 4)])
    expect(found.map((f) => f.liftSpread)).toEqual([expect.closeTo(0.05596, 4), expect.closeTo(0.03901, 4)])
    expect(found.map((f) => f.dragSpread)).toEqual([expect.closeTo(0.40015, 4), expect.closeTo(0.20095, 4)])
  })
  it('meets an exact measurement, and never knows less than before', () => {
    const area = fc.double({ min: 0.1, max: 0.6, noNaN: true })
    fc.assert(
      fc.property(area, area, (front, rear) => {
        const measured = { front: { value: front, sigma: 1e-4 }, rear: { value: rear, sigma: 1e-4 } }
        const found = regraded([splitter, wing], measured, 2.5)
        const balance = aeroBalance(placedAreas(applied([splitter, wing], found)), 2.5)
        if (found.every((f) => f.lift > 0.06)) {
          expect(balance.front).toBeCloseTo(front, 2)
          expect(balance.rear).toBeCloseTo(rear, 2)
        }
        found.forEach((f, i) =>
          expect(f.liftSpread * f.lift).toBeLessThanOrEqual([splitter, wing][i]!.spread + 1e-9),
        )
      }),
    )
  })
  it('changes nothing where the sheet was right, and moves what is least known most', () => {
    const { front, rear } = aeroBalance(placedAreas([splitter, wing]), 2.5)
    const same = regraded(
      [splitter, wing],
      { front: { value: front, sigma: 0.01 }, rear: { value: rear, sigma: 0.01 } },
      2.5,
    )
    for (const f of same) {
      expect(f.lift).toBeCloseTo(1)
      expect(f.drag).toBeCloseTo(1)
    }
    const body = element('body', { kind: 'body', x: 1.25, z: 0.5, drag: 0.7, spread: 0.15 })
    const wild = element('wild', { kind: 'canards', x: -0.3, z: 0.4, drag: 0.1, spread: 0.9 })
    const [one, other] = regraded([body, wild], { drag: { value: 0.86, sigma: 0.01 } }, 2.5)
    // Doubts of 0.105 and 0.09 m²: the missing 0.06 is shared as their squares.
    expect(one!.drag - 1).toBeCloseTo((0.06 * 0.105 ** 2) / (0.105 ** 2 + 0.09 ** 2 + 1e-4) / 0.7, 4)
    expect(other!.drag - 1).toBeGreaterThan(one!.drag - 1)
  })
  it('refuses no measurement, and one that nothing in doubt could explain', () => {
    expect(() => regraded([wing], {}, 2.5)).toThrow('nothing was measured')
    expect(() => regraded([], { front: { value: 1, sigma: 0 } }, 2.5)).toThrow('in doubt')
    expect(() => regraded([wing], { front: { value: 1, sigma: 0.1 } }, 0)).toThrow('wheelbase')
  })
})

describe('aeroSigma', () => {
  it('agrees with the spread of 20,000 draws where spreads are small', () => {
    const small = [splitter, wing].map((e) => ({ ...e, spread: e.spread / 6 }))
    const { frontShare, total } = aeroSigma(small, 2.5)
    const draws = aeroDraws(small, { wheelbase: 2.5, massFront: 0.5 }, { draws: 20_000 })
    // Ten to ninety of a hundred are 2.563 standard deviations.
    const spread = (draws.frontShare!.p90 - draws.frontShare!.p10) / 2.563
    expect(frontShare! / spread).toBeCloseTo(1, 1)
    expect(total).toBeCloseTo(Math.hypot(0.3 * (0.4 / 6), 0.75 * (0.2 / 6)), 9)
  })
  it('has no share where what presses may be nothing: a lifting body and a spoiler that just outweighs it', () => {
    const body = element('body', { kind: 'body', x: 1.2, z: 0.3, lift: -0.2, spread: 0.3 })
    const lip = element('lip', { kind: 'spoiler', x: 3, z: 0.9, lift: 0.22, spread: 0.2 })
    expect(aeroSigma([body, lip], 2.5).frontShare).toBeNull()
    expect(aeroSigma([body, { ...lip, lift: 0.6 }], 2.5).frontShare).not.toBeNull()
  })
  it('has no share where nothing presses', () => {
    expect(aeroSigma([], 2.5)).toEqual({ total: 0, drag: 0, each: [], frontShare: null })
  })
})
