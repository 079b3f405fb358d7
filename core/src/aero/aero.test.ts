import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { aeroBalance, dynamicPressure, placedAreas } from './aeroBalance'
import { aeroDraws } from './aeroDraws'
import { elementAreas, type AeroElement } from './elementAreas'
import { effectiveAspect, finiteWing, polarAt, usualSection, wingCoefficients } from './finiteWing'
import { atAngle, carPolar, lengthFor, trimFor } from './trim'

const deg = (d: number) => (d * Math.PI) / 180
const element = (more: Partial<AeroElement>): AeroElement => ({
  id: 'e',
  name: 'e',
  kind: 'splitter',
  x: -0.4,
  z: 0.08,
  span: 1.6,
  chord: 0.25,
  lift: 0.8,
  drag: 0.05,
  wing: null,
  sealed: true,
  spread: 0.3,
  correction: null,
  ...more,
})
const wing = element({
  id: 'wing',
  kind: 'wing',
  x: 3.0,
  z: 1.25,
  chord: 0.3,
  spread: 0.2,
  wing: { foils: 1, angle: deg(8), endPlate: 0.2, gurney: 0, polar: [] },
})

describe('the handbook’s wing', () => {
  it('0.5 m², C_L 1.5, 160 km/h presses with 907 N, 1,125 N on the rear and −218 N on the front', () => {
    const q = dynamicPressure(1.225, 160 / 3.6)
    const { front, rear, total } = aeroBalance([{ downforceArea: 0.75, dragArea: 0, x: 3.1, z: 1.2 }], 2.5)
    expect(total * q).toBeCloseTo(907, 0)
    expect(rear * q).toBeCloseTo(1125, 0)
    expect(front * q).toBeCloseTo(-218, 0)
  })
  it('moves load from front to rear by its drag at its height', () => {
    const { front, rear } = aeroBalance([{ downforceArea: 0, dragArea: 0.1, x: 3.1, z: 1.25 }], 2.5)
    expect(rear).toBeCloseTo(0.05)
    expect(front).toBeCloseTo(-0.05)
  })
})

describe('aeroBalance', () => {
  const areas = fc.array(
    fc.record({
      downforceArea: fc.double({ min: -1, max: 2, noNaN: true }),
      dragArea: fc.double({ min: 0, max: 1, noNaN: true }),
      x: fc.double({ min: -1, max: 4, noNaN: true }),
      z: fc.double({ min: 0, max: 2, noNaN: true }),
    }),
    { maxLength: 12 },
  )
  it('holds forces and moments about both axles', () => {
    fc.assert(
      fc.property(areas, (list) => {
        const { front, rear, total } = aeroBalance(list, 2.6)
        expect(front + rear).toBeCloseTo(total, 9)
        const aboutRear = list.reduce((m, a) => m + a.downforceArea * (2.6 - a.x) - a.dragArea * a.z, 0)
        expect(front * 2.6).toBeCloseTo(aboutRear, 9)
      }),
    )
  })
  it('has no share where the car is lifted, and needs a wheelbase', () => {
    expect(aeroBalance([{ downforceArea: -0.2, dragArea: 0.6, x: 1, z: 0.5 }], 2.6).frontShare).toBeNull()
    expect(() => aeroBalance([], 0)).toThrow('wheelbase')
  })
})

describe('a finite wing', () => {
  it('has the section’s own slope at an endless span, and less on a shorter one', () => {
    const section = usualSection(1)
    const rise = (span: number) => {
      const at = (a: number) => finiteWing(section, { span, chord: 0.3 }, { endPlate: 0, gurney: 0 }, a).lift
      return (at(0.05) - at(0)) / 0.05
    }
    expect(rise(1e9)).toBeCloseTo(section.slope, 4)
    expect(rise(1.5)).toBeLessThan(rise(3))
  })
  it('is the lifting line’s, by hand', () => {
    // AR 5 without end plates: a = 5.655 / (1 + 5.655/(π·0.85·5)) = 3.972; at 8° and −4°: 0.8319.
    const c = finiteWing(usualSection(1), { span: 1.5, chord: 0.3 }, { endPlate: 0, gurney: 0 }, deg(8))
    expect(c.lift).toBeCloseTo(0.8319, 3)
    expect(c.drag).toBeCloseTo(0.015 + 0.8319 ** 2 / (Math.PI * 0.85 * 5), 4)
  })
  it('gains by end plates and a lip, and lets go at its most', () => {
    expect(effectiveAspect({ span: 1.6, chord: 0.3 }, 0.2)).toBeCloseTo(6.6, 2)
    const at = (endPlate: number, gurney: number, angle = 8) =>
      finiteWing(usualSection(2), { span: 1.6, chord: 0.3 }, { endPlate, gurney }, deg(angle))
    expect(at(0.2, 0).lift).toBeGreaterThan(at(0, 0).lift)
    // 2 % of the chord on a wing that makes no lift yet.
    expect(at(0.2, 0.006, -12).lift - at(0.2, 0, -12).lift).toBeCloseTo(0.4)
    expect(at(0.2, 0, 40)).toMatchObject({ lift: 2.2, stalled: true })
  })
  it('is paid less by a lip the steeper the wing stands already, and never worse off with one', () => {
    const gains = [-10, -6, -2, 2, 6, 10, 14].map((angle) => {
      const of = (gurney: number) =>
        finiteWing(usualSection(2), { span: 1.6, chord: 0.3 }, { endPlate: 0.2, gurney }, deg(angle)).lift
      return of(0.006) - of(0)
    })
    gains.forEach((gain, i) => {
      expect(gain).toBeGreaterThan(0.19)
      if (i > 0) expect(gain).toBeLessThanOrEqual(gains[i - 1]! + 1e-9)
    })
    expect(gains[0]).toBeGreaterThan(gains[4]! + 0.05)
  })
  it('follows its own polar where it has one, and refuses one point', () => {
    const polar = [
      { angle: 0, lift: 0.6, drag: 0.05 },
      { angle: deg(10), lift: 1.4, drag: 0.15 },
    ]
    expect(polarAt(polar, deg(5))).toEqual({ lift: 1, drag: expect.closeTo(0.1, 9), stalled: false })
    expect(polarAt(polar, deg(14))).toMatchObject({ lift: 1.4, stalled: true })
    expect(() => polarAt(polar.slice(0, 1), 0)).toThrow('two points')
    expect(() => polarAt([...polar].reverse(), 0)).toThrow('rise')
    expect(wingCoefficients({ span: 1.6, chord: 0.3 }, { ...wing.wing!, polar, angle: 0 }).lift).toBe(0.6)
  })
})

describe('elementAreas', () => {
  it('loses by an open gap, and refuses a length of nothing', () => {
    expect(elementAreas(element({})).downforceArea).toBeCloseTo(0.32)
    expect(elementAreas(element({ sealed: false })).downforceArea).toBeCloseTo(0.224)
    expect(() => elementAreas(element({ chord: 0 }))).toThrow('above zero')
  })
})

describe('trim', () => {
  const car = [wing, element({ id: 'splitter' })]
  it('finds the angle that gives a balance, and says when none does', () => {
    const [wanted] = carPolar(car, 'wing', [deg(9)], 2.5)
    expect(trimFor(car, 'wing', wanted!.frontShare!, [0, deg(18)], 2.5)).toBeCloseTo(deg(9), 6)
    expect(trimFor(car, 'wing', 0.9, [0, deg(18)], 2.5)).toBeNull()
  })
  it('moves the balance rearward hole by hole', () => {
    const shares = carPolar(car, 'wing', [0, 4, 8, 12].map(deg), 2.5).map((p) => p.frontShare!)
    expect([...shares].sort((a, b) => b - a)).toEqual(shares)
    expect(() => carPolar(car, 'splitter', [0], 2.5)).toThrow('a wing')
    expect(atAngle(element({}), 1).wing).toBeNull()
  })
  it('says how long a splitter balances a wing, and it does', () => {
    const length = lengthFor(car, 'splitter', 0.45, 2.5)!
    const longer = car.map((e) => (e.id === 'splitter' ? { ...e, chord: length } : e))
    expect(aeroBalance(placedAreas(longer), 2.5).frontShare).toBeCloseTo(0.45, 9)
    // A wing behind the rear axle can't move the balance forward, however long.
    expect(lengthFor(car, 'wing', 2, 2.5)).toBeNull()
  })
})

describe('aeroDraws', () => {
  const car = [wing, element({ id: 'splitter', chord: 0.4 })]
  const where = { wheelbase: 2.5, massFront: 0.5 }
  it('lie about the sum, stand still for one seed, and narrow with the spread', () => {
    const draws = aeroDraws(car, where)
    const { front } = aeroBalance(placedAreas(car), 2.5)
    expect(Math.abs(draws.front.p50 - front)).toBeLessThan(0.06)
    expect(aeroDraws(car, where)).toEqual(draws)
    const sure = aeroDraws(
      car.map((e) => ({ ...e, spread: 0.01 })),
      where,
    )
    expect(sure.front.p90 - sure.front.p10).toBeLessThan((draws.front.p90 - draws.front.p10) / 8)
    expect([0, 1]).toContain(sure.wrongSide)
  })
  it('have a normal’s spread for one element, within what 20,000 draws allow', () => {
    const { drag } = aeroDraws([element({ drag: 1, span: 1, chord: 1, spread: 0.1 })], where, {
      draws: 20_000,
    })
    // 80 % of a lognormal with σ 0.1 lie within exp(±1.2816·0.1).
    expect(Math.log(drag.p90 / drag.p10)).toBeCloseTo(2 * 1.2816 * 0.1, 2)
  })
})
