import fc from 'fast-check'
import loadHighs from 'highs'
import { describe, expect, it } from 'vitest'
import { planBallast, type BallastInputs, type SolveProgramme } from './ballast'
import { carriedBy } from './carriedBy'
import { CORNERS } from './fourPadWeighIn'
import type { CornerSprings } from './cornerSprings'

const highs = await loadHighs()
const solve: SolveProgramme = (text, gap) => {
  const { Status, Columns } = highs.solve(text, { mip_abs_gap: gap, presolve: 'off' })
  if (Status !== 'Optimal') return null
  return Object.fromEntries(
    Object.entries(Columns).map(([name, column]) => [name, (column as { Primal: number }).Primal]),
  )
}

const car: BallastInputs = {
  mass: 760,
  centre: { x: 1.15, y: 0.01 },
  wheelbase: 2.4,
  track: 1.46,
  minimumMass: 780,
  plates: [
    { mass: 5, count: 6 },
    { mass: 2, count: 4 },
  ],
  spots: [
    { id: 'footwell', at: { x: 0.9, y: -0.35 }, limit: 15 },
    { id: 'boot', at: { x: 2.5, y: 0 }, limit: 20 },
    { id: 'sill', at: { x: 1.3, y: -0.6 }, limit: 10 },
  ],
}

/** Every way to bolt the plates on, for cases small enough. */
function bruteForce(inputs: BallastInputs): number | null {
  const slots = inputs.spots.flatMap((_, s) => inputs.plates.map((_, p) => [s, p] as const))
  let best: number | null = null
  const counts = slots.map(() => 0)
  const visit = (i: number): void => {
    if (i === slots.length) {
      const at = inputs.spots.map((_, s) =>
        slots.reduce((sum, [spot, p], k) => sum + (spot === s ? counts[k]! * inputs.plates[p]!.mass : 0), 0),
      )
      if (at.some((m, s) => m > inputs.spots[s]!.limit + 1e-9)) return
      const used = inputs.plates.map((_, p) =>
        slots.reduce((n, [, q], k) => n + (q === p ? counts[k]! : 0), 0),
      )
      if (used.some((n, p) => n > inputs.plates[p]!.count)) return
      const added = at.reduce((a, b) => a + b, 0)
      const total = inputs.mass + added
      if (total < inputs.minimumMass - 1e-9) return
      const mean = (own: number, each: readonly number[]) =>
        (inputs.mass * own + at.reduce((sum, m, s) => sum + m * each[s]!, 0)) / total
      const front =
        1 -
        mean(
          inputs.centre.x,
          inputs.spots.map((s) => s.at.x),
        ) /
          inputs.wheelbase
      const left =
        0.5 +
        mean(
          inputs.centre.y,
          inputs.spots.map((s) => s.at.y),
        ) /
          inputs.track
      if (inputs.front && Math.abs(front - inputs.front.value) > inputs.front.tolerance + 1e-9) return
      if (inputs.left && Math.abs(left - inputs.left.value) > inputs.left.tolerance + 1e-9) return
      if (best === null || added < best) best = added
      return
    }
    const [s, p] = slots[i]!
    const most = Math.min(
      inputs.plates[p]!.count,
      Math.floor(inputs.spots[s]!.limit / inputs.plates[p]!.mass),
    )
    for (let n = 0; n <= most; n += 1) {
      counts[i] = n
      visit(i + 1)
    }
    counts[i] = 0
  }
  visit(0)
  return best
}

describe('planBallast', () => {
  it('reaches a minimum mass with the least that the plates allow', () => {
    const answer = planBallast(car, solve)
    expect(answer).toMatchObject({ feasible: true, plan: { added: 20, mass: 780 } })
  })
  it('keeps to the limit of each spot and to the plates there are', () => {
    const answer = planBallast({ ...car, minimumMass: 793 }, solve)
    if (!answer.feasible) throw new Error('there is a plan')
    for (const spot of car.spots) {
      const here = answer.plan.plates[spot.id]!.reduce((sum, n, p) => sum + n * car.plates[p]!.mass, 0)
      expect(here).toBeLessThanOrEqual(spot.limit)
    }
  })
  it('moves the front share where it is wanted', () => {
    const front = { value: 0.51, tolerance: 0.002 }
    const answer = planBallast({ ...car, front }, solve)
    if (!answer.feasible) throw new Error('there is a plan')
    expect(Math.abs(answer.plan.front - 0.51)).toBeLessThanOrEqual(0.002 + 1e-9)
    expect(answer.plan.mass).toBeGreaterThanOrEqual(780)
  })
  it('is never beaten by trying everything, and finds a plan exactly where there is one', () => {
    const some = fc.record({
      minimum: fc.integer({ min: 760, max: 800 }),
      front: fc.option(fc.double({ min: 0.49, max: 0.535, noNaN: true })),
      left: fc.option(fc.double({ min: 0.49, max: 0.515, noNaN: true })),
      big: fc.integer({ min: 0, max: 3 }),
      small: fc.integer({ min: 1, max: 3 }),
    })
    fc.assert(
      fc.property(some, ({ minimum, front, left, big, small }) => {
        const inputs: BallastInputs = {
          ...car,
          minimumMass: minimum,
          front: front === null ? null : { value: front, tolerance: 0.0025 },
          left: left === null ? null : { value: left, tolerance: 0.0025 },
          plates: [
            { mass: 7, count: big },
            { mass: 3, count: small },
          ],
        }
        const answer = planBallast(inputs, solve)
        const best = bruteForce(inputs)
        if (best === null) expect(answer.feasible).toBe(false)
        else expect(answer.feasible && answer.plan.added).toBeCloseTo(best, 6)
      }),
      { numRuns: 60 },
    )
  })
  it('says which limit stands in the way, and how far it would have to move', () => {
    const answer = planBallast({ ...car, minimumMass: 900 }, solve)
    if (answer.feasible) throw new Error('there is no plan')
    expect(answer.relax).toEqual([{ limit: 'minimumMass', to: 760 + 38 }])
    const nose = planBallast({ ...car, minimumMass: 0, front: { value: 0.6, tolerance: 0.001 } }, solve)
    expect(nose.feasible).toBe(false)
    expect(!nose.feasible && nose.relax.map((r) => r.limit)).toEqual(['front'])
  })
  it('reaches a cross target where the spots carry across', () => {
    const cross = { cross: 0.49, crossTarget: { value: 0.495, tolerance: 0.001 } }
    const spots = car.spots.map((s, i) => ({ ...s, crossShare: [0.9, 0.5, 0.7][i]! }))
    const answer = planBallast({ ...car, ...cross, minimumMass: 0, spots }, solve)
    expect(answer.feasible && answer.plan.cross).toBeCloseTo(0.495, 2)
  })
  it.each([
    [{ ...car, spots: [] }, /no spot/],
    [{ ...car, plates: [{ mass: 5, count: 0 }] }, /no plates/],
    [{ ...car, crossTarget: { value: 0.5, tolerance: 0.01 } }, /cross target needs/],
  ])('refuses nonsense %#', (inputs, words) => expect(() => planBallast(inputs, solve)).toThrow(words))
})

describe('carriedBy', () => {
  const springs: CornerSprings = {
    rates: { frontLeft: 40_000, frontRight: 40_000, rearLeft: 35_000, rearRight: 35_000 },
    halfTrackFront: 0.73,
    halfTrackRear: 0.72,
    toFront: 1.15,
    toRear: 1.25,
  }
  it('keeps mass and both moments, wherever it is put', () => {
    const where = fc.double({ min: -1.5, max: 1.5, noNaN: true })
    fc.assert(
      fc.property(where, where, (left, forward) => {
        const s = carriedBy(springs, { left, forward })
        expect(CORNERS.reduce((sum, c) => sum + s[c], 0)).toBeCloseTo(1, 9)
        expect(1.15 * (s.frontLeft + s.frontRight) - 1.25 * (s.rearLeft + s.rearRight)).toBeCloseTo(
          forward,
          9,
        )
        expect(0.73 * (s.frontLeft - s.frontRight) + 0.72 * (s.rearLeft - s.rearRight)).toBeCloseTo(left, 9)
      }),
    )
  })
  it('doesn’t care where the origin lies: only arms from the centre of mass count', () => {
    const shift = fc.double({ min: -2, max: 2, noNaN: true })
    fc.assert(
      fc.property(shift, shift, (left, forward) => {
        const s = carriedBy(springs, { left, forward })
        const mirrored = carriedBy(springs, { left: -left, forward })
        expect(s.frontRight + s.rearLeft).toBeCloseTo(mirrored.frontLeft + mirrored.rearRight, 9)
      }),
    )
  })
  it('is even across on the centreline', () => {
    const s = carriedBy(springs, { left: 0, forward: 0.4 })
    expect(s.frontLeft).toBeCloseTo(s.frontRight, 12)
    expect(s.frontRight + s.rearLeft).toBeCloseTo(0.5, 9)
  })
})
