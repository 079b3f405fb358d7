import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { known } from '../evidence/known'
import { compareOptions, type OptionInput, type OptionItem } from './compareOptions'
import { frontShareAfter, sizeCooling, type CoolingSystem } from './cooling'
import { checkCircuit, electricsTotals, type Circuit, type Supply } from './electrics'
import { chooseFuse, chooseWire, WIRE_AREAS, wireCapacity, wireResistance } from './wire'

const cooling: CoolingSystem = {
  coolantShare: 0.45,
  oilShare: 0.08,
  dutyCycle: 0.6,
  coreArea: 0.24,
  coreTransfer: 3500,
  ratedAirSpeed: 6,
  ductShare: 0.25,
  oilCoolerArea: 0.05,
  coolantVolume: 0.008,
  coolantDensity: 1050,
  thermostat: 355,
  blanking: 0,
  radiatorMass: 6,
  radiatorX: -0.3,
}
const air = { temperature: 303.15, density: 1.16 }

describe('sizeCooling', () => {
  const sized = sizeCooling(cooling, 220e3, 33, air)
  it('carries off exactly what goes in: heat = conductance · difference, checked through the area it asks for', () => {
    // A core of the area that it calls needed settles at the highest temperature allowed, 105 °C.
    const exact = sizeCooling({ ...cooling, coreArea: sized.areaNeeded, thermostat: null }, 220e3, 33, air)
    expect(exact.coolantTemperature).toBeCloseTo(378.15, 6)
    expect(sized.coolantHeat).toBeCloseTo(220e3 * 0.6 * 0.45, 6)
  })
  it('needs the air that it says', () => {
    const speed = sized.airflowNeeded! / cooling.coreArea / cooling.ductShare
    expect(sizeCooling({ ...cooling, thermostat: null }, 220e3, speed, air).coolantTemperature).toBeCloseTo(
      378.15,
      3,
    )
    expect(sizeCooling({ ...cooling, coreArea: 0.01 }, 900e3, 33, air).airflowNeeded).toBeNull()
  })
  it('is never hotter for more road speed or core, nor cooler for more power', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.05, max: 1, noNaN: true }), (more) => {
        const at = (c: CoolingSystem, power: number, v: number) =>
          sizeCooling({ ...c, thermostat: null }, power, v, air).coolantTemperature
        const base = at(cooling, 220e3, 25)
        expect(at(cooling, 220e3, 25 * (1 + more))).toBeLessThan(base)
        expect(at({ ...cooling, coreArea: cooling.coreArea * (1 + more) }, 220e3, 25)).toBeLessThan(base)
        expect(at(cooling, 220e3 * (1 + more), 25)).toBeGreaterThan(base)
      }),
    )
  })
  it('says when too much cooling never lets it get warm, how much to blank, and that a thermostat doesn’t make it right', () => {
    const big = { ...cooling, coreArea: 0.6, thermostat: null }
    const cold = sizeCooling(big, 110e3, 33, { temperature: 278, density: 1.27 })
    expect(cold.verdict).toBe('neverWarm')
    expect(cold.blankingAdvised).toBeGreaterThan(0.1)
    const blanked = sizeCooling({ ...big, blanking: cold.blankingAdvised }, 110e3, 33, {
      temperature: 278,
      density: 1.27,
    })
    expect(blanked.openTemperature).toBeGreaterThan(347)
    expect(blanked.verdict).not.toBe('neverWarm')
    expect(
      sizeCooling({ ...big, thermostat: 355 }, 110e3, 33, { temperature: 278, density: 1.27 }),
    ).toMatchObject({
      verdict: 'neverWarm',
      coolantTemperature: 355,
      openTemperature: cold.openTemperature,
    })
  })
  it('is enough between the power that it never gets warm at and the one that is too much, with a thermostat or without', () => {
    // By hand: what settles at 105 °C in air of 30 °C settles at 75 °C with 45/75 of the power.
    const bare = { ...cooling, thermostat: null }
    const most = 220e3 * (cooling.coreArea / sizeCooling(bare, 220e3, 33, air).areaNeeded)
    const rise = (RUN: number) => (RUN - air.temperature) / (378.15 - air.temperature)
    for (const system of [bare, { ...bare, thermostat: 355.15 }]) {
      const verdict = (power: number) => sizeCooling(system, power, 33, air).verdict
      expect(verdict(1.01 * most)).toBe('tooHot')
      expect(verdict(0.99 * most)).toBe('enough')
      expect(verdict(1.01 * most * rise(348.15))).toBe('enough')
      expect(verdict(0.99 * most * rise(348.15))).toBe('neverWarm')
    }
  })
  it('takes the light load from the share of power that was typed, and the air as it was typed', () => {
    const easy = sizeCooling({ ...cooling, dutyCycle: 0.3 }, 220e3, 33, air)
    expect(easy.lightLoad).toBeCloseTo(sized.lightLoad / 2, 12)
    const rise = (s: typeof sized) => s.lightLoadTemperature - air.temperature
    expect(rise(easy)).toBeCloseTo(rise(sized) / 2, 9)
    const hot = sizeCooling({ ...cooling, thermostat: null }, 220e3, 33, { ...air, temperature: 313.15 })
    const cool = sizeCooling({ ...cooling, thermostat: null }, 220e3, 33, air)
    expect(hot.coolantTemperature - cool.coolantTemperature).toBeCloseTo(10, 9)
  })
  it('gives a second core the air that the first one heated: Q/(ṁ·c), by hand', () => {
    const behind = sizeCooling({ ...cooling, oilCoolerPlace: 'behind' }, 220e3, 33, air)
    const stream = 1.16 * 0.24 * 33 * 0.25 * 1005
    expect(behind.airAtOilCooler - air.temperature).toBeCloseTo((220e3 * 0.6 * 0.45) / stream, 9)
    expect(behind.oilTemperature - sized.oilTemperature).toBeCloseTo((220e3 * 0.6 * 0.45) / stream, 9)
    const bare = { ...cooling, thermostat: null }
    const ahead = sizeCooling({ ...bare, oilCoolerPlace: 'ahead', heatAhead: 9000 }, 220e3, 33, air)
    const alone = sizeCooling(bare, 220e3, 33, air)
    expect(ahead.airAtRadiator - air.temperature).toBeCloseTo((9000 + 220e3 * 0.6 * 0.08) / stream, 9)
    expect(ahead.coolantTemperature - alone.coolantTemperature).toBeCloseTo(
      ahead.airAtRadiator - air.temperature,
      9,
    )
    expect(ahead.areaNeeded).toBeGreaterThan(alone.areaNeeded)
  })
  it('says too hot, and weighs the coolant', () => {
    expect(sizeCooling({ ...cooling, coreArea: 0.05 }, 300e3, 20, air).verdict).toBe('tooHot')
    expect(sized.coolantMass).toBeCloseTo(8.4)
  })
  it('refuses a core that is none', () => {
    expect(() => sizeCooling({ ...cooling, coreArea: 0 }, 1, 1, air)).toThrow('core area')
    expect(() => sizeCooling({ ...cooling, blanking: 1 }, 1, 1, air)).toThrow('blanking')
  })
})

describe('frontShareAfter', () => {
  it('moves the front share by moment over mass and wheelbase: 16 kg by 3.2 m on 1,100 kg and 2.5 m is 1.86 %', () => {
    const after = frontShareAfter(
      { mass: 1100, frontShare: 0.55, wheelbase: 2.5 },
      { mass: 16, from: -0.3, to: 2.9 },
      0,
    )
    expect(after.frontShare).toBeCloseTo(0.55 - (16 * 3.2) / (1100 * 2.5), 9)
  })
  it('weighs the hoses at the middle', () => {
    const after = frontShareAfter(
      { mass: 1000, frontShare: 0.5, wheelbase: 2.5 },
      { mass: 0, from: 0, to: 2.5 },
      10,
    )
    expect(after).toEqual({ mass: 1010, frontShare: 0.5 })
  })
})

describe('wire', () => {
  it('has the resistance of IEC 60028: 17.241 mΩ a metre of 1 mm² at 20 °C', () => {
    expect(wireResistance(1, 1e-6, 293.15)).toBeCloseTo(0.017241, 9)
    expect(wireResistance(1, 1e-6, 333.15) / wireResistance(1, 1e-6, 293.15)).toBeCloseTo(1.1572, 6)
    expect(() => wireResistance(1, 0)).toThrow('area')
  })
  it('chooses the thinnest that carries and doesn’t drop too much, and says which ruled', () => {
    const current = fc.double({ min: 0.1, max: 150, noNaN: true })
    const length = fc.double({ min: 0.1, max: 8, noNaN: true })
    fc.assert(
      fc.property(current, length, (i, l) => {
        const { area, drop, because } = chooseWire(i, l, 0.4)
        if (area === null) return
        expect(drop).toBeLessThanOrEqual(0.4)
        expect(wireCapacity(area)).toBeGreaterThanOrEqual(i)
        const thinner = WIRE_AREAS[WIRE_AREAS.indexOf(area) - 1]
        if (thinner === undefined) return
        if (because === 'drop') expect(i * wireResistance(l, thinner)).toBeGreaterThan(0.4)
        else expect(wireCapacity(thinner)).toBeLessThan(i)
      }),
    )
    expect(chooseWire(12, 6, 0.4)).toMatchObject({ area: 4e-6, because: 'drop' })
    expect(chooseWire(900, 1, 0.4).area).toBeNull()
    expect(() => chooseWire(0, 1, 1)).toThrow(RangeError)
  })
  it('fuses between the load and the wire', () => {
    expect(chooseFuse(8, 1.5e-6)).toBe(10)
    expect(chooseFuse(14, 0.5e-6)).toBeNull()
  })
})

const supply: Supply = {
  voltage: 13.8,
  allowedDrop: 0.03,
  alternatorIdle: 35,
  alternatorSpeed: 90,
  batteryCharge: 20 * 3600,
  batteryMass: 4,
  classes: [
    { name: 'Large', count: 2, limit: 20, inrushLimit: 80 },
    { name: 'Small', count: 1, limit: 8, inrushLimit: 20 },
  ],
}
const circuit = (more: Partial<Circuit> = {}): Circuit => ({
  id: 'c',
  name: 'Fuel pump',
  current: 12,
  inrush: 40,
  duty: 1,
  use: 'running',
  length: 3.5,
  returnWire: false,
  wireArea: null,
  fuse: null,
  channel: 'Large',
  ...more,
})

describe('checkCircuit', () => {
  it('advises wire and fuse, and finds nothing wrong with them', () => {
    const advice = checkCircuit(circuit(), supply)
    expect(advice.faults).toEqual([])
    const built = checkCircuit(circuit({ wireArea: advice.areaAdvised, fuse: advice.fuseAdvised }), supply)
    expect(built.faults).toEqual([])
    expect(built.drop).toBeLessThanOrEqual(13.8 * 0.03)
  })
  it.each([
    [{ wireArea: 0.5e-6 }, /carries 6 A for good; this draws 12 A/],
    [{ wireArea: 1.5e-6, length: 9 }, /loses .* V/],
    [{ fuse: 10 }, /blows in time/],
    [{ fuse: 60 }, /doesn’t protect this wire/],
    [{ channel: 'Small' }, /“Small” switches 8 A; this draws 12 A/],
    [{ channel: 'Small', current: 5 }, /stands 20 A at the start; this takes 40 A/],
    [{ channel: 'Gone' }, /no class “Gone”/],
    [{ current: 900 }, /No wire that is sold/],
  ])('finds what is wrong with %j', (more, says) => {
    expect(checkCircuit(circuit(more), supply).faults.join(' ')).toMatch(says)
  })
})

describe('electricsTotals', () => {
  const circuits = [
    circuit(),
    circuit({ id: 'd', name: 'Fan', current: 30, use: 'sometimes', duty: 0.5 }),
    circuit({ id: 'e', name: 'Logger', current: 1, use: 'always', channel: 'Small' }),
    circuit({ id: 'f', name: 'Rain light', current: 1, use: 'always', channel: 'Small' }),
    circuit({ id: 'g', name: 'Ignition', current: 10 }),
  ]
  const totals = electricsTotals(circuits, supply)
  it('adds up what draws when, and what the alternator has left', () => {
    expect(totals.running).toBeCloseTo(12 + 15 + 2 + 10)
    expect(totals.peak).toBe(54)
    expect(totals.leftAtIdle).toBeCloseTo(-4)
    expect(totals.leftAtSpeed).toBeCloseTo(51)
  })
  it('says how long the battery lasts: half of 20 Ah at 2 A is 5 h, and idling 4 A short 2.5 h', () => {
    expect(totals.engineOff! / 3600).toBeCloseTo(5)
    expect(totals.idling! / 3600).toBeCloseTo(2.5)
    expect(electricsTotals([], supply)).toMatchObject({ engineOff: null, idling: null, loomMass: 0 })
  })
  it('counts the outputs of each class', () => {
    expect(totals.channels.map((c) => [c.class.name, c.used, c.isShort])).toEqual([
      ['Large', 3, true],
      ['Small', 2, true],
    ])
  })
})

describe('compareOptions', () => {
  const item = (more: Partial<OptionItem>): OptionItem => ({
    name: 'x',
    price: 100,
    mass: 1,
    massGrade: 'measured',
    needed: true,
    wanted: true,
    ...more,
  })
  const option = (more: Partial<OptionInput>): OptionInput => ({
    id: 'o',
    name: 'o',
    items: [],
    power: 0,
    powerGrade: 'guess',
    workTime: 0,
    forces: [],
    ...more,
  })
  const car = { mass: known(1000, 'proven', 2), power: known(150e3, 'proven', 1500) }
  it('prices an option with everything that must be bought with it, and only the extras that are wanted', () => {
    const [o] = compareOptions(
      [
        option({
          power: 20e3,
          items: [
            item({ price: 900, mass: 8 }),
            item({ price: 250, needed: false, wanted: false }),
            item({ price: 60, needed: false }),
          ],
        }),
      ],
      car,
      [],
    )
    expect(o).toMatchObject({ price: 960, extras: 60 })
    expect(o!.mass.value).toBe(9)
    expect(o!.perKilowatt).toBe(48)
    expect(o!.powerToWeight.value).toBeCloseTo(170e3 / 1009, 6)
  })
  it('says how far each mark is with it', () => {
    const marks = [
      { id: 'm', measure: 'mass', comparator: 'atMost', value: 1005, tolerance: 0 },
      { id: 'p', measure: 'powerToWeight', comparator: 'atLeast', value: 170, tolerance: 0 },
    ] as const
    const [o] = compareOptions([option({ power: 20e3, items: [item({ mass: 9 })] })], car, marks)
    expect(o!.marks[0]!.margin).toBeCloseTo(-4)
    const [near] = compareOptions([option({ items: [item({ mass: 9 })] })], car, [
      { ...marks[0], tolerance: 5 },
    ])
    expect(near!.marks[0]).toMatchObject({ margin: 1, verdict: 'cantTell' })
    expect(o!.marks[1]!.margin).toBeCloseTo(170e3 / 1009 - 170, 6)
  })
  it('prices no gain as none, and needs a car', () => {
    expect(compareOptions([option({ power: -5e3, items: [item({})] })], car, [])[0]).toMatchObject({
      perKilowatt: null,
      perPowerToWeight: null,
    })
    expect(() => compareOptions([], { ...car, mass: known(0, 'guess', 0) }, [])).toThrow(RangeError)
  })
})
