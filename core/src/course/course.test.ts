import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { cornersOf } from './cornersOf'
import { courseFrom } from './courseFrom'
import { lapCourseOf } from './lapCourseOf'
import { lineFromSections } from './lineFromSections'

describe('courseFrom', () => {
  it('reads straights, corners by length and corners by angle, in the unit that was chosen', () => {
    const { sections, bad } = courseFrom('straight 420\n\nr32 75\nLeft 32, 90°\n60', 1)
    expect(bad).toEqual([])
    expect(sections.map((s) => s.radius)).toEqual([null, -32, 32, null])
    expect(sections[2]!.length).toBeCloseTo((32 * Math.PI) / 2, 9)
    expect(courseFrom('100', 0.3048).sections[0]!.length).toBeCloseTo(30.48, 9)
  })
  it('names each line that is none, and keeps the others', () => {
    const { sections, bad } = courseFrom('420\nr32\nleft 90\nr32 75', 1)
    expect(sections).toHaveLength(2)
    expect(bad).toEqual([
      { line: 2, text: 'r32' },
      { line: 3, text: 'left 90' },
    ])
  })
})

describe('lineFromSections', () => {
  const oval = [
    { length: 400, radius: null },
    { length: 60 * Math.PI, radius: -60 },
    { length: 400, radius: null },
    { length: 60 * Math.PI, radius: -60 },
  ]
  it('draws an oval that comes round, and says by how much one does not', () => {
    const line = lineFromSections(oval, { closed: true })
    expect(line.gap).toBeCloseTo(0, 9)
    expect(line.turnsOff).toBeCloseTo(0, 9)
    expect(Math.min(...line.points.map((p) => p.y))).toBeCloseTo(-120, 1)
    const short = lineFromSections([...oval.slice(0, 3), { length: 58 * Math.PI, radius: -60 }], {
      closed: true,
    })
    expect(short.gap).toBeGreaterThan(3)
    expect(short.turnsOff).toBeCloseTo((2 * Math.PI) / 60, 9)
  })
  it('ends where its arcs end, however finely it is cut', () =>
    fc.assert(
      fc.property(
        fc.integer({ min: 5, max: 300 }),
        fc.integer({ min: 1, max: 400 }),
        fc.constantFrom(1, 2, 7),
        (radius, length, step) => {
          const { points } = lineFromSections([{ length, radius }], { closed: false, step })
          expect(points.at(-1)!.x).toBeCloseTo(radius * Math.sin(length / radius), 6)
          expect(points.at(-1)!.y).toBeCloseTo(radius * (1 - Math.cos(length / radius)), 6)
        },
      ),
    ))
  it('refuses what is no line', () => {
    expect(() => lineFromSections([], { closed: false })).toThrow('at least one section')
    expect(() => lineFromSections([{ length: 5, radius: 0 }], { closed: false })).toThrow('radius')
  })
})

describe('cornersOf', () => {
  it('finds each bend with its side, and one that goes through the start as one', () => {
    const half = { length: 30, radius: -40 }
    const { points, length } = lineFromSections(
      [half, { length: 200, radius: null }, { length: 80, radius: 50 }, { length: 90, radius: null }, half],
      { closed: true },
    )
    const corners = cornersOf(points, length, true)
    expect(corners.map((c) => Math.round(c.radius))).toEqual([-40, 50])
    expect(corners[0]).toMatchObject({ from: -30, to: 30 })
    expect(corners[0]!.turn).toBeCloseTo(-60 / 40, 6)
    expect(cornersOf(points, length, false)).toHaveLength(3)
  })
  it('knows no corner in a kink or a wide bend', () => {
    const { points, length } = lineFromSections(
      [
        { length: 100, radius: 800 },
        { length: 2, radius: 100 },
      ],
      { closed: false },
    )
    expect(cornersOf(points, length, false)).toEqual([])
  })
})

describe('lapCourseOf', () => {
  const sections = [
    { length: 100, radius: null },
    { length: 50, radius: 30 },
  ]
  it('cuts a line where its surface changes, and keeps its length and bends', () => {
    const wet = { from: 80, to: 120, gradient: 0.04, banking: 0.1, grip: 0.7 }
    const course = lapCourseOf({ kind: 'sections', sections }, [wet], false)
    expect(course.sections.map((s) => [s.length, s.radius, s.grip])).toEqual([
      [80, null, 1],
      [20, null, 0.7],
      [20, 30, 0.7],
      [30, 30, 1],
    ])
    expect(course.sections[1]).toMatchObject({ gradient: 0.04, banking: 0.1 })
  })
  it('takes slopes from the line where nobody says another', () => {
    const points = [0, 2, 4].map((distance) => ({ distance, curvature: 0.02, gradient: 0.03 }))
    const all = lapCourseOf({ kind: 'points', points, length: 6 }, [], true)
    expect(all.sections.map((s) => s.gradient)).toEqual([0.03, 0.03, 0.03])
    expect(all.sections[0]!.radius).toBeCloseTo(50, 9)
    const flat = { from: 0, to: 3, gradient: 0, banking: 0, grip: 1 }
    const some = lapCourseOf({ kind: 'points', points, length: 6 }, [flat], true)
    expect(some.sections.map((s) => s.gradient)).toEqual([0, 0, 0.03, 0.03])
    expect(() => lapCourseOf({ kind: 'sections', sections }, [{ ...flat, to: 0 }], false)).toThrow(
      'ends after',
    )
  })
})
