import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { known } from '../evidence/known'
import { aboard, type Carriers } from './aboard'
import { creditOfSwap } from './creditOfSwap'
import { doubtMass } from './doubtMass'
import type { LedgerLine, LineKind } from './ledger'
import { lineMass } from './lineMass'
import { EMPTY_FOLD, foldMass, pointOf, type MassPoint } from './massFold'
import { frontShare, leftShare, massState, stateOf } from './massState'

const POUND = 0.45359237
const line = (kind: LineKind, mass: number, more: Partial<LedgerLine> = {}): LedgerLine => ({
  kind,
  mass,
  sigma: null,
  grade: 'measured',
  quantity: 1,
  fitted: true,
  position: null,
  movedTo: null,
  ...more,
})
const net = (...lines: LedgerLine[]) => creditOfSwap(lines).net.value

describe('creditOfSwap', () => {
  // Common practice: worked swaps of the trade, with no source.
  it('two fenders at 8 kg replaced by composite at half save 8 kg', () => {
    expect(net(line('off', 8, { quantity: 2 }), line('on', 4, { quantity: 2 }))).toBeCloseTo(-8)
  })
  it('56.0 lb of wiring off and 10.9 lb on are 45.1 lb', () => {
    expect(net(line('off', 56 * POUND), line('on', 10.9 * POUND)) / POUND).toBeCloseTo(-45.1)
  })
  it('a 34 kg cover replaced by 11 kg saves 23 kg', () =>
    expect(net(line('off', 34), line('on', 11))).toBeCloseTo(-23))
  it('a panel 41 lb lighter than a 61.2 lb one weighs 9.16 kg', () => {
    expect((61.2 - 41) * POUND).toBeCloseTo(9.16, 2)
  })
  it('counts carried-over parts back on: a heavy door is no saving until its glass has moved', () => {
    const credit = creditOfSwap([line('off', 25), line('on', 6), line('carried', 7)])
    expect(credit.net.value).toBeCloseTo(-12)
  })
  it('is banked only when every line is weighed and fitted', () => {
    expect(creditOfSwap([line('off', 25), line('on', 6)]).state).toBe('banked')
    expect(creditOfSwap([line('off', 25), line('on', 6, { grade: 'claim' })])).toMatchObject({
      state: 'pending',
      unweighed: 1,
    })
    expect(creditOfSwap([line('off', 25), line('on', 6, { fitted: false })])).toMatchObject({
      state: 'pending',
      unfitted: 1,
    })
    expect(creditOfSwap([]).state).toBe('empty')
  })
  it('lets pieces of a kind share one reading’s error', () =>
    expect(lineMass(line('on', 0.4, { quantity: 4 })).sigma).toBeCloseTo(0.016))
})

const car: MassPoint = {
  mass: known(900, 'measured', 2),
  sign: 1,
  position: { x: 1.1, y: 0, z: 0.5 },
  whole: true,
}
const somePosition = fc.record({
  x: fc.double({ min: -1, max: 4, noNaN: true }),
  y: fc.double({ min: -0.8, max: 0.8, noNaN: true }),
  z: fc.double({ min: 0, max: 1.5, noNaN: true }),
})
const someLine = fc.record({
  kind: fc.constantFrom<LineKind>('off', 'on', 'moved', 'carried'),
  mass: fc.double({ min: 0.01, max: 20, noNaN: true }),
  position: somePosition,
  movedTo: somePosition,
})

describe('massState', () => {
  it('puts the centre where the moments say: two masses, lever rule', () => {
    const state = massState([
      car,
      { mass: known(100, 'measured'), sign: 1, position: { x: 2.1, y: 0.5, z: 0.5 } },
    ])
    expect(state.mass.value).toBe(1000)
    expect(state.centre.x.value).toBeCloseTo(1.2)
    expect(state.centre.y.value).toBeCloseTo(0.05)
  })
  it('moves the centre but not the mass for a moved part', () => {
    const state = massState([
      car,
      pointOf(line('moved', 18, { position: { x: -0.2, y: 0, z: 0.6 }, movedTo: { x: 2.3, y: 0, z: 0.3 } })),
    ])
    expect(state.mass.value).toBe(900)
    expect(state.mass.sigma).toBeCloseTo(2)
    expect(state.centre.x.value).toBeCloseTo(1.1 + (18 * 2.5) / 900)
  })
  it('keeps mass: lines and their opposites leave the car as it was', () => {
    fc.assert(
      fc.property(fc.array(someLine, { maxLength: 15 }), (lines) => {
        const there = lines.map((l) =>
          pointOf(
            line(l.kind, l.mass, { position: l.position, movedTo: l.kind === 'moved' ? l.movedTo : null }),
          ),
        )
        const back = there.map((p): MassPoint =>
          p.sign === 0
            ? { ...p, position: p.movedTo!, movedTo: p.position }
            : { ...p, sign: p.sign === 1 ? -1 : 1 },
        )
        const state = massState([car, ...there, ...back])
        expect(state.mass.value).toBeCloseTo(900, 6)
        for (const axis of ['x', 'y', 'z'] as const)
          expect(state.centre[axis].value).toBeCloseTo(car.position![axis], 6)
      }),
    )
  })
  it('moves with its origin: shifting every place shifts the centre by the same', () => {
    fc.assert(
      fc.property(
        fc.array(someLine, { maxLength: 10 }),
        fc.double({ min: -2, max: 2, noNaN: true }),
        (lines, by) => {
          const shift = <T extends { x: number } | null>(p: T): T => (p ? { ...p, x: p.x + by } : p)
          const points = [
            car,
            ...lines
              .filter((l) => l.kind !== 'moved')
              .map((l) => pointOf(line(l.kind, l.mass, { position: l.position }))),
          ]
          const moved = points.map((p) => ({ ...p, position: shift(p.position) }))
          expect(massState(moved).centre.x.value - massState(points).centre.x.value).toBeCloseTo(by, 6)
          expect(massState(moved).mass).toEqual(massState(points).mass)
        },
      ),
    )
  })
  it('lets a part without a place widen the centre, not move it', () => {
    const placed = massState([car])
    const state = massState([car, pointOf(line('on', 30))])
    expect(state.centre.x.value).toBeCloseTo(placed.centre.x.value)
    expect(state.centre.x.sigma).toBeGreaterThan(placed.centre.x.sigma)
    expect(state.unplaced).toBe(30)
  })
  it('says the same of a fold taken in pieces', () => {
    fc.assert(
      fc.property(fc.array(someLine, { maxLength: 12 }), fc.nat(12), (lines, at) => {
        const points = lines.map((l) => pointOf(line(l.kind, l.mass, l)))
        const pieces = foldMass(foldMass(foldMass(EMPTY_FOLD, [car]), points.slice(0, at)), points.slice(at))
        const whole = massState([car, ...points])
        expect(stateOf(pieces)).toEqual(whole)
      }),
    )
  })
  it('spreads the centre as the definition says: Σ(σ·(p − c))² + Σ(m·placing)², over the total', () => {
    const part = { mass: known(100, 'measured', 3), sign: 1 as const, position: { x: 2.1, y: 0, z: 0.5 } }
    const centre = massState([car, part]).centre.x
    const terms = (2 * (1.1 - 1.2)) ** 2 + (900 * 0.005) ** 2 + (3 * (2.1 - 1.2)) ** 2 + (100 * 0.03) ** 2
    expect(centre.sigma).toBeCloseTo(Math.sqrt(terms) / 1000, 9)
  })
  it('says impossible when more comes off than the car weighs', () => {
    expect(massState([car, pointOf(line('off', 901))]).impossible).toBe(true)
    expect(massState([car]).impossible).toBe(false)
  })
  it('gives the share of it that is measured', () => {
    expect(massState([car, pointOf(line('on', 100, { grade: 'guess' }))]).measuredShare).toBeCloseTo(0.9)
  })
  it('turns a centre into shares: 1 − x/L, ½ + y/t', () => {
    expect(frontShare(known(1, 'measured', 0.01), 2.5).value).toBeCloseTo(0.6)
    expect(leftShare(known(0.014, 'measured', 0.01), 1.4).value).toBeCloseTo(0.51)
  })
})

describe('aboard', () => {
  const carriers: Carriers = {
    baseFuel: 0.04,
    fuelDensity: 745,
    tank: { x: 2, y: 0, z: 0.4 },
    seat: { x: 1.3, y: 0.35, z: 0.4 },
  }
  it('takes fuel off at the tank and puts the driver in the seat', () => {
    const points = aboard({ fuel: 0.02, driver: 82 }, carriers)
    const state = massState([car, ...points])
    expect(state.mass.value).toBeCloseTo(900 - 14.9 + 82)
    expect(points.map((p) => p.sign)).toEqual([-1, 1])
  })
  it('fills and empties vessels, and puts people and things aboard, from how they were as bought', () => {
    const at = { x: 0.2, y: 0, z: 0.5 }
    const loads = [
      {
        id: 'coolant',
        kind: 'fluid' as const,
        density: 1050,
        capacity: 0.008,
        mass: null,
        position: at,
        base: 1,
      },
      { id: 'spare', kind: 'thing' as const, density: null, capacity: null, mass: 14, position: at, base: 0 },
    ]
    const state = (amounts: Record<string, number>) =>
      massState([car, ...aboard({ fuel: 0.04, driver: 0, amounts }, { ...carriers, loads })]).mass.value
    expect(state({})).toBe(900)
    expect(state({ coolant: 0 })).toBeCloseTo(900 - 8.4)
    expect(state({ coolant: 0.5, spare: 1 })).toBeCloseTo(900 - 4.2 + 14)
  })
  it('is empty for the car as bought', () => expect(aboard({ fuel: 0.04, driver: 0 }, carriers)).toEqual([]))
})

describe('doubtMass', () => {
  it('asks about a 900 kg bonnet and offers g or lb', () =>
    expect(doubtMass(900, 'body')).toMatchObject({ couldBe: ['g'] }))
  it('offers pounds where they would be likely', () =>
    expect(doubtMass(180, 'body')?.couldBe).toContain('lb'))
  it('lets a door pass', () => expect(doubtMass(28, 'body')).toBeNull())
})
