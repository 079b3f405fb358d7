import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { elementAreas } from '../aero/elementAreas'
import { pitchingMoment } from '../aero/pitchingMoment'
import { beamOnTwoSupports } from './beamOnTwoSupports'
import { cableStrength } from './cableStrength'
import { extraSupports, givesWay } from './extraSupport'
import { pressedSpot } from './pressedSpot'
import { plateOf, SHEETS } from './sheetMaterials'
import { checkFooting } from './wingFooting'
import { checkWingMount, footMoment, PLATE_ALUMINIUM } from './wingMount'
import { checkSpar } from './wingSpar'

describe('beamOnTwoSupports', () => {
  it('held at its ends is the beam of every table: 5wL⁴/384EI and wL²/8', () => {
    const { moment, middle, ends } = beamOnTwoSupports({ span: 2, apart: 2, load: 800, rigidity: 1000 })
    expect(moment).toBeCloseTo((400 * 4) / 8)
    expect(middle).toBeCloseTo((5 * 400 * 16) / 384 / 1000)
    expect(ends).toBeCloseTo(0, 12)
  })
  it('held in its middle is two cantilevers: w(L/2)²/2 and w(L/2)⁴/8EI', () => {
    const { moment, ends } = beamOnTwoSupports({ span: 2, apart: 1e-6, load: 800, rigidity: 1000 })
    expect(moment).toBeCloseTo(200, 3)
    expect(ends).toBeCloseTo(400 / 8 / 1000, 5)
  })
  it('bends least with its supports at 20.7 % of its length from the ends', () => {
    // The known best place: moments over the supports and between them are alike, 0.02145 w·L².
    const at = (share: number) =>
      beamOnTwoSupports({ span: 1, apart: 1 - 2 * share, load: 1, rigidity: 1 }).moment
    expect(at(0.2071)).toBeCloseTo(0.02145, 4)
    expect(at(0.2071)).toBeLessThan(at(0.19))
    expect(at(0.2071)).toBeLessThan(at(0.22))
  })
  it('agrees with its curvature integrated in small steps', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.3, max: 0.95, noNaN: true }),
        fc.double({ min: 10, max: 5000, noNaN: true }),
        (share, load) => {
          const [span, rigidity] = [1.6, 2500]
          const apart = share * span
          const over = (span - apart) / 2
          const each = load / span
          const n = 4000
          const dx = span / 2 / n
          // From the middle outwards: level there, and nothing over the support.
          let [slope, drop] = [0, 0]
          const drops: number[] = []
          for (let i = 0; i < n; i += 1) {
            const s = (i + 0.5) * dx
            const reaches = span / 2 - s
            const moment =
              s < apart / 2
                ? ((each * span) / 2) * (apart / 2 - s) - (each * reaches ** 2) / 2
                : (-each * reaches ** 2) / 2
            drop += slope * dx - (moment / rigidity) * dx * dx * 0.5
            slope -= (moment / rigidity) * dx
            drops.push(drop)
          }
          const atSupport = drops[Math.round(apart / 2 / dx) - 1]!
          const beam = beamOnTwoSupports({ span, apart, load, rigidity })
          const scale = (each * span ** 4) / rigidity / 384
          expect(Math.abs(beam.middle - -atSupport)).toBeLessThan(0.02 * scale)
          expect(Math.abs(beam.ends - -(atSupport - drops.at(-1)!))).toBeLessThan(0.02 * scale)
          expect(over).toBeGreaterThan(0)
        },
      ),
      { numRuns: 30 },
    )
  })
  it('refuses supports beyond its ends', () => {
    expect(() => beamOnTwoSupports({ span: 1, apart: 1.2, load: 1, rigidity: 1 })).toThrow('no wider apart')
    expect(() => beamOnTwoSupports({ span: 0, apart: 0, load: 1, rigidity: 1 })).toThrow('above zero')
  })
})

describe('pressedSpot', () => {
  // SciPy: Navier’s double series for an even load on a disk of radius r, short side 1, load 1, D 1; 801 × 801 terms.
  it.each([
    [1, 0.05, 0.01142, 0.29777],
    [1.2, 0.05, 0.013372, 0.31491],
    [1.5, 0.05, 0.015146, 0.32978],
    [1.8, 0.05, 0.016027, 0.3369],
    [2, 0.05, 0.016336, 0.33934],
    [2, 0.1, 0.015909, 0.26747],
    [3, 0.05, 0.016745, 0.34251],
  ])('agrees with the series at a side ratio of %d and a spot of %d', (ratio, spot, deflection, moment) => {
    const found = pressedSpot(
      { rigidity: 1, moment: 1, shear: Infinity, areaDensity: 1 },
      [1, ratio],
      spot,
      1,
    )
    // The table is for a spot without size: its deflection is a little more than that of one with.
    expect(Math.abs(found.deflection / deflection - 1)).toBeLessThan(0.055)
    expect(Math.abs(1 / found.safety / moment - 1)).toBeLessThan(0.02)
  })
  it('is eased by a wider backing plate, and asks nothing for no load', () => {
    const plate = plateOf(SHEETS.aluminium, 0.003)
    const safety = [0.01, 0.03, 0.06].map((r) => pressedSpot(plate, [0.8, 0.5], r, 900).safety)
    expect(safety).toEqual([...safety].sort((a, b) => a - b))
    expect(pressedSpot(plate, [0.8, 0.5], 0.03, 0).safety).toBe(Infinity)
    expect(() => pressedSpot(plate, [0.8, 0.5], 0.3, 900)).toThrow('no wider than the panel')
    expect(() => pressedSpot(plate, [0.8, 0.5], 0, 900)).toThrow('above zero')
  })
})

describe('checkSpar', () => {
  const spar = { metal: 'aluminium', outside: 0.03, wall: 0.002, apart: 1, behind: 0.03 } as const
  it('is worked by hand', () => {
    // I = π/64·(30⁴ − 26⁴) = 17,329 mm⁴; 1,000 N/m: between the uprights 125 − 45 = 80 N·m.
    const { bending, twist } = checkSpar(spar, 1.6, 1600)
    expect(bending).toBeCloseTo((240e6 * 17.329e-9) / (80 * 0.015), 2)
    expect(twist).toBeCloseTo((1000 * 0.03 * 0.09) / (2 * 26e9 * 34.658e-9), 6)
  })
  it('bends less the thicker its tube, and a wall has no more than half of it', () => {
    const sags = [0.025, 0.03, 0.04].map((outside) => checkSpar({ ...spar, outside }, 1.6, 1600).middle)
    expect(sags[0]).toBeGreaterThan(sags[1]!)
    expect(sags[1]).toBeGreaterThan(sags[2]!)
    expect(() => checkSpar({ ...spar, wall: 0.02 }, 1.6, 1600)).toThrow('half of the tube')
    expect(() => checkSpar({ ...spar, outside: 0 }, 1.6, 1600)).toThrow('above zero')
  })
})

describe('the pitching moment of a wing', () => {
  const deg = Math.PI / 180
  const wing = {
    id: 'w',
    name: 'Wing',
    kind: 'wing',
    x: 2.9,
    z: 1.2,
    span: 1.6,
    chord: 0.3,
    lift: 0,
    drag: 0,
    wing: { foils: 2, angle: 8 * deg, endPlate: 0.2, gurney: 0, polar: [] },
    sealed: false,
    spread: 0.2,
    correction: null,
  } as const
  const mount = {
    uprights: 2,
    height: 0.35,
    width: 0.08,
    thickness: 0.008,
    ...PLATE_ALUMINIUM,
    bolts: 4,
    boltDiameter: 0.008,
    boltSpacing: 0.06,
    topBolts: 2,
    topBoltDiameter: 0.006,
  }
  it('is (π/2)·α₀ of thin aerofoils about a quarter of the chord, and lift ahead of the uprights takes from it', () => {
    expect(pitchingMoment(wing, 1500, 0)).toBeCloseTo(1500 * (Math.PI / 2) * 12 * deg * 1.6 * 0.3 ** 2, 9)
    const lift = 1500 * elementAreas(wing).downforceArea
    expect(pitchingMoment(wing, 1500, 0) - pitchingMoment(wing, 1500)).toBeCloseTo(lift * 0.075, 9)
    expect(pitchingMoment({ ...wing, kind: 'splitter', wing: null }, 1500)).toBe(0)
  })
  it('is carried by the uprights down to their feet: 60 N·m beside 400 N at 350 mm', () => {
    const load = { downforce: 1500, drag: 400 }
    expect(footMoment({ drag: 400, pitching: 60 }, 0.35)).toBeCloseTo(200, 12)
    expect(footMoment({ drag: 400 }, 0.35)).toBeCloseTo(140, 12)
    const plain = checkWingMount(mount, load)
    const tipped = checkWingMount(mount, { ...load, pitching: 60 })
    expect(plain.bending / tipped.bending).toBeCloseTo(200 / 140, 9)
    expect(tipped.bolts).toBeLessThan(plain.bolts)
    expect(tipped.topBolts).toBeLessThan(plain.topBolts)
    const second = (2 * 70e9 * 0.008 * 0.08 ** 3) / 12
    expect(tipped.tipsBack - plain.tipsBack).toBeCloseTo((60 * 0.35) / second, 12)
  })
})

describe('checkFooting', () => {
  const footing = {
    sheet: 'steel',
    thickness: 0.0008,
    spanAlong: 0.5,
    spanAcross: 1,
    plateRadius: 0.025,
  } as const
  const mount = { uprights: 2, height: 0.3, boltSpacing: 0.06 }
  it('is worked by hand', () => {
    // 400 N at 300 mm over two: 60 N·m on 60 mm, 1,000 N, and 375 of what presses; 1.3·ln(1/(π·0.025)) + 0.958.
    const asked = (1375 / (4 * Math.PI)) * (1.3 * Math.log(1 / (Math.PI * 0.025)) + 0.958)
    const { safety } = checkFooting(footing, mount, { downforce: 1500, drag: 400 })
    expect(safety).toBeCloseTo((180e6 * 0.0008 ** 2) / 6 / asked, 6)
    expect(safety).toBeLessThan(0.1)
  })
  it('likes a thicker sheet and a bigger plate, and has some thickness', () => {
    const load = { downforce: 1500, drag: 400 }
    const now = checkFooting(footing, mount, load).safety
    expect(checkFooting({ ...footing, thickness: 0.003 }, mount, load).safety).toBeGreaterThan(now)
    expect(checkFooting({ ...footing, plateRadius: 0.1 }, mount, load).safety).toBeGreaterThan(now)
    expect(() => checkFooting({ ...footing, thickness: 0 }, mount, load)).toThrow('above zero')
  })
})

describe('cableStrength', () => {
  it('of 4 mm is about 8 kN and grows with the square', () => {
    expect(cableStrength(0.004)).toBeCloseTo(0.359 * 0.9 * 1570 * 16, 0)
    expect(cableStrength(0.008) / cableStrength(0.004)).toBeCloseTo(4)
    expect(() => cableStrength(0)).toThrow('above zero')
  })
})

describe('extraSupports', () => {
  const plate = plateOf(SHEETS.plywood, 0.012)
  it('goes to the lip where the lip droops most, and between where the field does', () => {
    const longLip = { spanAlong: 0.2, spanAcross: 0.4, overhang: 0.3 }
    expect(extraSupports(plate, longLip, 2000)[0]!.place).toBe('lip')
    const wideField = { spanAlong: 0.6, spanAcross: 0.6, overhang: 0.05 }
    expect(extraSupports(plate, wideField, 2000)[0]!.place).not.toBe('lip')
    expect(extraSupports(plate, { ...wideField, overhang: 0 }, 2000).map((s) => s.place)).not.toContain('lip')
  })
  it('never leaves it giving way more than it did', () => {
    const side = fc.double({ min: 0.05, max: 1, noNaN: true })
    fc.assert(
      fc.property(side, side, side, (spanAlong, spanAcross, overhang) => {
        const supports = { spanAlong, spanAcross, overhang: overhang / 2 }
        const now = givesWay(plate, supports, 1500)
        for (const one of extraSupports(plate, supports, 1500).filter((s) => s.place !== 'lip'))
          expect(one.gives).toBeLessThanOrEqual(now.gives * (1 + 1e-9))
      }),
    )
  })
})
