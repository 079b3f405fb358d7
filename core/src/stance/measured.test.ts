import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { centreAfterCut, movedByCut } from '../mass/cutShell'
import { casterOf, meanReading, toeDifference } from './alignmentOf'
import { dampingAt } from './dampingAt'
import { hotPressure, tyreAirTemperature } from './hotPressure'
import { outOfTrue } from './outOfTrue'
import { toeAngle } from './toe'
import { treadHints } from './treadHints'

const DEGREE = Math.PI / 180

describe('an alignment session', () => {
  it('takes the mean of what was read, as good as its scatter and never better than its gauge', () => {
    const one = meanReading([0.005], 0.0009)
    const three = meanReading([0.005, 0.005, 0.005], 0.0009)
    expect(one.value).toBe(0.005)
    expect(three.sigma).toBeCloseTo(0.0009 / Math.sqrt(12), 9)
    expect(one.sigma).toBeGreaterThan(three.sigma)
    expect(meanReading([0.004, 0.006], 0.0001).sigma).toBeCloseTo(0.001, 6)
    expect(() => meanReading([], 0.001)).toThrow('one reading')
  })
  it('finds the caster again that turns camber, and refuses a wheel that wasn’t turned', () => {
    const caster = fc.double({ min: 0, max: 0.25, noNaN: true })
    fc.assert(
      fc.property(caster, (angle) => {
        const by = 20 * DEGREE
        const camber = -2 * DEGREE
        // To first order camber changes by the caster times the sine of the turn.
        const turned = (way: number) => camber + way * angle * Math.sin(by)
        expect(casterOf({ angle: by, turnedIn: turned(-1), turnedOut: turned(1) })).toBeCloseTo(angle, 12)
      }),
    )
    expect(() => casterOf({ angle: 0, turnedIn: 0, turnedOut: 0 })).toThrow('turned')
  })
  it('turns millimetres over a width into an angle and back', () => {
    const difference = fc.double({ min: -0.02, max: 0.02, noNaN: true })
    fc.assert(
      fc.property(difference, (d) => {
        expect(toeDifference(toeAngle(d, 0.6), 0.6)).toBeCloseTo(d, 12)
      }),
    )
  })
})

describe('tyres after a run', () => {
  it('hint by their treads (common practice, no source)', () => {
    expect(treadHints({ inside: 88, middle: 84, outside: 80 })).toMatchObject({
      across: 8,
      camber: 'right',
      pressure: 'right',
    })
    expect(treadHints({ inside: 96, middle: 84, outside: 74 }).camber).toBe('less')
    expect(treadHints({ inside: 80, middle: 84, outside: 80 }).camber).toBe('more')
    expect(treadHints({ inside: 88, middle: 90, outside: 80 }).pressure).toBe('less')
    expect(treadHints({ inside: 88, middle: 78, outside: 80 }).pressure).toBe('more')
  })
  it('were as hot inside as their pressure says', () => {
    expect(tyreAirTemperature(180_000, 20, hotPressure(180_000, 20, 83))).toBeCloseTo(83, 9)
    expect(() => tyreAirTemperature(-200_000, 20, 1e5)).toThrow('nothing')
  })
})

describe('a damper’s sheet', () => {
  const sheet = [
    { clicks: 0, bump: 3000, rebound: 5000 },
    { clicks: 10, bump: 5000, rebound: 9000 },
  ]
  it('is a line between its lines, and stays at the last', () => {
    expect(dampingAt(sheet, 'bump', 4)).toBe(3800)
    expect(dampingAt(sheet, 'rebound', 30)).toBe(9000)
    expect(() => dampingAt([], 'bump', 4)).toThrow('one point')
  })
})

describe('a body', () => {
  const at = (x: number, y: number, z: number) => ({ x, y, z })
  it('is true where left mirrors right and nothing has moved', () => {
    const [check] = outOfTrue([
      {
        name: 'Strut top',
        leftBefore: at(0.1, 0.55, 0.7),
        rightBefore: at(0.1, -0.55, 0.7),
        leftAfter: at(0.1, 0.55, 0.7),
        rightAfter: at(0.1, -0.55, 0.7),
      },
    ])
    expect(check?.worst).toBeCloseTo(0, 12)
  })
  it('says which way a side stands, and how far it has come', () => {
    const [check] = outOfTrue([
      {
        name: 'Rail end',
        leftBefore: at(-0.5, 0.42, 0.3),
        rightBefore: at(-0.5, -0.42, 0.3),
        leftAfter: at(-0.5, 0.424, 0.3),
        rightAfter: at(-0.506, -0.42, 0.302),
      },
    ])
    expect(check?.sides?.x).toBeCloseTo(0.006)
    expect(check?.sides?.y).toBeCloseTo(0.004)
    expect(check?.sides?.z).toBeCloseTo(-0.002)
    expect(check?.moved.right?.x).toBeCloseTo(-0.006)
    expect(check?.worst).toBeCloseTo(0.006)
  })
  it('keeps quiet about what nobody measured', () =>
    expect(
      outOfTrue([
        {
          name: 'Jig hole',
          leftBefore: at(1, 0.6, 0.2),
          rightBefore: null,
          leftAfter: null,
          rightAfter: null,
        },
      ])[0],
    ).toMatchObject({ sides: null, moved: { left: null, right: null }, worst: 0 }))
})

describe('a shell that is cut', () => {
  it('moves what sits behind the cut, and nothing else', () => {
    const cut = { at: 1.6, by: 0.08 }
    const places = fc.double({ min: -1, max: 4, noNaN: true })
    expect(movedByCut(1.95, cut)).toBeCloseTo(1.87)
    expect(movedByCut(1.6, cut)).toBe(1.6)
    expect(movedByCut(0, cut)).toBe(0)
    // What sat in the piece that was taken out ends at the cut, behind what stood in front of it.
    expect(movedByCut(1.63, cut)).toBe(1.6)
    fc.assert(
      fc.property(places, places, places, fc.double({ min: -0.5, max: 1, noNaN: true }), (a, b, at, by) => {
        const [front, behind] = [Math.min(a, b), Math.max(a, b)]
        expect(movedByCut(front, { at, by })).toBeLessThanOrEqual(movedByCut(behind, { at, by }))
      }),
    )
  })
  it('keeps the rear axle’s share where nobody weighed what comes forward', () => {
    const x = centreAfterCut({ mass: 948, x: 1.08 }, 2.265, { at: 1.6, by: 0.08, behind: null })
    expect(x / (2.265 - 0.08)).toBeCloseTo(1.08 / 2.265, 12)
    expect(centreAfterCut({ mass: 900, x: 1 }, 2.2, { at: 1.6, by: 0.1, behind: 90 })).toBeCloseTo(0.99)
    // Behind the rear axle nobody can guess.
    expect(centreAfterCut({ mass: 900, x: 1 }, 2.2, { at: 2.6, by: 0.1, behind: null })).toBe(1)
    expect(() => centreAfterCut({ mass: 900, x: 1 }, 2.2, { at: 1, by: 0.1, behind: 901 })).toThrow(
      'whole car',
    )
  })
})
