import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { normalPair } from '../numeric/normalPair'
import { randomBits } from '../numeric/randomBits'
import { dynamicPressure } from './aeroBalance'
import { downforceFrom, pitotFactor, type RideSetup } from './downforceFrom'
import { steadyStretches, type RidePoint, type RideRow } from './steadyStretches'

const setup: RideSetup = {
  sensor: 'damper',
  motionRatio: { front: 0.94, rear: 0.9 },
  airDensity: 1.2,
  speedFactor: 1,
  wheelRate: { front: 90_000, rear: 95_000 },
}
/** Where the suspension stands under known areas. */
const stands = (speed: number, areas: { front: number; rear: number }, by: RideSetup): RidePoint => {
  const q = dynamicPressure(by.airDensity, speed * by.speedFactor)
  const sign = by.sensor === 'damper' ? 1 : -1
  const at = (end: 'front' | 'rear', from: number) =>
    from + (sign * areas[end] * q * by.motionRatio[end]) / (2 * by.wheelRate[end])
  return { speed, front: at('front', 0.03), rear: at('rear', 0.04), held: 3 }
}

describe('downforceFrom', () => {
  it('finds the areas that made the log, by dampers and by ride heights', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -0.3, max: 1, noNaN: true }),
        fc.double({ min: 0.05, max: 2, noNaN: true }),
        fc.constantFrom<RideSetup['sensor']>('damper', 'rideHeight'),
        fc.double({ min: 0.8, max: 1.2, noNaN: true }),
        (front, rear, sensor, speedFactor) => {
          const by = { ...setup, sensor, speedFactor }
          const points = [25, 35, 45, 55, 65].map((v) => stands(v, { front, rear }, by))
          const found = downforceFrom(points, by)
          expect(found.front.value).toBeCloseTo(front, 6)
          expect(found.rear.value).toBeCloseTo(rear, 6)
          expect(found.total.value).toBeCloseTo(front + rear, 6)
          if (front + rear > 0.01) expect(found.frontShare!.value).toBeCloseTo(front / (front + rear), 5)
        },
      ),
    )
  })
  it('its 90 % interval holds the truth in about 90 of 100 noisy logs', () => {
    const bits = randomBits(7)
    const truth = { front: 0.31, rear: 0.62 }
    const tries = 600
    let held = 0
    for (let t = 0; t < tries; t += 1) {
      const points = [28, 33, 39, 44, 50, 56, 61].map((v) => {
        const p = stands(v, truth, setup)
        const [a, b] = normalPair(bits)
        return { ...p, front: p.front + 0.0006 * a, rear: p.rear + 0.0006 * b }
      })
      const [low, high] = downforceFrom(points, setup).front.interval
      if (low <= truth.front && truth.front <= high) held += 1
    }
    expect(held / tries).toBeGreaterThan(0.87)
    expect(held / tries).toBeLessThan(0.93)
  })
  it('refuses too few stretches, one speed only, and rates of nothing', () => {
    const points = [30, 45, 60].map((v) => stands(v, { front: 0.3, rear: 0.5 }, setup))
    expect(() => downforceFrom(points.slice(1), setup)).toThrow('3 steady stretches')
    expect(() => downforceFrom([points[0]!, points[0]!, points[0]!], setup)).toThrow('a second, slower one')
    expect(() => downforceFrom(points, { ...setup, airDensity: 0 })).toThrow('above zero')
  })
  it('has no balance where the car lifts as a whole', () => {
    const points = [30, 45, 60].map((v) => stands(v, { front: -0.2, rear: 0.1 }, setup))
    expect(downforceFrom(points, setup).frontShare).toBeNull()
  })
})

describe('pitotFactor', () => {
  it('wind comes out of runs both ways', () => {
    // The tube says 4 % too little; 3 m/s of wind.
    const pairs = [1, -1].map((way) => ({ ground: 50, tube: (50 + 3 * way) / 1.04 }))
    expect(pitotFactor(pairs)).toBeCloseTo(1.04)
    expect(() => pitotFactor([])).toThrow('says nothing')
  })
})

describe('steadyStretches', () => {
  const held = (from: number, seconds: number, speed: number): RideRow[] =>
    Array.from({ length: seconds * 20 + 1 }, (_, i) => ({
      time: from + i / 20,
      speed: speed + 0.2 * Math.sin(i),
      front: 0.03,
      rear: speed / 1000,
    }))
  const ramp: RideRow[] = Array.from({ length: 100 }, (_, i) => ({
    time: 5.2 + i / 20,
    speed: 30 + i / 5,
    front: 0,
    rear: 0,
  }))
  it('finds what was held, and not what was driven through', () => {
    const found = steadyStretches([...held(0, 4, 30), ...ramp, ...held(12, 3, 50)])
    expect(found.map((p) => Math.round(p.speed))).toEqual([30, 50])
    expect(found[0]!.held).toBeCloseTo(4, 0)
    expect(found[1]!.rear).toBeCloseTo(0.05, 3)
  })
  it('leaves out standing still and stretches that are too short, and refuses time that falls', () => {
    expect(steadyStretches(held(0, 10, 1))).toEqual([])
    expect(steadyStretches(held(0, 1, 30))).toEqual([])
    expect(() => steadyStretches([...held(0, 3, 30)].reverse())).toThrow('don’t fall')
  })
})
