import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { carS } from '../testing/carS'
import { STANDARD_GRAVITY } from '../units/constants'
import { rollBalance, sprungBody, axleRollStiffness, type RollCar } from './rollBalance'
import { springPair, springsInSeries } from './springsInSeries'
import { barAtAxle, torsionRate } from './torsionBar'

const degrees = (angle: number) => (angle * 180) / Math.PI

describe('springs in series', () => {
  it('are a spring on its tyre', () => {
    expect(springsInSeries(70_000, 250_000) / 1000).toBeCloseTo(54.69, 2)
    expect(springsInSeries(60_000, 250_000) / 1000).toBeCloseTo(48.39, 2)
    expect(() => springsInSeries(70_000, 0)).toThrow('above zero')
    expect(() => springsInSeries()).toThrow('above zero')
  })
  it('are a main and a helper, until the helper is blocked', () => {
    const pair = { main: 100_000, helper: 20_000, helperTravel: 0.04 }
    expect(springPair(pair, 799).rate / 1000).toBeCloseTo(16.67, 2)
    expect(springPair(pair, 800)).toMatchObject({ rate: 100_000, blocksAt: 800 })
    // Without a jump where it blocks.
    expect(springPair(pair, 800).travel).toBeCloseTo(springPair(pair, 800 - 1e-9).travel, 9)
  })
  it('are softer than the softest, and the order doesn’t matter', () => {
    const rate = fc.double({ min: 1e3, max: 1e6, noNaN: true })
    fc.assert(
      fc.property(rate, rate, (a, b) => {
        expect(springsInSeries(a, b)).toBeLessThan(Math.min(a, b))
        expect(springsInSeries(a, b)).toBeCloseTo(springsInSeries(b, a), 6)
      }),
    )
  })
})

describe('a bar', () => {
  it('resists with the fourth power of its diameter', () => {
    const rate = torsionRate(0.025, 0.9)
    expect(rate).toBeCloseTo(3379, 0)
    expect(barAtAxle(rate, 0.25, 0.6, 1.52)).toBeCloseTo(44_968, -1)
    expect(torsionRate(0.05, 0.9) / rate).toBeCloseTo(16)
    // A tube is what its bore leaves.
    expect(torsionRate(0.025, 0.9, 0.02)).toBeCloseTo(rate * (1 - 0.8 ** 4), 6)
    expect(() => torsionRate(0.02, 0.9, 0.02)).toThrow('narrower')
    expect(() => torsionRate(0.02, 0)).toThrow('length')
    expect(() => barAtAxle(rate, 0, 0.6, 1.5)).toThrow('length')
    expect(() => barAtAxle(rate, 0.2, 0.6, 0)).toThrow('track')
  })
})

describe('rollBalance', () => {
  it('is what the handbook has of car S', () => {
    const springs = ({ track, wheelRate }: RollCar['front']) => (wheelRate * track ** 2) / 2
    expect(springs(carS.front)).toBeCloseTo(80_864, 0)
    expect(springs(carS.rear)).toBeCloseTo(67_500, 0)
    const body = sprungBody(carS)
    expect(body.z).toBeCloseTo(0.4964, 4)
    expect(body.x).toBeCloseTo(1.0799, 4)
    const { stiffness, angle, transfer, frontTransferShare } = rollBalance(carS, 1.2 * STANDARD_GRAVITY)
    expect(stiffness.front).toBeCloseTo(73_651, 0)
    expect(stiffness.rear).toBeCloseTo(60_141.5, 0)
    expect(degrees(angle)).toBeCloseTo(2.235, 3)
    expect(degrees(angle) / 1.2).toBeCloseTo(1.863, 3)
    expect(transfer.front).toBeCloseTo(2314, 0)
    expect(transfer.rear).toBeCloseTo(2190, 0)
    expect(frontTransferShare).toBeCloseTo(0.5138, 4)
  })
  it('without the rear bar rolls more, and more of it in front', () => {
    const off = rollBalance({ ...carS, rear: { ...carS.rear, bar: 0 } }, 1.2 * STANDARD_GRAVITY)
    expect(off.frontTransferShare).toBeCloseTo(0.5327, 4)
    expect(degrees(off.angle)).toBeCloseTo(2.338, 3)
  })
  it('moves as much as the car’s own moment, whatever the springs', () => {
    const rate = fc.double({ min: 20_000, max: 200_000, noNaN: true })
    const bar = fc.double({ min: 0, max: 60_000, noNaN: true })
    fc.assert(
      fc.property(rate, rate, bar, bar, (frontRate, rearRate, frontBar, rearBar) => {
        const car: RollCar = {
          ...carS,
          front: { ...carS.front, wheelRate: frontRate, bar: frontBar },
          rear: { ...carS.rear, wheelRate: rearRate, bar: rearBar },
        }
        const sideways = 1.2 * STANDARD_GRAVITY
        const { transfer, angle, frontTransferShare } = rollBalance(car, sideways)
        const body = sprungBody(car)
        const axis = 0.05 * (1 - body.x / 2.575) + (0.12 * body.x) / 2.575
        const moment = 1200 * sideways * 0.47 + body.mass * STANDARD_GRAVITY * (body.z - axis) * angle
        expect(transfer.front * 1.52 + transfer.rear * 1.5).toBeCloseTo(moment, 4)
        expect(frontTransferShare).toBeGreaterThan(0)
        expect(frontTransferShare).toBeLessThan(1)
      }),
    )
  })
  it('moves more to the front with a stiffer front bar, and lifts its inside wheel sooner', () => {
    const of = (bar: number) => rollBalance({ ...carS, front: { ...carS.front, bar } }, 10)
    expect(of(30_000).frontTransferShare).toBeGreaterThan(of(10_000).frontTransferShare)
    expect(of(30_000).liftsAt.front).toBeLessThan(of(10_000).liftsAt.front)
    expect(of(30_000).angle).toBeLessThan(of(10_000).angle)
    // At that acceleration all of the wheel's load has gone over.
    const { liftsAt, frontMassShare } = of(18_000)
    const { transfer } = rollBalance(carS, liftsAt.front)
    expect(transfer.front).toBeCloseTo((1200 * STANDARD_GRAVITY * frontMassShare) / 2, 6)
  })
  it('refuses what can’t stand', () => {
    expect(() => axleRollStiffness({ ...carS.front, track: 0 })).toThrow('track')
    expect(() => rollBalance({ ...carS, centre: { x: 1.12, z: 90 } }, 10)).toThrow('no spring')
    expect(() => rollBalance({ ...carS, mass: 100 }, 10)).toThrow('body')
  })
})
