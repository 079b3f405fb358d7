import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { checkSteering, type SteeringMeasures } from './checkSteering'
import { ackermann, slideHeld } from './steeringLock'
import { fitWheel, wheelGoesOn, wheelReach, type Axle, type FittedWheel } from './wheelFitment'

const deg = (d: number) => (d * Math.PI) / 180
const car = { track: 1.5, wheelbase: 2.5 }

describe('ackermann', () => {
  it('is 100 % where both axes meet on the rear axle, constructed from the radius', () => {
    fc.assert(
      fc.property(fc.double({ min: 2, max: 50, noNaN: true }), (radius) => {
        const [inside, outside] = [-0.75, 0.75].map((y) => Math.atan(2.5 / (radius + y)))
        expect(ackermann(inside!, outside!, car)).toBeCloseTo(1, 9)
      }),
    )
  })
  it('is 0 for parallel wheels and below for an outer wheel that turns further', () => {
    expect(ackermann(deg(40), deg(40), car)).toBe(0)
    expect(ackermann(deg(40), deg(42), car)).toBeLessThan(0)
  })
  it('refuses angles that are none', () => {
    expect(() => ackermann(deg(95), deg(40), car)).toThrow('90°')
    expect(() => ackermann(deg(40), deg(35), { track: 0, wheelbase: 2.5 })).toThrow('above zero')
  })
})

describe('slideHeld', () => {
  it('is the lock itself on a path so wide that it is straight, and more on a tighter one', () => {
    expect(slideHeld(deg(50), 1e7, 1.3)).toBeCloseTo(deg(50), 5)
    expect(slideHeld(deg(50), 20, 1.3)).toBeGreaterThan(deg(50))
  })
  it('gives back the lock by the front axle’s own velocity, built from vectors', () => {
    const [lock, radius, a] = [deg(52), 18, 1.35]
    const slide = slideHeld(lock, radius, a)
    // Going at 1 m/s, turning at 1/R: the front axle's sideways part against the forward one.
    const forward = Math.cos(slide)
    const sideways = Math.sin(slide) - a / radius
    expect(Math.atan2(sideways, forward)).toBeCloseTo(lock, 9)
  })
  it('refuses a radius inside the car', () => expect(() => slideHeld(deg(50), 1, 1.3)).toThrow('larger'))
})

describe('checkSteering', () => {
  const nothing: SteeringMeasures = {
    lockInside: null,
    lockOutside: null,
    lockWanted: null,
    rackTravel: null,
    rackAvailable: null,
    tieRodAngle: null,
    tieRodBinds: null,
    rodToArm: null,
    wheelToArm: null,
    wheelToArmWanted: null,
    rearToe: null,
    rearToeAllowed: null,
    halfshaftAngle: null,
    halfshaftBinds: null,
    rearWheelToArm: null,
  }
  const passes = (more: Partial<SteeringMeasures>) =>
    checkSteering({ ...nothing, ...more }).map((c) => c.passes)
  it('leaves out what was not measured', () => {
    expect(checkSteering(nothing)).toEqual([])
    expect(passes({ tieRodAngle: deg(20) })).toEqual([])
  })
  it.each<[string, Partial<SteeringMeasures>, boolean]>([
    ['a lock that is reached', { lockInside: deg(55), lockWanted: deg(55) }, true],
    ['a lock that is not', { lockInside: deg(50), lockWanted: deg(55) }, false],
    ['a rack with travel in hand', { rackTravel: 0.07, rackAvailable: 0.075 }, true],
    ['a joint 2° from binding', { tieRodAngle: deg(25.9), tieRodBinds: deg(28) }, true],
    ['a joint within 2° of it', { tieRodAngle: deg(26.5), tieRodBinds: deg(28) }, false],
    ['a rod well clear of its arm', { rodToArm: deg(40) }, true],
    ['a rod stretched along its arm', { rodToArm: deg(170) }, false],
    ['a rod folded onto its arm', { rodToArm: deg(10) }, false],
    ['a gap too small', { wheelToArm: 0.003, wheelToArmWanted: 0.005 }, false],
    [
      'a toe change within its limit',
      { rearToe: { droop: deg(0.1), ride: deg(0.2), bump: deg(0.35) }, rearToeAllowed: deg(0.3) },
      true,
    ],
    ['a half-shaft near binding', { halfshaftAngle: deg(21), halfshaftBinds: deg(22) }, false],
  ])('%s', (_, more, is) => expect(passes(more)).toEqual([is]))
})

describe('wheel fitment', () => {
  const inch = 0.0254
  const fitted: FittedWheel = {
    rimWidth: 8.5 * inch,
    rimDiameter: 17 * inch,
    offset: 0.035,
    spacer: 0,
    tyreWidth: 0.235,
    tyreDiameter: 0.634,
  }
  const wider = { ...fitted, rimWidth: 9.5 * inch, offset: 0.022, tyreWidth: 0.245 }
  const gap = (side: 'inside' | 'outside' | 'above', clear = 0.02) => ({
    name: side,
    side,
    gap: clear,
    wanted: 0.005,
  })
  it('is worked by hand: 8.5 inch at 35 mm against 9.5 inch at 22 mm', () => {
    // Half the rims with flanges: 120.65 and 133.35 mm.
    expect(wheelReach(fitted).inward).toBeCloseTo(0.15565, 6)
    expect(wheelReach(wider).outward).toBeCloseTo(0.11135, 6)
    const { clearances, trackChange } = fitWheel(fitted, wider, [gap('inside'), gap('outside'), gap('above')])
    expect(clearances.map((c) => c.gap * 1000)).toEqual([
      expect.closeTo(20.3, 3),
      expect.closeTo(-5.7, 3),
      expect.closeTo(20, 3),
    ])
    expect(clearances.map((c) => c.passes)).toEqual([true, false, true])
    expect(trackChange).toBeCloseTo(0.026, 9)
  })
  it('a spacer does what as much less offset does', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 0.05, noNaN: true }), (by) => {
        const spaced = fitWheel(fitted, { ...fitted, spacer: by }, [gap('inside')])
        const shallower = fitWheel(fitted, { ...fitted, offset: fitted.offset - by }, [gap('inside')])
        expect(spaced.trackChange).toBeCloseTo(shallower.trackChange, 12)
        expect(spaced.clearances[0]!.gap).toBeCloseTo(shallower.clearances[0]!.gap, 12)
      }),
    )
  })
  it('a taller tyre takes half its growth from the gap above it', () => {
    const { clearances } = fitWheel(fitted, { ...fitted, tyreDiameter: 0.654 }, [gap('above', 0.012)])
    expect(clearances[0]!.gap).toBeCloseTo(0.002)
    expect(clearances[0]!.passes).toBe(false)
  })
  it('refuses a wheel without a width', () =>
    expect(() => fitWheel(fitted, { ...fitted, rimWidth: 0 }, [])).toThrow('above zero'))

  const hub = { bolts: 5, boltCircle: 0.1143, spigot: 0.0601, leastRim: 17 * inch }
  const axle = (more: Partial<Axle> = {}): Axle => ({
    hub,
    wheel: fitted,
    obstacles: [gap('outside')],
    ...more,
  })
  it('says why a wheel doesn’t go on the other axle', () => {
    const front = axle()
    expect(wheelGoesOn(front, axle())).toEqual([])
    expect(wheelGoesOn(front, axle({ hub: { ...hub, bolts: 4 } }))).toEqual(['bolts'])
    expect(wheelGoesOn(front, axle({ hub: { ...hub, spigot: 0.0641 } }))).toEqual(['spigot'])
    expect(wheelGoesOn(front, axle({ hub: { ...hub, spigot: 0.0561 } }))).toEqual([])
    expect(wheelGoesOn(front, axle({ hub: { ...hub, leastRim: 18 * inch } }))).toEqual(['brake'])
    expect(wheelGoesOn(axle({ wheel: wider }), front)).toEqual(['gap'])
    expect(wheelGoesOn(axle({ wheel: { ...fitted, tyreDiameter: 0.66 } }), front)).toEqual(['diameter'])
  })
})
