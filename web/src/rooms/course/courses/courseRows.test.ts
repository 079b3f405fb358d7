import { describe, expect, it } from 'vitest'
import { courseRows } from './courseRows'

const RADIUS = 80
const around = (rounds: number, every = 0.02) =>
  Array.from({ length: Math.round((rounds * 2 * Math.PI) / every) + 1 }, (_, i) => ({
    x: RADIUS * Math.cos(i * every),
    y: RADIUS * Math.sin(i * every),
  }))
const table = (head: string, rows: readonly (readonly (number | string)[])[]) =>
  [head, ...rows.map((r) => r.join(','))].join('\n')
const read = (text: string, closed = true) => {
  const found = courseRows(text, closed)
  if ('problem' in found) throw new Error(found.problem)
  return found
}
const problemOf = (text: string, closed = true) => {
  const found = courseRows(text, closed)
  return 'problem' in found ? found.problem : ''
}

describe('courseRows', () => {
  it('takes the first lap of a log that goes round three times, and shares out what is missing', () => {
    const degrees = around(3).map(({ x, y }) => [y / 111_195, x / 111_195])
    const { points, closingError, from, says } = read(table('latitude,longitude', degrees))
    expect(from).toBe('logged')
    expect(says).toContain('first whole lap')
    expect(closingError).toBeLessThan(2)
    const length = points.reduce((sum, p, i) => {
      const q = points[(i + 1) % points.length]!
      return sum + Math.hypot(q.x - p.x, q.y - p.y)
    }, 0)
    expect(length).toBeCloseTo(2 * Math.PI * RADIUS, -1)
  })
  it('reads metres, semicolons and heights', () => {
    const { points } = read('x (m);y (m);z (m)\n0;0;1\n30;0;2\n60;10;3,5', false)
    expect(points).toEqual([
      { x: 0, y: 0, z: 1 },
      { x: 30, y: 0, z: 2 },
      { x: 60, y: 10, z: 3.5 },
    ])
  })
  it('draws a circle from speed and sideways acceleration, in the units that the titles say', () => {
    const rows = Array.from({ length: 253 }, (_, i) => [i / 10, 72, 20 ** 2 / RADIUS / 9.80665])
    const { points, says } = read(table('time (s),speed (km/h),sideways (g)', rows))
    expect(says).toContain('km/h')
    const [xs, ys] = [points.map((p) => p.x), points.map((p) => p.y)]
    expect(Math.max(...xs) - Math.min(...xs)).toBeCloseTo(2 * RADIUS, -1)
    expect(Math.max(...ys) - Math.min(...ys)).toBeCloseTo(2 * RADIUS, -1)
  })
  it('reads GeoJSON, however deep its line lies', () => {
    const coordinates = around(1, 0.1).map(({ x, y }) => [x / 111_195, y / 111_195, 12])
    const text = JSON.stringify({ type: 'FeatureCollection', features: [{ type: 'Feature', geometry: { type: 'LineString', coordinates } }] }) // prettier-ignore
    const { points, from } = read(text)
    expect(from).toBe('file')
    expect(points[0]!.z).toBe(12)
  })
  it('says what is wrong with what is no line, and what would be right', () => {
    expect(problemOf('a,b\n1,2')).toContain('latitude, longitude')
    expect(problemOf('x,y\n0,0\n10,0\n2000,0\n2010,0')).toMatch(
      /From row 2 to the next the line jumps 1990 m/,
    )
    expect(
      problemOf(
        table(
          'x,y',
          around(0.02, 0.001).map(() => [3, 4]),
        ),
      ),
    ).toContain('stands still')
    expect(problemOf('{"type":"Feature"')).toContain('cut off')
    expect(problemOf('{"type":"Point","coordinates":[1,2]}')).toContain('No line in it')
    expect(problemOf(table('time,speed,sideways (g)', [[0, 50, 0.1], [1, 50, 0.1], [0.5, 50, 0.1]]))).toMatch(/don’t rise/) // prettier-ignore
    expect(problemOf(table('latitude,longitude', [[200, 1], [2, 3], [2, 4]]))).toContain('latitude lies between') // prettier-ignore
    expect(problemOf('')).not.toBe('')
  })
})
