import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { bestWindow } from './bestWindow'
import type { DriftWindow } from './driftWindow'

const windowOf = (gear: number, window: readonly [number, number] | null): DriftWindow => ({
  gear,
  window,
  margin: 1.5,
  breaksLoose: 2,
  lower: 'boost',
  upper: 'limiter',
})
const some = fc
  .array(
    fc.option(
      fc.tuple(fc.double({ min: 5, max: 30, noNaN: true }), fc.double({ min: 1, max: 20, noNaN: true })),
    ),
    {
      minLength: 1,
      maxLength: 6,
    },
  )
  .map((all) => all.map((w, gear) => windowOf(gear, w && [w[0], w[0] + w[1]])))

describe('bestWindow', () => {
  it('is the widest without a layout, and what has most of the layout in it with one', () => {
    const windows = [windowOf(1, [8, 14]), windowOf(2, [12, 24]), windowOf(3, null)]
    expect(bestWindow(windows, null).best).toEqual({ gear: 2, window: [12, 24] })
    expect(bestWindow(windows, { entry: 14, exit: 8 })).toEqual({
      best: { gear: 1, window: [8, 14] },
      covering: { gear: 1, window: [8, 14] },
    })
  })
  it('is nothing where no gear holds a slide', () =>
    expect(bestWindow([windowOf(1, null)], { entry: 20, exit: 10 })).toEqual({ best: null, covering: null }))
  it('covers a layout only where a window holds all of it, and then the best does, too', () =>
    fc.assert(
      fc.property(
        some,
        fc.double({ min: 5, max: 20, noNaN: true }),
        fc.double({ min: 0, max: 20, noNaN: true }),
        (windows, exit, more) => {
          const layout = { exit, entry: exit + more }
          const { best, covering } = bestWindow(windows, layout)
          const covers = (w: readonly [number, number]) => w[0] <= layout.exit && w[1] >= layout.entry
          expect(covering !== null).toBe(windows.some(({ window }) => window !== null && covers(window)))
          if (covering && best) expect(covers(best.window)).toBe(true)
        },
      ),
    ))
})
