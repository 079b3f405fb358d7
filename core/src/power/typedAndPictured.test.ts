import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { readPicture, type PictureAxes } from './readPicture'
import { typedPoints } from './typedPoints'

describe('readPicture', () => {
  const axes: PictureAxes = {
    x: [
      { at: { x: 100, y: 500 }, value: 2000 },
      { at: { x: 600, y: 500 }, value: 7000 },
    ],
    y: [
      { at: { x: 100, y: 500 }, value: 0 },
      { at: { x: 100, y: 100 }, value: 200 },
    ],
  }
  it('reads upright pictures: a pixel is 10 rpm and half a unit here', () => {
    expect(readPicture(axes, [{ x: 350, y: 300 }, { x: 200, y: 400 }])).toEqual([{ x: 3000, y: 50 }, { x: 4500, y: 100 }]) // prettier-ignore
  })
  it('reads the same off a picture that is turned and slanted', () => {
    const angle = fc.double({ min: -0.6, max: 0.6, noNaN: true })
    const slant = fc.double({ min: -0.5, max: 0.5, noNaN: true })
    const share = fc.double({ min: 0, max: 1, noNaN: true })
    fc.assert(
      fc.property(angle, slant, share, share, (turn, lean, a, b) => {
        const put = (x: number, y: number) => ({
          x: Math.cos(turn) * (x + lean * y) - Math.sin(turn) * y,
          y: Math.sin(turn) * (x + lean * y) + Math.cos(turn) * y,
        })
        const slanted: PictureAxes = {
          x: [
            { at: put(0, 40), value: 1000 },
            { at: put(400, 40), value: 8000 },
          ],
          y: [
            { at: put(-20, 0), value: 50 },
            { at: put(-20, 300), value: 350 },
          ],
        }
        const [read] = readPicture(slanted, [put(400 * a, 300 * b)])
        expect(read!.x).toBeCloseTo(1000 + 7000 * a, 5)
        expect(read!.y).toBeCloseTo(50 + 300 * b, 5)
      }),
    )
  })
  it('says what is wrong with the marks', () => {
    const { x, y } = axes
    expect(() => readPicture({ x: [x[0], x[0]], y }, [])).toThrow('one spot')
    expect(() => readPicture({ x, y: [y[0], { ...y[1], value: 0 }] }, [])).toThrow('different values')
    expect(() => readPicture({ x, y: x }, [])).toThrow('along each other')
  })
})

describe('typedPoints', () => {
  it('reads what people type and paste', () => {
    const { pairs, bad } = typedPoints('rpm  Nm\n3000 185\n3500; 192,5\n\n4000\t201\n4,500, 198')
    expect(pairs.map(({ x, y }) => [x, y])).toEqual([[3000, 185], [3500, 192.5], [4000, 201], [4500, 198]]) // prettier-ignore
    expect(bad).toEqual([])
  })
  it('takes times from zero on where times are asked for', () => {
    const read = typedPoints('0 118\n4.2 162\n-1 90', { x: 'a time', fromZero: true })
    expect(read.pairs.map((p) => p.x)).toEqual([0, 4.2])
    expect(read.bad).toEqual([{ line: 3, problem: 'a time is not below zero' }])
  })
  it('names each bad line and keeps the rest', () => {
    const { pairs, bad } = typedPoints('3000 185\nabc 1\n3500\n3000 190\n-5 10\n4000 x')
    expect(pairs).toHaveLength(1)
    expect(bad).toEqual([
      { line: 2, problem: '“abc” is not a number' },
      { line: 3, problem: 'an engine speed and a figure are wanted' },
      { line: 5, problem: 'an engine speed is above zero' },
      { line: 6, problem: '“x” is not a number' },
      { line: 4, problem: 'engine speed 3000 stands on line 1 already' },
    ])
  })
})
