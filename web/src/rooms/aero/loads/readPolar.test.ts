import { describe, expect, it } from 'vitest'
import { readPolar } from './readPolar'

const deg = (d: number) => (d * Math.PI) / 180

describe('readPolar', () => {
  it.each([
    ['commas', 'alpha,CL,CD\n0,0.61,0.052\n4,0.92,0.061'],
    ['tabs, the other way round', '4\t0.92\t0.061\n0\t0.61\t0.052'],
    ['semicolons and decimal commas', '0;0,61;0,052\n4°;0,92;0,061\n'],
    ['blanks', '  0   0.61  0.052\n  4   0.92  0.061'],
    ['blanks and decimal commas', '0 0,61 0,052\n4 0,92 0,061'],
    ['commas and blanks', '0, 0.61, 0.052\n4, 0.92, 0.061'],
  ])('reads %s', (_, text) => {
    const read = readPolar(text)
    if ('problem' in read) throw new Error(read.problem)
    expect(read.points.map((p) => [p.lift, p.drag])).toEqual([
      [0.61, 0.052],
      [0.92, 0.061],
    ])
    expect(read.points[1]!.angle).toBeCloseTo(deg(4), 9)
  })
  it('says what is wanted of one line, of nothing, and of an angle that stands twice', () => {
    expect(readPolar('4, 0.9, 0.06')).toMatchObject({
      problem: expect.stringMatching(/Two lines or more/) as string,
    })
    expect(readPolar('a polar')).toMatchObject({ problem: expect.stringMatching(/Two lines/) as string })
    expect(readPolar('4 0.9 0.06\n4 0.8 0.05')).toMatchObject({
      problem: expect.stringMatching(/4.0° stands twice/) as string,
    })
  })
})
