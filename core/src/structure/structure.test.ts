import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { lipUnderLoad, panelShear, panelUnderLoad, roarkPanel } from './panelUnderLoad'
import { plateOf, POISSON, SHEET_NAMES, SHEETS } from './sheetMaterials'
import { checkWingMount, PLATE_ALUMINIUM } from './wingMount'
import { PLAIN_STEEL, pullInStruts, strutLimits } from './strutUnderLoad'

/** Navier's double series for a simply supported plate: middle deflection as α of E·t³, and β of σ = β q b²/t². */
function navier(ratio: number): { alpha: number; beta: number } {
  let [w, m] = [0, 0]
  for (let i = 1; i < 120; i += 2)
    for (let j = 1; j < 120; j += 2) {
      const sign = Math.sin((i * Math.PI) / 2) * Math.sin((j * Math.PI) / 2)
      const k = (i / ratio) ** 2 + j ** 2
      w += sign / (i * j * k ** 2)
      m += (sign * (j ** 2 + POISSON * (i / ratio) ** 2)) / (i * j * k ** 2)
    }
  return {
    alpha: (16 / Math.PI ** 6) * w * 12 * (1 - POISSON ** 2),
    beta: (16 / Math.PI ** 4) * m * 6,
  }
}

describe('roarkPanel', () => {
  it.each([1, 1.1, 1.2, 1.5, 1.7, 2, 2.5, 3, 4, 6])(
    'agrees with Navier’s series at a side ratio of %d',
    (ratio) => {
      const { alpha, beta } = navier(ratio)
      const { deflection, stress } = roarkPanel(ratio)
      // Straight between rows that lie far apart from 2 on, and a guess beyond 3: a few per cent.
      const within = ratio <= 2 ? 0.012 : 0.045
      expect(Math.abs(deflection / alpha - 1)).toBeLessThan(within)
      expect(Math.abs(stress / beta - 1)).toBeLessThan(within)
    },
  )
  it('rises with the ratio towards the endless strip, and refuses less than 1', () => {
    fc.assert(
      fc.property(fc.double({ min: 1, max: 50, noNaN: true }), (ratio) => {
        expect(roarkPanel(ratio + 0.5).deflection).toBeGreaterThan(roarkPanel(ratio).deflection)
        expect(roarkPanel(ratio).deflection).toBeLessThan(0.1421)
      }),
    )
    expect(() => roarkPanel(0.9)).toThrow('long side')
  })
})

describe('panelShear', () => {
  /** Navier's double series for U·∇²w = −q on a rectangle with a short side of 1. */
  const series = (ratio: number) => {
    let w = 0
    for (let i = 1; i < 400; i += 2)
      for (let j = 1; j < 400; j += 2)
        w +=
          (Math.sin((i * Math.PI) / 2) * Math.sin((j * Math.PI) / 2)) / (i * j * ((i / ratio) ** 2 + j ** 2))
    return (16 / Math.PI ** 4) * w
  }
  it.each([1, 1.3, 2, 3.5])('agrees with Navier’s series at a side ratio of %d', (ratio) =>
    expect(panelShear(ratio)).toBeCloseTo(series(ratio), 5),
  )
  it('is an eighth for an endless strip, a beam’s q·L²/8U', () =>
    expect(panelShear(40)).toBeCloseTo(1 / 8, 12))
  it('makes a sandwich give way by hand, and a solid sheet not at all', () => {
    const sandwich = plateOf(SHEETS.honeycomb, 0.019)
    const stiff = { ...sandwich, shear: Infinity }
    const [soft, hard] = [sandwich, stiff].map((p) => panelUnderLoad(p, [0.4, 0.4], 3000).deflection)
    // U = 30 MPa · 18.2² mm² / 17.4 mm = 571 kN/m.
    expect(sandwich.shear).toBeCloseTo((30e6 * 0.0182 ** 2) / 0.0174, 6)
    expect(soft! - hard!).toBeCloseTo((0.07367 * 3000 * 0.16) / sandwich.shear, 8)
    const lips = [sandwich, stiff].map((p) => lipUnderLoad(p, 0.15, 3000).deflection)
    expect(lips[0]! - lips[1]!).toBeCloseTo((3000 * 0.15 ** 2) / (2 * sandwich.shear), 12)
    expect(plateOf(SHEETS.aluminium, 0.004).shear).toBe(Infinity)
  })
})

describe('plates', () => {
  it('of aluminium 4 mm are worked by hand', () => {
    const plate = plateOf(SHEETS.aluminium, 0.004)
    // 70e9 · 64e-9 / 10.92, and 240e6 · 16e-6 / 6.
    expect(plate.rigidity).toBeCloseTo(410.3, 1)
    expect(plate.moment).toBeCloseTo(640, 6)
    expect(plate.areaDensity).toBeCloseTo(10.8, 6)
  })
  it('are stiffer the thicker they are, and weaker across their grain', () => {
    for (const name of SHEET_NAMES) {
      const sheet = SHEETS[name]
      const stiff = sheet.thicknesses.map((t) => plateOf(sheet, t).rigidity)
      expect([...stiff].sort((a, b) => a - b)).toEqual(stiff)
      const [strong, weak, crossed] = (['strong', 'weak', 'crossed'] as const).map(
        (lay) => plateOf(sheet, sheet.thicknesses[0]!, lay).rigidity,
      )
      expect(weak!).toBeLessThanOrEqual(strong!)
      expect(crossed!).toBeCloseTo((strong! + weak!) / 2, 9)
    }
  })
  it('of a sandwich are far stiffer than their skins alone', () => {
    const { rigidity, areaDensity } = plateOf(SHEETS.honeycomb, 0.025)
    const solid = plateOf(SHEETS.carbon, 0.0016)
    expect(rigidity / solid.rigidity).toBeGreaterThan(300)
    expect(areaDensity).toBeLessThan(4.5)
  })
  it('refuse no thickness, and a sandwich of nothing but skins', () => {
    expect(() => plateOf(SHEETS.abs, 0)).toThrow('above zero')
    expect(() => plateOf(SHEETS.corrugated, 0.0005)).toThrow('skins')
  })
})

describe('panels and lips', () => {
  it('follow Roark’s own formula for a solid sheet', () => {
    const [t, q, b] = [0.004, 1500, 0.3]
    const { deflection, safety } = panelUnderLoad(plateOf(SHEETS.aluminium, t), [0.3, 0.3], q)
    expect(deflection).toBeCloseTo((0.0444 * q * b ** 4) / (70e9 * t ** 3), 9)
    expect(safety).toBeCloseTo(240e6 / ((0.2874 * q * b ** 2) / t ** 2), 6)
  })
  it('a lip is a cantilever', () => {
    const plate = plateOf(SHEETS.plywood, 0.012)
    expect(lipUnderLoad(plate, 0.1, 2000).deflection).toBeCloseTo((2000 * 1e-4) / (8 * plate.rigidity), 12)
    expect(lipUnderLoad(plate, 0, 2000)).toEqual({ deflection: 0, safety: Infinity })
    expect(() => lipUnderLoad(plate, -0.1, 2000)).toThrow('zero or more')
  })
  it('bend in step with the load', () => {
    const plate = plateOf(SHEETS.carbon, 0.005)
    const at = (q: number) => panelUnderLoad(plate, [0.6, 0.3], q)
    expect(at(3000).deflection).toBeCloseTo(2 * at(1500).deflection, 12)
    expect(at(3000).safety).toBeCloseTo(at(1500).safety / 2, 9)
  })
})

describe('struts', () => {
  it('yield in tension and buckle in compression, by hand', () => {
    // 8 × 1 mm: 21.99 mm² and 137.4 mm⁴; 300 mm long.
    const { tension, compression } = strutLimits({ outside: 0.008, wall: 0.001, length: 0.3, ...PLAIN_STEEL })
    expect(tension).toBeCloseTo(5498, 0)
    expect(compression).toBeCloseTo((Math.PI ** 2 * 205e9 * 137.44e-12) / 0.09, -1)
    expect(strutLimits({ outside: 0.02, wall: 0.002, length: 0.05, ...PLAIN_STEEL }).compression).toBe(
      strutLimits({ outside: 0.02, wall: 0.002, length: 0.05, ...PLAIN_STEEL }).tension,
    )
  })
  it('share a load by their number and lean', () => {
    expect(pullInStruts(1200, 2, 0)).toBe(600)
    expect(pullInStruts(1200, 2, Math.PI / 3)).toBeCloseTo(1200)
    expect(() => pullInStruts(1200, 0, 0)).toThrow('one strut')
    expect(() => pullInStruts(1200, 2, 1.55)).toThrow('85°')
    expect(() => strutLimits({ outside: 0.008, wall: 0.005, length: 0.3, ...PLAIN_STEEL })).toThrow('wall')
  })
})

describe('checkWingMount', () => {
  const mount = {
    uprights: 2,
    height: 0.4,
    width: 0.08,
    thickness: 0.008,
    ...PLATE_ALUMINIUM,
    bolts: 4,
    boltDiameter: 0.008,
    boltSpacing: 0.06,
    topBolts: 2,
    topBoltDiameter: 0.006,
  }
  it('is worked by hand', () => {
    const { bending, buckling, bolts, topBolts, tipsBack } = checkWingMount(mount, {
      downforce: 2000,
      drag: 500,
    })
    // 100 N·m in each: σ = 6·100/(0.008·0.0064) = 11.72 MPa; I across 3,413 mm⁴; 1,667 N less 500 on two bolts.
    expect(bending).toBeCloseTo(240 / 11.71875, 4)
    expect(buckling).toBeCloseTo((Math.PI ** 2 * 70e9 * 3.41333e-9) / 0.64 / 1000, 2)
    expect(bolts).toBeCloseTo((2 * 0.78 * 50.2655e-6 * 580e6) / (1666.667 - 500), 2)
    // Two bolts of M6 across, of what 2,000 and 500 N make together, halved.
    expect(topBolts).toBeCloseTo((2 * 0.577 * 0.78 * 28.2743e-6 * 580e6) / (2061.553 / 2), 2)
    expect(tipsBack).toBeCloseTo((100 * 0.4) / (2 * 70e9 * 3.41333e-7), 6)
  })
  it('asks nothing of the bolts of a wing without drag, and nothing stands without size', () => {
    expect(checkWingMount(mount, { downforce: 2000, drag: 0 })).toMatchObject({
      bending: Infinity,
      bolts: Infinity,
    })
    expect(() => checkWingMount({ ...mount, thickness: 0 }, { downforce: 1, drag: 1 })).toThrow('above zero')
  })
})
