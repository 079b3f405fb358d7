import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import {
  chargeAt,
  correctedFlow,
  MAP_REFERENCE,
  operatingPoint,
  projectBoost,
  sizeAir,
  type AirSystem,
  type IslandPoint,
} from './airSystem'
import { bsfcOn, fuelBlend } from './fuelBlend'
import { lineLoss, pumpFlow } from './fuelPump'
import { sizeFuel, whatToChange, type FuelDemand, type FuelSystem } from './fuelSystem'
import { flowAt, injectorNeed } from './injectors'

const LB_HP_H = 0.45359237 / (745.6998715822702 * 3600)
const CC_MIN = 1e-6 / 60
const LITRES_HOUR = 0.001 / 3600
const rpm = (n: number) => (n * Math.PI) / 30

describe('fuelBlend', () => {
  // Computed independently from 0.745 kg/l, 14.7, 43.4 MJ/kg and 0.789, 9.0, 26.8.
  it.each([
    [0.1, 14.1, null],
    [0.79, 10.14, 30.1],
    [0.85, 9.81, 29.2],
  ])('burns a share of %d with the air and heat worked out elsewhere', (ethanol, air, heat) => {
    expect(fuelBlend(ethanol).stoichiometric).toBeCloseTo(air, 1)
    if (heat) expect(fuelBlend(ethanol).heatingValue / 1e6).toBeCloseTo(heat, 1)
  })
  it('is 79.9 % ethanol by mass at 79 % by volume', () =>
    expect(fuelBlend(0.79).ethanolByMass).toBeCloseTo(0.799, 3))
  it('refuses a share that is none', () => expect(() => fuelBlend(1.2)).toThrow(RangeError))
  it('needs more fuel and less air for each of it, the more ethanol there is', () => {
    const share = fc.double({ min: 0, max: 0.98, noNaN: true })
    fc.assert(
      fc.property(share, (e) => {
        expect(bsfcOn(e + 0.02, 1)).toBeGreaterThan(bsfcOn(e, 1))
        expect(fuelBlend(e + 0.02).stoichiometric).toBeLessThan(fuelBlend(e).stoichiometric)
      }),
    )
    expect(bsfcOn(0, 84e-9)).toBeCloseTo(84e-9, 15)
  })
})

describe('injectors', () => {
  const six = { count: 6, flow: 514.7 * CC_MIN, ratedPressure: 3e5, deadTime: 0, maxDuty: 0.85 }
  it('are 515 cc/min for 500 hp at 0.50 on six at 85 % (common practice, fuel of 0.72 kg/l)', () => {
    const need = injectorNeed(six, 500 * 745.69987 * 0.5 * LB_HP_H, 720, 3e5, rpm(6500))
    expect(need.duty).toBeCloseTo(0.85, 3)
    expect(need.flowNeeded / CC_MIN).toBeCloseTo(515, 0)
  })
  it('give √2 more at twice the pressure, and nothing at none', () => {
    expect(flowAt(1, 3e5, 6e5)).toBeCloseTo(Math.SQRT2, 12)
    expect(flowAt(1, 3e5, -1)).toBe(0)
  })
  it('lose their dead time from every pulse: 1 ms of the 17.1 ms at 7,000 rpm is 5.8 % of duty', () => {
    const with1ms = injectorNeed({ ...six, deadTime: 0.001 }, 0.02, 720, 3e5, rpm(7000))
    const without = injectorNeed(six, 0.02, 720, 3e5, rpm(7000))
    expect(with1ms.duty - without.duty).toBeCloseTo(0.001 / (120 / 7000), 9)
    expect(with1ms.most).toBeLessThan(without.most)
  })
  it('ask for what they need', () =>
    expect(() => injectorNeed({ ...six, count: 0 }, 1, 720, 3e5, 600)).toThrow('number'))
})

const pump = {
  voltage: 13.5,
  points: [3e5, 4e5, 5e5, 6e5].map((pressure, i) => ({
    pressure,
    flow: [255, 235, 205, 160][i]! * LITRES_HOUR,
  })),
}

describe('pumpFlow and lineLoss', () => {
  it('follows its sheet, less voltage, and promises nothing beyond', () => {
    expect(pumpFlow(pump, 4e5, 13.5) / LITRES_HOUR).toBeCloseTo(235, 6)
    expect(pumpFlow(pump, 4e5, 12) / LITRES_HOUR).toBeCloseTo(255 * (12 / 13.5) - 20, 6)
    expect(pumpFlow(pump, 6.5e5, 13.5)).toBe(0)
  })
  it('never gives more against more pressure', () => {
    const pressure = fc.double({ min: 1e5, max: 6e5, noNaN: true })
    fc.assert(
      fc.property(pressure, pressure, (a, b) => {
        const [low, high] = [Math.min(a, b), Math.max(a, b)]
        expect(pumpFlow(pump, high, 13)).toBeLessThanOrEqual(pumpFlow(pump, low, 13) + 1e-12)
      }),
    )
  })
  it('refuses a sheet with one point or pressures out of order', () => {
    expect(() => pumpFlow({ voltage: 13.5, points: pump.points.slice(1, 2) }, 3e5, 13)).toThrow(RangeError)
    expect(() => pumpFlow({ voltage: 13.5, points: [...pump.points].reverse() }, 3e5, 13)).toThrow('rising')
  })
  it('loses pressure as Hagen and Poiseuille say when the flow is laminar', () => {
    const flow = 1e-6
    expect(lineLoss(flow, 0.006, 3, 745, 0.0006)).toBeCloseTo(
      (128 * 0.0006 * 3 * flow) / (Math.PI * 0.006 ** 4),
      6,
    )
    expect(lineLoss(50e-6, 0.006, 4, 745)).toBeGreaterThan(lineLoss(50e-6, 0.008, 4, 745))
    expect(lineLoss(0, 0.006, 4, 745)).toBe(0)
    expect(() => lineLoss(1e-6, 0, 4, 745)).toThrow('bore')
  })
})

const system: FuelSystem = {
  injectors: { count: 4, flow: 1000 * CC_MIN, ratedPressure: 3e5, deadTime: 0.001, maxDuty: 0.85 },
  pumps: [{ name: 'In tank', count: 2, curve: pump }],
  voltage: 13.5,
  railPressure: 3e5,
  regulator: 'referenced',
  lineBore: 0.008,
  lineLength: 4,
  spare: 0.1,
}
const demand: FuelDemand = {
  power: 250e3,
  boost: 1.3e5,
  speed: rpm(7000),
  ethanol: 0.79,
  bsfc: 0.5 * LB_HP_H,
}

describe('sizeFuel', () => {
  const sized = sizeFuel(system, demand)
  it('is at its limit at exactly the power that it says it supports', () => {
    const at = sizeFuel(system, { ...demand, power: sized.supports.injectors })
    expect(at.duty).toBeCloseTo(0.85, 6)
    const atPumps = sizeFuel(system, { ...demand, power: sized.supports.pumps })
    expect(atPumps.pumpFlow * 0.9).toBeCloseTo(atPumps.fuelVolume, 9)
  })
  it('supports more power on petrol than on ethanol, and more with another pump', () => {
    const petrol = sizeFuel(system, { ...demand, ethanol: 0.05 })
    expect(petrol.supports.injectors).toBeGreaterThan(sized.supports.injectors)
    expect(petrol.supports.pumps).toBeGreaterThan(sized.supports.pumps)
    const three = { ...system, pumps: [{ ...system.pumps[0]!, count: 3 }] }
    expect(sizeFuel(three, demand).supports.pumps).toBeGreaterThan(sized.supports.pumps)
  })
  it('loses injector flow to boost where the regulator doesn’t follow it', () => {
    const fixed = sizeFuel({ ...system, regulator: 'fixed' }, demand)
    expect(fixed.pressureAcrossInjector).toBeCloseTo(1.7e5)
    expect(fixed.supports.injectors).toBeLessThan(sized.supports.injectors)
    expect(() => sizeFuel({ ...system, regulator: 'fixed' }, { ...demand, boost: 3.2e5 })).toThrow(
      'Reference the regulator',
    )
  })
  it('says what to change, and that it is then enough', () => {
    const wanted = { ...demand, power: 800e3 }
    const changes = whatToChange(system, wanted)
    const injectors = changes.find((c) => c.link === 'injectors')!
    expect(
      sizeFuel({ ...system, injectors: { ...system.injectors, flow: injectors.flow * 1.0001 } }, wanted)
        .supports.injectors,
    ).toBeGreaterThanOrEqual(800e3)
    const pumps = changes.find((c) => c.link === 'pumps')!
    expect(pumps.flowShort).toBeGreaterThan(0)
    expect(changes.find((c) => c.link === 'fuel')!.supports).toBeGreaterThan(sized.supports[sized.limit])
    expect(whatToChange(system, { ...demand, power: 100e3 })).toEqual([])
  })
  it('raises the rail where that is enough', () => {
    const wanted = { ...demand, power: sized.supports.injectors * 1.05 }
    const change = whatToChange(system, wanted).find((c) => c.link === 'injectors')!
    expect(change.railPressure).toBeGreaterThan(3e5)
    expect(
      sizeFuel({ ...system, railPressure: change.railPressure! * 1.001 }, wanted).supports.injectors,
    ).toBeGreaterThanOrEqual(wanted.power)
  })
})

const island: IslandPoint[] = [
  { flow: 0.09, ratio: 1.4, efficiency: 0.7 },
  { flow: 0.21, ratio: 1.4, efficiency: 0.68 },
  { flow: 0.15, ratio: 1.8, efficiency: 0.77 },
  { flow: 0.24, ratio: 2.2, efficiency: 0.78 },
  { flow: 0.36, ratio: 2.4, efficiency: 0.7 },
  { flow: 0.21, ratio: 2.6, efficiency: 0.72 },
  { flow: 0.36, ratio: 3, efficiency: 0.68 },
]
const air: AirSystem = {
  displacement: 2.2e-3,
  volumetricEfficiency: 0.95,
  lambda: 0.8,
  inletLoss: 2000,
  intercooler: { effectiveness: 0.7, pressureLoss: 8000, rating: 300e3 },
  compressor: { count: 1, island, rating: 320e3 },
}
const outside = { pressure: 101_325, temperature: 293.15 }

describe('sizeAir', () => {
  it('fills exactly the cylinders: density · displacement · VE · rpm/120 is the mass flow', () => {
    const sized = sizeAir(air, demand, outside)
    const density = sized.manifoldPressure / (287.05287 * sized.manifoldTemperature)
    expect(density * 2.2e-3 * 0.95 * (7000 / 120)).toBeCloseTo(sized.massFlow, 9)
    expect(sized.boost! / 1e5).toBeGreaterThan(0.8)
    expect(sized.boost! / 1e5).toBeLessThan(2)
    expect(sized.operating!.where).toBe('inside')
  })
  it('knows no boost without a compressor, and the vacuum of an engine that needs none', () => {
    const alone = { ...air, compressor: null, intercooler: null }
    expect(sizeAir(alone, demand, outside)).toMatchObject({ boost: null, pressureRatio: 1, operating: null })
    expect(sizeAir(alone, { ...demand, power: 60e3 }, outside).boost).toBeLessThan(0)
  })
  it('needs more boost with a hotter charge, a worse cooler or less displacement', () => {
    const boost = (more: Partial<AirSystem>) => sizeAir({ ...air, ...more }, demand, outside).boost!
    const base = boost({})
    expect(boost({ intercooler: null })).toBeGreaterThan(base)
    expect(boost({ displacement: 1.8e-3 })).toBeGreaterThan(base)
    expect(sizeAir(air, { ...demand, power: 200e3 }, outside).boost!).toBeLessThan(base)
  })
  it('compresses as the isentropic law says: 2.0 at 70 % from 293.15 K gives 384.9 K (by hand)', () => {
    const charge = chargeAt({ ...air, inletLoss: 0, intercooler: null }, 101_325, 0.7, outside)
    expect(charge.ratio).toBeCloseTo(2, 9)
    expect(charge.temperature).toBeCloseTo(293.15 * (1 + (2 ** (0.4 / 1.4) - 1) / 0.7), 6)
    expect(charge.temperature).toBeCloseTo(384.9, 0)
  })
  it('asks for an engine', () =>
    expect(() => sizeAir({ ...air, displacement: 0 }, demand, outside)).toThrow('displacement'))
})

describe('correctedFlow', () => {
  it('is the flow itself in the air that the map was drawn for, and by hand in other air', () => {
    expect(correctedFlow(0.25, MAP_REFERENCE, MAP_REFERENCE)).toBe(0.25)
    expect(correctedFlow(0.25, { pressure: 98e3, temperature: 303 }, MAP_REFERENCE)).toBeCloseTo(0.26506, 5)
    expect(() => correctedFlow(0.25, { pressure: 0, temperature: 303 }, MAP_REFERENCE)).toThrow('above zero')
  })
  it('lies elsewhere on a map that was drawn for 25 °C and 96 kPa', () => {
    const drawn = { pressure: 96_000, temperature: 298.15 }
    const flowOn = (reference?: typeof drawn) =>
      sizeAir(
        { ...air, compressor: { ...air.compressor!, ...(reference && { reference }) } },
        demand,
        outside,
      ).operating!.flow
    expect(flowOn(drawn) / flowOn()).toBeCloseTo(Math.sqrt(288.15 / 298.15) * (96_000 / 101_325), 3)
  })
})

describe('operatingPoint', () => {
  it('is the point itself on one, between its neighbours inside', () => {
    expect(operatingPoint(island, 0.24, 2.2)).toMatchObject({ efficiency: 0.78, where: 'inside' })
    const inside = operatingPoint(island, 0.22, 2)
    expect(inside.where).toBe('inside')
    expect(inside.efficiency).toBeGreaterThan(0.68)
    expect(inside.efficiency).toBeLessThan(0.78)
  })
  it('says surge, choke and above, and that a few points are no map', () => {
    expect(operatingPoint(island, 0.02, 1.8).where).toBe('surge')
    expect(operatingPoint(island, 0.6, 1.8).where).toBe('choke')
    expect(operatingPoint(island, 0.2, 3.4).where).toBe('aboveMap')
    expect(operatingPoint(island.slice(0, 2), 0.1, 1.8).where).toBe('noMap')
  })
})

describe('projectBoost', () => {
  const now = { pressure: 2e5, temperature: 310 }
  it('promises a range below what density alone gives', () => {
    const more = projectBoost(200e3, now, { pressure: 2.4e5, temperature: 320 }, 'inside')
    expect(more.high).toBeCloseTo(200e3 * (2.4 / 320 / (2 / 310)), 3)
    expect(more.low).toBeLessThan(more.likely)
    expect(more.low).toBeGreaterThan(200e3)
  })
  it('promises nothing for sure beyond the map, and keeps its order for less boost', () => {
    expect(projectBoost(200e3, now, { pressure: 2.6e5, temperature: 330 }, 'choke').low).toBe(200e3)
    const less = projectBoost(200e3, now, { pressure: 1.6e5, temperature: 305 }, 'inside')
    expect(less.low).toBeLessThan(less.high)
    expect(less.high).toBeLessThan(200e3)
  })
})
