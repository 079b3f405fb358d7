import { describe, expect, it } from 'vitest'
import { takeStretches } from './takeStretches'

function* counting(upTo: number, onStep: (n: number) => void) {
  for (let n = 1; n <= upTo; n += 1) {
    // Each step takes a while.
    const end = performance.now() + 5
    while (performance.now() < end);
    onStep(n)
    yield
  }
}

describe('takeStretches', () => {
  it('takes every step, and lets others have their turn in between', async () => {
    let taken = 0
    let turns = 0
    const timer = setInterval(() => (turns += 1))
    expect(
      await takeStretches(
        counting(40, (n) => (taken = n)),
        () => false,
      ),
    ).toBe(true)
    clearInterval(timer)
    expect(taken).toBe(40)
    expect(turns).toBeGreaterThan(0)
  })
  it('stops after the stretch in which it has become old', async () => {
    let taken = 0
    const done = await takeStretches(
      counting(1000, (n) => (taken = n)),
      () => true,
    )
    expect(done).toBe(false)
    expect(taken).toBeLessThan(1000)
  })
})
