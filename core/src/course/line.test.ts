import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { randomBits } from '../numeric/randomBits'
import { lineFromBends } from './lineFromBends'
import { lineFromPoints, type DrawnPoint } from './lineFromPoints'
import { closedUp } from './closedUp'
import { degreesFrom } from './degreesFrom'
import { firstLap } from './firstLap'
import { metresFrom } from './metresFrom'

const circle = (radius: number, count: number): DrawnPoint[] =>
  Array.from({ length: count }, (_, i) => ({
    x: radius * Math.cos((2 * Math.PI * i) / count),
    y: radius * Math.sin((2 * Math.PI * i) / count),
  }))
const turning = ({ points, step }: ReturnType<typeof lineFromPoints>) =>
  points.reduce((sum, p) => sum + p.curvature * step, 0)

describe('lineFromPoints', () => {
  it.each([
    [15, 12],
    [50, 24],
    [200, 60],
  ])('a circle of %d m through %d points bends by its radius', (radius, count) => {
    const line = lineFromPoints(circle(radius, count), { round: 'drawn' })
    expect(line.length / (2 * Math.PI * radius)).toBeCloseTo(1, 2)
    for (const { curvature } of line.points) expect(Math.abs(curvature * radius - 1)).toBeLessThan(0.04)
    expect(line.crossings).toEqual([])
  })
  it('turns once round, to the left or to the right, however it is smoothed', () =>
    fc.assert(
      fc.property(
        fc.integer({ min: 20, max: 200 }),
        fc.integer({ min: 10, max: 80 }),
        fc.integer({ min: 0, max: 40 }),
        (radius, count, smooth) => {
          const points = circle(radius, count)
          const left = lineFromPoints(points, { round: 'drawn', smooth })
          const right = lineFromPoints([...points].reverse(), { round: 'drawn', smooth })
          expect(turning(left)).toBeCloseTo(2 * Math.PI, 6)
          expect(turning(right)).toBeCloseTo(-2 * Math.PI, 6)
          expect(left.length).toBeCloseTo(right.length, 3)
        },
      ),
      { numRuns: 40 },
    ))
  it('of a straight bends nowhere, and rises as the road does', () => {
    const line = lineFromPoints(
      Array.from({ length: 30 }, (_, i) => ({ x: i * 10, y: 0, z: i * 0.5 })),
      { round: 'open' },
    )
    expect(line.length).toBeCloseTo(290, 6)
    for (const p of line.points) expect(Math.abs(p.curvature)).toBeLessThan(1e-9)
    expect(line.points[70]!.gradient).toBeCloseTo(0.05, 3)
  })
  it('shares out what is missing where a log should come round, and says how much it was', () => {
    const logged = [...circle(80, 100), { x: 83, y: 4 }]
    const line = lineFromPoints(logged, { round: 'logged' })
    expect(line.closingError).toBeCloseTo(5, 6)
    expect(turning(line)).toBeCloseTo(2 * Math.PI, 6)
    const [first, last] = [line.points[0]!, line.points.at(-1)!]
    expect(Math.hypot(last.x - first.x, last.y - first.y)).toBeLessThan(2.2)
  })
  it('of a receiver that wanders by half a metre still bends as it was driven', () => {
    const bits = randomBits(7)
    const wander = () => (bits() / 2 ** 32 - 0.5) * 0.5
    const logged = circle(60, 120).map(({ x, y }) => ({ x: x + wander(), y: y + wander() }))
    const line = lineFromPoints(logged, { round: 'drawn', smooth: 30 })
    const off = line.points.map((p) => Math.abs(p.curvature * 60 - 1))
    expect(off.reduce((a, b) => a + b) / off.length).toBeLessThan(0.15)
  })
  it('says where it crosses itself', () => {
    const eight = Array.from({ length: 60 }, (_, i) => {
      const t = (2 * Math.PI * (i + 0.5)) / 60
      return { x: 100 * Math.sin(t), y: 60 * Math.sin(2 * t) }
    })
    const { crossings, length } = lineFromPoints(eight, { round: 'drawn' })
    expect(crossings).toHaveLength(1)
    expect(crossings[0]![1] - crossings[0]![0]).toBeCloseTo(length / 2, -1)
  })
  it('refuses a log that stands still, jumps, or says nothing', () => {
    const still = Array.from({ length: 50 }, () => ({ x: 3, y: 4 }))
    expect(() => lineFromPoints(still, { round: 'open' })).toThrow(/three points that differ/)
    const jumps = [...circle(50, 20), { x: 900, y: 0 }]
    expect(() => lineFromPoints(jumps, { round: 'open' })).toThrow(/from point 20 to the next/)
    expect(() => lineFromPoints([{ x: NaN, y: 0 }], { round: 'open' })).toThrow(/two lengths/)
  })
})

describe('lineFromBends', () => {
  /** Once round a circle at a steady speed. */
  const round = (radius: number, speed: number, sideways = (speed * speed) / radius) =>
    Array.from({ length: 201 }, (_, i) => ({
      time: (i / 200) * ((2 * Math.PI * radius) / speed),
      speed,
      sideways,
    }))
  it('of a steady circle is that circle', () =>
    fc.assert(
      fc.property(fc.integer({ min: 15, max: 300 }), fc.integer({ min: 5, max: 60 }), (radius, speed) => {
        const line = lineFromBends(round(radius, speed), { round: true })
        expect(line.length / (2 * Math.PI * radius)).toBeCloseTo(1, 9)
        expect(line.closingError).toBeLessThan(0.01 * radius)
        expect(line.turningError).toBeCloseTo(0, 6)
        for (const { curvature } of line.points) expect(curvature * radius).toBeCloseTo(1, 6)
      }),
      { numRuns: 40 },
    ))
  it('of a logger that leans still turns by whole turns, and says how far off it was', () => {
    const line = lineFromBends(round(60, 25, (25 * 25) / 60 + 0.4), { round: true })
    expect(line.turningError! * (180 / Math.PI)).toBeCloseTo(360 * ((0.4 * 60) / 625), 1)
    for (const { curvature } of line.points) expect(curvature * 60).toBeCloseTo(1, 6)
    const open = lineFromBends(round(60, 25), { round: false })
    expect(open.closingError).toBeNull()
  })
  it('refuses a log that stands, runs backwards, or says nothing', () => {
    const lap = round(60, 25)
    const standing = lap.map((r, i) => (i === 5 ? { ...r, speed: 0 } : r))
    expect(() => lineFromBends(standing, { round: true })).toThrow(/at reading 6 it is too slow/)
    expect(() => lineFromBends([...lap].reverse(), { round: true })).toThrow(/don’t rise/)
    expect(() => lineFromBends(lap.slice(0, 2), { round: true })).toThrow(/three readings/)
    const lost = lap.map((r) => ({ ...r, sideways: NaN }))
    expect(() => lineFromBends(lost, { round: true })).toThrow(/an acceleration/)
  })
})

describe('metresFrom', () => {
  /** Haversine, an independent formula for the same distance. */
  const haversine = (a: [number, number], b: [number, number]) => {
    const rad = Math.PI / 180
    const h =
      Math.sin(((b[0] - a[0]) * rad) / 2) ** 2 +
      Math.cos(a[0] * rad) * Math.cos(b[0] * rad) * Math.sin(((b[1] - a[1]) * rad) / 2) ** 2
    return 2 * 6_371_008.8 * Math.asin(Math.sqrt(h))
  }
  it('is as far as the haversine formula says, within 10 km', () =>
    fc.assert(
      fc.property(
        fc.double({ min: -65, max: 65, noNaN: true }),
        fc.double({ min: -180, max: 180, noNaN: true }),
        fc.double({ min: -0.04, max: 0.04, noNaN: true }),
        fc.double({ min: -0.04, max: 0.04, noNaN: true }),
        (latitude, longitude, north, east) => {
          const [, other] = metresFrom([
            { latitude, longitude },
            { latitude: latitude + north, longitude: ((longitude + east + 540) % 360) - 180 },
          ])
          const there = haversine([latitude, longitude], [latitude + north, longitude + east])
          expect(Math.abs(Math.hypot(other!.x, other!.y) - there)).toBeLessThanOrEqual(1e-3 * there + 0.01)
        },
      ),
    ))
  it('refuses what is not on the earth', () => {
    expect(() => metresFrom([{ latitude: 95, longitude: 0 }])).toThrow(RangeError)
    expect(metresFrom([])).toEqual([])
  })
})

describe('closedUp, firstLap and degreesFrom', () => {
  const round = (turns: number) =>
    Array.from({ length: Math.round(turns * 60) + 1 }, (_, i) => ({
      x: 90 * Math.cos((i * Math.PI) / 30),
      y: 90 * Math.sin((i * Math.PI) / 30),
    }))
  it('shares out what is missing: the start stays, and what is left comes round', () => {
    const drifting = round(1).map((p, i) => ({ x: p.x + i * 0.05, y: p.y }))
    const { points, closingError } = closedUp(drifting)
    expect(closingError).toBeCloseTo(3, 6)
    expect(points[0]).toMatchObject(drifting[0]!)
    expect(points).toHaveLength(60)
    expect(Math.hypot(points[59]!.x - points[0]!.x, points[59]!.y - points[0]!.y)).toBeLessThan(10)
  })
  it('takes one round of several, and all of what never comes round', () => {
    expect(firstLap(round(2.6))).toHaveLength(61)
    const straight = Array.from({ length: 50 }, (_, i) => ({ x: i * 10, y: 0 }))
    expect(firstLap(straight)).toHaveLength(50)
  })
  it('goes to degrees and back', () => {
    const line = round(1)
    const back = metresFrom(degreesFrom(line))
    line.forEach((p, i) => {
      expect(back[i]!.x + line[0]!.x).toBeCloseTo(p.x, 3)
      expect(back[i]!.y + line[0]!.y).toBeCloseTo(p.y, 3)
    })
  })
})
