import { SHEETS } from '@bold-ballast/core'
import { sampleElement } from '@bold-ballast/contract/sampleBuild'
import type { AeroElement } from '@bold-ballast/contract'
import { describe, expect, it } from 'vitest'
import { heldBy, outlineOf, panelIn, strutMass, type Panelled } from '@bold-ballast/model'
import { isOutside } from '@bold-ballast/model'
import { balanceVerdict, REARWARD } from './loads/balanceVerdict'

const element = (more: Partial<AeroElement> = {}): Panelled =>
  ({ ...sampleElement(crypto.randomUUID(), crypto.randomUUID()), version: 1, ...more }) as Panelled

describe('balanceVerdict', () => {
  it.each([
    [0.62, 'forward of the mass', 'text-oxide'],
    [0.601, 'forward of the mass', 'text-oxide'],
    [0.6, 'a little rearward', 'text-zinc'],
    [0.6 - REARWARD, 'a little rearward', 'text-zinc'],
    [0.5, 'far rearward', 'text-ochre'],
    [null, 'lifts as a whole', 'text-oxide'],
  ])('says of %s in front against 60 %% of the mass: %s', (share, says, tone) => {
    const verdict = balanceVerdict(share, 0.6, false)
    expect(verdict.says).toContain(says)
    expect(verdict.tone).toBe(tone)
  })
  it('speaks of no balance where what presses may be nothing', () => {
    expect(balanceVerdict(null, 0.6, true).says).toContain('too little')
  })
})

describe('isOutside', () => {
  const box = { top: 1.3, bottom: 0.05, front: -0.9, rear: 3.2, width: 1.8 }
  const inside = { x: 0, z: 0.1, chord: 0.4, span: 1.6, wing: null }
  it('holds what is within all five sides', () => expect(isOutside(inside, box)).toBe(false))
  it.each([
    ['above', { z: 1.31 }],
    ['below', { z: 0.04 }],
    ['ahead', { x: -0.75 }],
    ['behind', { x: 3.05 }],
    ['beside', { span: 1.9 }],
    ['above by its end plates', { z: 1.25, wing: { endPlate: 0.2 } as never }],
  ])('tells what is %s', (_side, more) => expect(isOutside({ ...inside, ...more }, box)).toBe(true))
  it('takes half a millimetre for on the line, and no limit for no limit', () => {
    expect(isOutside({ ...inside, z: 1.3004 }, box)).toBe(false)
    const none = { top: null, bottom: null, front: null, rear: null, width: null }
    expect(isOutside({ ...inside, z: 9, span: 9, x: -9 }, none)).toBe(false)
  })
})

describe('panel figures', () => {
  const sheet = { material: SHEETS.plywood } as Parameters<typeof panelIn>[1]
  it('weigh, cost and hold as the sheet and its thickness do', () => {
    const [thin, thick] = [0.009, 0.018].map((t) => panelIn(element(), sheet, t, 1500)) as [
      ReturnType<typeof panelIn>,
      ReturnType<typeof panelIn>,
    ]
    expect(thick.mass).toBeCloseTo(2 * thin.mass, 9)
    // A plate's stiffness goes with the cube of its thickness, its strength with the square.
    expect(thin.bends / thick.bends).toBeCloseTo(8, 6)
    expect(thick.safety / thin.safety).toBeCloseTo(4, 6)
    expect(thick.price).toBeGreaterThan(thin.price)
  })
  it('bend in proportion to what presses', () => {
    const bends = (pressure: number) => panelIn(element(), sheet, 0.012, pressure).bends
    expect(bends(3000)).toBeCloseTo(2 * bends(1500), 12)
  })
  it('have no outline where the corners are rounder than there is room for', () => {
    const panel = { ...element().panel, cornerRadius: 0.31 }
    expect(outlineOf(element({ panel }))).toBeNull()
    expect(outlineOf(element())!.length).toBeGreaterThan(3)
  })
  it('a cable pulls and never pushes, and a strut’s mass is its tube’s', () => {
    const struts = element().panel.struts!
    expect(heldBy({ ...struts, kind: 'cable', outside: 0.003 })).toMatchObject({ push: 0 })
    expect(heldBy(struts).push).toBeGreaterThan(0)
    // By hand: two tubes 8 × 1 mm, 300 mm long: π/4·(8² − 6²) mm² × 0.6 m × 7850 kg/m³.
    expect(strutMass(struts)).toBeCloseTo(0.1036, 3)
  })
})
