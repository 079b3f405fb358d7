import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { gainSplit } from './gainSplit'
import { shapleyExact } from './shapley'
import { setOf, worthWith } from './carChanges'

const before = { mass: 1100, power: 180e3, run: null, course: null }
const change = (id: string, mass: number, power: number | null, doubt?: number) => ({
  id,
  mass,
  power,
  run: {},
  ...(doubt !== undefined && { doubt }),
})

describe('gainSplit', () => {
  it('puts what gained most first, and widens each share by what its change is in doubt by', () => {
    const changes = [change('doors', -50, null, 0.1), change('tune', 0, 200e3)]
    const split = gainSplit(
      before,
      changes,
      'powerToWeight',
      [
        { value: 8, sigma: 0.3 },
        { value: 18, sigma: 0 },
      ],
      0.02,
    )
    expect(split.shares.map((s) => s.id)).toEqual(['tune', 'doors'])
    expect(split.largest?.id).toBe('tune')
    expect(split.shares[1]).toMatchObject({ drawn: 0.3 })
    expect(split.shares[1]!.sigma).toBeCloseTo(Math.hypot(0.8, 0.3), 12)
    // Power to weight has no run whose model could be off.
    expect(split.shares[0]!.sigma).toBe(0)
  })
  it('names the largest share that its own doubt doesn’t hide, and none where it hides all', () => {
    const changes = [change('tune', 0, 200e3, 0.6), change('doors', -50, null, 0.1)]
    const drawn = [
      { value: 18, sigma: 0 },
      { value: 8, sigma: 0 },
    ]
    const split = gainSplit(before, changes, 'powerToWeight', drawn, 0)
    expect(split.shares[0]!.id).toBe('tune')
    expect(split.largest?.id).toBe('doors')
    const vague = changes.map((c) => ({ ...c, doubt: 0.6 }))
    expect(gainSplit(before, vague, 'powerToWeight', drawn, 0).largest).toBeNull()
  })
  it('shares out the whole gain, whatever was changed', () =>
    fc.assert(
      fc.property(
        fc.array(
          fc.tuple(
            fc.double({ min: -40, max: 40, noNaN: true }),
            fc.option(fc.double({ min: 1e5, max: 3e5, noNaN: true })),
          ),
          { minLength: 1, maxLength: 5 },
        ),
        (all) => {
          const changes = all.map(([mass, power], i) => change(String(i), mass, power))
          const worths = Array.from({ length: 2 ** changes.length }, (_, s) =>
            worthWith(before, changes, setOf(s, changes.length), 'powerToWeight'),
          )
          const drawn = shapleyExact(changes.length, worths).map((value) => ({ value, sigma: 0 }))
          const { from, to, shares } = gainSplit(before, changes, 'powerToWeight', drawn, 0)
          expect(from + shares.reduce((sum, s) => sum + s.value, 0)).toBeCloseTo(to, 8)
        },
      ),
    ))
  it('refuses a change without a share', () =>
    expect(() => gainSplit(before, [change('doors', -50, null)], 'powerToWeight', [], 0)).toThrow(RangeError))
})
