import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { known } from '../evidence/known'
import { drawDown } from './drawDown'
import type { LedgerLine } from './ledger'
import { lineMass, piecesOf } from './lineMass'
import { pointsOf } from './massFold'
import { massState } from './massState'
import { shareOut, weighPart } from './weighPart'
import { kilosOf, swapWorth } from './whereKilosWent'

const line = (more: Partial<LedgerLine> = {}): LedgerLine => ({
  kind: 'on',
  mass: 10,
  sigma: null,
  grade: 'measured',
  quantity: 1,
  fitted: true,
  position: null,
  movedTo: null,
  ...more,
})
const place = (x: number, z = 0.5) => ({ x, y: 0, z })

describe('weighPart', () => {
  const weighing = { readings: [4.21, 4.22], tare: 0.35, resolution: 0.01, pieces: 1 }
  it('takes the tare off the mean of the readings', () => {
    const { each, spread } = weighPart(weighing)
    expect(each.value).toBeCloseTo(3.865, 9)
    expect(each.grade).toBe('proven')
    expect(spread).toBeCloseTo(0.00707, 5)
  })
  it('knows one reading to half the step, and a tare as well', () => {
    expect(weighPart({ ...weighing, readings: [4.2], tare: 0 }).each.sigma).toBeCloseTo(0.005, 9)
    expect(weighPart({ ...weighing, readings: [4.2] }).each.sigma).toBeCloseTo(0.005 * Math.SQRT2, 9)
  })
  it('shares many small pieces weighed at once: twenty nuts know one better than one nut does', () => {
    const { each } = weighPart({ readings: [0.36], tare: 0, resolution: 0.005, pieces: 20 })
    expect(each.value).toBeCloseTo(0.018, 9)
    expect(each.sigma).toBeCloseTo(0.0025 / 20, 9)
  })
  it('doesn’t call proven what doesn’t repeat', () =>
    expect(weighPart({ ...weighing, readings: [4.2, 4.9] }).each.grade).toBe('measured'))
  it.each([
    [{ readings: [] }, /at least one reading/],
    [{ tare: 5 }, /tare weighs as much/],
    [{ pieces: 0 }, /at least one piece/],
  ])('refuses %j', (wrong, words) => expect(() => weighPart({ ...weighing, ...wrong })).toThrow(words))
})

describe('shareOut', () => {
  it('shares by what each was thought to weigh', () =>
    expect(shareOut(1.2, [1, 1, 2])).toEqual([0.3, 0.3, 0.6]))
  it('adds up to what was weighed, whatever was thought', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.01, max: 100, noNaN: true }),
        fc.array(fc.double({ min: 0, max: 50, noNaN: true }), { minLength: 1 }),
        (total, thought) => {
          expect(shareOut(total, thought).reduce((a, b) => a + b, 0)).toBeCloseTo(total, 6)
        },
      ),
    )
  })
})

describe('drawDown', () => {
  const allowance = line({ role: 'allowance', mass: 6, grade: 'guess' })
  it('lets an allowance shrink by what is added to its swap', () => {
    const [left] = drawDown([allowance, line({ mass: 1.5 }), line({ mass: 0.5, quantity: 2 })])
    expect(left!.mass).toBeCloseTo(3.5, 9)
  })
  it('leaves nothing of it once more is booked than was allowed, and never less than nothing', () =>
    expect(drawDown([allowance, line({ mass: 9 })])[0]!.mass).toBe(0))
  it('doesn’t count what comes off, and changes nothing without an allowance', () => {
    expect(drawDown([allowance, line({ kind: 'off', mass: 4 })])[0]!.mass).toBe(6)
    const plain = [line(), line()]
    expect(drawDown(plain)).toBe(plain)
  })
  it('never books more than the allowance or the lines, whichever is more', () => {
    const masses = fc.array(fc.double({ min: 0, max: 5, noNaN: true }), { maxLength: 8 })
    fc.assert(
      fc.property(masses, (parts) => {
        const lines = drawDown([allowance, ...parts.map((mass) => line({ mass }))])
        const total = lines.reduce((sum, l) => sum + lineMass(l).value, 0)
        expect(total).toBeCloseTo(
          Math.max(
            6,
            parts.reduce((a, b) => a + b, 0),
          ),
          6,
        )
      }),
    )
  })
})

describe('a part at several places', () => {
  const brackets = line({
    mass: 0.4,
    quantity: 2,
    position: place(0),
    alsoAt: [{ position: place(2), quantity: 6 }],
  })
  it('counts all its pieces, each where it sits', () => {
    expect(piecesOf(brackets)).toBe(8)
    const state = massState(pointsOf(brackets))
    expect(state.mass.value).toBeCloseTo(3.2, 9)
    expect(state.centre.x.value).toBeCloseTo((2 * 0 + 6 * 2) / 8, 9)
  })
})

describe('an error that lines share', () => {
  const car = {
    mass: known(900, 'measured', 0),
    sign: 1 as const,
    position: place(1.1),
    whole: true as const,
  }
  const onScale = (kind: 'on' | 'off', relative = 0.01) =>
    line({ kind, mass: 100, sigma: 0, sharing: { with: 'scale hook', relative }, position: place(1) })
  it('adds before it is squared: two parts from one scale are off together', () => {
    const state = massState([car, ...[onScale('on'), onScale('on')].flatMap(pointsOf)])
    expect(state.mass.sigma).toBeCloseTo(2, 9)
  })
  it('cancels where as much comes off as goes on over the same scale', () => {
    const state = massState([car, ...[onScale('on'), onScale('off')].flatMap(pointsOf)])
    expect(state.mass.sigma).toBeCloseTo(0, 9)
  })
})

describe('where the kilos went', () => {
  it('keeps off and on apart, and counts height from the centre of mass', () => {
    const roof = line({ kind: 'off', mass: 12, position: place(1, 1.2) })
    const floor = line({ mass: 5, position: place(1, 0.2) })
    const k = kilosOf([roof, floor], 0.5)
    expect([k.off.value, k.on.value, k.net.value]).toEqual([12, 5, -7])
    expect(k.moment).toBeCloseTo(-12 * 0.7 + 5 * -0.3, 9)
  })
  it('counts a part moved down without counting its mass', () => {
    const battery = line({ kind: 'moved', mass: 16, position: place(0, 0.7), movedTo: place(2, 0.3) })
    expect(kilosOf([battery], 0.5)).toMatchObject({ net: { value: 0 } })
    expect(kilosOf([battery], 0.5).moment).toBeCloseTo(-6.4, 9)
  })
  it('says kilos an hour and for a hundred, and neither where nothing was found or it paid for itself', () => {
    expect(swapWorth(20, 7200, 500)).toEqual({ perHour: 10, perHundred: 4 })
    expect(swapWorth(-3, 7200, 500)).toEqual({ perHour: null, perHundred: null })
    expect(swapWorth(20, null, -40)).toEqual({ perHour: null, perHundred: null })
  })
})
