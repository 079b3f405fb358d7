import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { inOrder } from './priorities'
import { linkToCut, ringOf } from './ringOf'

describe('jobs that wait for each other', () => {
  it('are found, each after the one before it', () => {
    expect(ringOf([[1], [2], [0], []])).toEqual([2, 1, 0])
    expect(ringOf([[], [0], [0, 1]])).toBeNull()
    expect(ringOf([[0]])).toEqual([0])
  })

  it('are cut where the list goes back', () => {
    // 1 waits for 4, 2 for 1, 4 for 2: only the first waits for what was written down later.
    expect(linkToCut([4, 1, 2], [0, 1, 2, 3, 4])).toEqual({ job: 1, before: 4 })
  })

  it('have no order where there is a ring, and one where there is none', () => {
    fc.assert(
      fc.property(
        fc.array(fc.array(fc.nat(7), { maxLength: 2 }), { minLength: 8, maxLength: 8 }),
        (after) => {
          const ring = ringOf(after)
          if (ring) {
            expect(() => inOrder(after)).toThrow('ring')
            ring.forEach((job, i) => expect(after[job]).toContain(ring.at(i - 1)))
            // Once every ring is cut, there is an order.
            const { job, before } = linkToCut(
              ring,
              after.map((_, i) => i),
            )
            expect(after[job]).toContain(before)
          } else {
            const order = inOrder(after)
            after.forEach((befores, job) =>
              befores.forEach((before) => expect(order.indexOf(before)).toBeLessThan(order.indexOf(job))),
            )
          }
        },
      ),
    )
  })
})
