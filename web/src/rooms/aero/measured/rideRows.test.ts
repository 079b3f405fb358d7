import { describe, expect, it } from 'vitest'
import { rideRows } from './rideRows'

/** Three speeds held for four seconds each, ten rows a second, with ramps between. */
function log(header: string, row: (t: number, kmh: number) => string): string {
  const lines = [header]
  let t = 0
  for (const kmh of [80, 140, 200]) {
    for (let i = 0; i < 40; i += 1, t += 0.1) lines.push(row(t, kmh))
    for (let i = 0; i < 10; i += 1, t += 0.1) lines.push(row(t, kmh + 6 * (i + 1)))
  }
  return lines.join('\n')
}
const points = (text: string) => {
  const read = rideRows(text)
  if ('problem' in read) throw new Error(read.problem)
  return read
}

describe('rideRows', () => {
  it('finds the held speeds of a log, with both sides of an axle as one', () => {
    const read = points(
      log('Time (s),Speed (km/h),Damper FL (mm),Damper FR (mm),Damper RL (mm),Damper RR (mm)', (t, v) =>
        [t.toFixed(2), v, 30 + v / 100, 32 + v / 100, 40, 44].join(','),
      ),
    )
    expect(read.points.map((p) => Math.round(p.speed * 3.6))).toEqual([80, 140, 200])
    expect(read.points[0]!.front).toBeCloseTo(0.0318, 4)
    expect(read.points[0]!.rear).toBeCloseTo(0.042, 6)
    expect(read.factor).toBeNull()
    expect(read.says).toMatch(/150 rows, 3 held speeds from 80 to 200 km\/h/)
  })
  it('weighs an airspeed tube against the ground, and reads mph and inches', () => {
    const read = points(
      log('time (s);ground speed (mph);pitot (mph);front (in);rear (in)', (t, v) =>
        [t.toFixed(2), v / 1.609344, v / 1.609344 / 1.05, 2, 3].join(';'),
      ),
    )
    expect(read.factor).toBeCloseTo(1.05, 6)
    expect(read.points[2]!.speed).toBeCloseTo(200 / 3.6, 6)
    expect(read.points[2]!.front).toBeCloseTo(0.0508, 6)
  })
  it('takes rows without a time as stretches that somebody wrote down', () => {
    const read = points('speed (km/h),front (mm),rear (mm)\n80,30,40\n140,31,42\n200,33,45\n')
    expect(read.points).toHaveLength(3)
    expect(read.points[2]).toMatchObject({ held: 0, front: 0.033 })
  })
  it.each([
    ['nothing', '', /first line should name/],
    ['a log without heights', 'time,speed\n1,2\n', /front and rear/],
    [
      'one that never holds a speed',
      `time (s),speed (km/h),front,rear\n${Array.from({ length: 60 }, (_, i) => `${i},${i * 5},1,1`).join('\n')}`,
      /No speed was held/,
    ],
    ['two rows', 'speed,front,rear\n80,1,1\n90,1,1', /Only 2 of the speeds/],
  ])('says what is wrong with %s', (_, text, problem) => {
    expect(rideRows(text)).toMatchObject({ problem: expect.stringMatching(problem) as string })
  })
})
