import fc from 'fast-check'
import psychrolib from 'psychrolib'
import { describe, expect, it } from 'vitest'
import { known } from '../evidence/known'
import { columnsAgree } from './columnsAgree'
import { correctionFactor, CORRECTIONS, type Correction } from './correctionFactor'
import { airDensity, dryPressure, saturationPressure, type Ambient } from './humidAir'
import { powerToWeight } from './powerToWeight'
import { correctedFrom, observedFromPrintout, peaksOf, type PullPoint } from './pull'
import { printedPower } from './printedPower'
import { stageWheelPower, type DynoDayInput, type PullInput } from './stageWheelPower'

psychrolib.SetUnitSystem(psychrolib.SI)
const rpm = (n: number) => (n * Math.PI) / 30
const dry = (celsius: number, pascal: number): Ambient => ({
  temperature: celsius + 273.15,
  pressure: pascal,
  humidity: 0,
})
const someAir = fc.record({
  temperature: fc.double({ min: 274, max: 320, noNaN: true }),
  pressure: fc.double({ min: 80_000, max: 104_000, noNaN: true }),
  humidity: fc.double({ min: 0, max: 1, noNaN: true }),
})

describe('humid air', () => {
  it('saturates at 3169.2 Pa at 25 °C and weighs 1.1170 kg/m³ at 30 °C, 50 %, 98 kPa (ASHRAE Fundamentals)', () => {
    expect(saturationPressure(298.15)).toBeCloseTo(3169.2, 1)
    expect(airDensity({ temperature: 303.15, pressure: 98_000, humidity: 0.5 })).toBeCloseTo(1.117, 4)
  })
  it('agrees with psychrolib from 1 to 45 °C', () => {
    fc.assert(
      fc.property(someAir, (air) => {
        const celsius = air.temperature - 273.15
        expect(saturationPressure(air.temperature) / psychrolib.GetSatVapPres(celsius)).toBeCloseTo(1, 4)
        const ratio = psychrolib.GetHumRatioFromRelHum(celsius, air.humidity, air.pressure)
        // psychrolib gives density of the moist air, the sum of both parts.
        expect(airDensity(air) / psychrolib.GetMoistAirDensity(celsius, ratio, air.pressure)).toBeCloseTo(
          1,
          3,
        )
      }),
    )
  })
})

describe('correctionFactor', () => {
  // Handbook values, computed independently of this code.
  it.each([
    ['j1349', 35, 95_000, 1.0701],
    ['j1349', 15, 100_500, 0.9627],
    ['iso1585', 35, 95_000, 1.0718],
    ['iso1585', 15, 100_500, 0.9622],
    ['din70020', 35, 96_000, 1.0819],
    ['j607', (85 - 32) / 1.8, 29 * 3386.389, 1.0562],
  ] as const)('%s at %d °C and %d Pa is %d', (correction, celsius, pascal, factor) => {
    expect(correctionFactor(correction, dry(celsius, pascal)).factor).toBeCloseTo(factor, 3)
  })
  it('is near one in each rule’s own standard air', () => {
    expect(correctionFactor('j1349', dry(25, 99_000)).factor).toBeCloseTo(1, 3)
    expect(correctionFactor('iso1585', dry(25, 99_000)).factor).toBeCloseTo(1, 3)
    expect(correctionFactor('din70020', dry(20, 101_325)).factor).toBeCloseTo(1, 3)
    expect(correctionFactor('j607', dry((60 - 32) / 1.8, 29.92 * 3386.389)).factor).toBeCloseTo(1, 3)
  })
  it('rises in hotter, thinner and damper air', () => {
    fc.assert(
      fc.property(someAir, fc.constantFrom<Correction>('j1349', 'iso1585', 'j607'), (air, rule) => {
        const here = correctionFactor(rule, air).factor
        expect(
          correctionFactor(rule, { ...air, temperature: air.temperature + 5, humidity: 0 }).factor,
        ).toBeGreaterThan(correctionFactor(rule, { ...air, humidity: 0 }).factor)
        expect(correctionFactor(rule, { ...air, pressure: air.pressure - 500 }).factor).toBeGreaterThan(here)
        expect(dryPressure({ ...air, humidity: 0 })).toBeGreaterThanOrEqual(dryPressure(air))
      }),
    )
  })
  it('says when it leaves the range it was meant for', () => {
    expect(correctionFactor('j1349', dry(35, 85_000)).inRange).toBe(false)
    expect(correctionFactor('j1349', dry(25, 99_000)).inRange).toBe(true)
  })
  it('refuses air that isn’t there', () =>
    expect(() => correctionFactor('j1349', dry(20, 0))).toThrow(RangeError))
})

describe('sheets and corrections', () => {
  const curve: PullPoint[] = [
    { speed: rpm(3000), torque: 200 },
    { speed: rpm(6000), torque: 180 },
  ]
  it('comes back from any rule to what was observed', () => {
    fc.assert(
      fc.property(
        someAir,
        fc.constantFrom(...CORRECTIONS),
        fc.constantFrom(...CORRECTIONS),
        (air, from, to) => {
          const there = printedPower(200e3, from, to, air)!
          expect(printedPower(there, to, from, air)!).toBeCloseTo(200e3, 3)
        },
      ),
    )
  })
  it('can’t take a corrected sheet back without the air', () => {
    expect(observedFromPrintout(curve, 'j1349', null)).toBeNull()
    expect(printedPower(200e3, 'j1349', 'observed', null)).toBeNull()
    expect(printedPower(200e3, 'j1349', 'j1349', null)).toBe(200e3)
  })
  it('scales a whole curve by the factor', () => {
    const air = dry(35, 95_000)
    const corrected = correctedFrom(observedFromPrintout(curve, 'observed', air)!, 'j1349', air)
    expect(corrected[0]!.torque / 200).toBeCloseTo(1.0701, 3)
  })
  it('finds peaks where they stand (kW = N·m × rpm / 9549.297)', () => {
    const { power, torque } = peaksOf(curve)
    expect(power.value / 1000).toBeCloseTo((180 * 6000) / 9549.297, 3)
    expect(torque).toEqual({ value: 200, speed: rpm(3000) })
    expect(() => peaksOf([])).toThrow(RangeError)
  })
})

describe('columnsAgree', () => {
  const rows = (factor: number) =>
    [3000, 4000, 5000].map((n) => ({ speed: rpm(n), torque: 200, power: 200 * rpm(n) * factor }))
  it('accepts P = T·ω within 1 %', () => expect(columnsAgree(rows(1.005)).agree).toBe(true))
  it.each([
    [1.341, /hp, not kW/],
    [1.356, /lb·ft, not N·m/],
    [1.014, /PS/],
    [4.1, /behind a gear/],
  ])('explains a ratio of %d', (factor, because) =>
    expect(columnsAgree(rows(factor)).because).toMatch(because),
  )
  it('admits that a ratio fits no mistake', () =>
    expect(columnsAgree(rows(1.1))).toMatchObject({ agree: false, because: null }))
})

describe('powerToWeight', () => {
  it('is kW/t and W/kg alike', () =>
    expect(powerToWeight(known(264_500, 'proven', 1800), known(1236, 'measured', 5.1)).value).toBeCloseTo(
      214,
      1,
    ))
  it('refuses a car without mass', () =>
    expect(() => powerToWeight(known(1, 'guess'), known(0, 'guess'))).toThrow(RangeError))
})

describe('stageWheelPower', () => {
  const day = (id: string, more: Partial<DynoDayInput> = {}): DynoDayInput => ({
    id,
    stageId: 's',
    date: '2026-05-02',
    dyno: 'Hubs',
    kind: 'hub',
    repeatability: 0.01,
    air: [{ ...dry(25, 99_000), time: null }],
    sheetCorrection: 'observed',
    ...more,
  })
  const pull = (id: string, dynoDayId: string, kw: number, more: Partial<PullInput> = {}): PullInput => ({
    id,
    dynoDayId,
    time: null,
    grade: 'measured',
    standsForStage: false,
    points: null,
    peakPower: kw * 1000,
    ...more,
  })
  it('proves what repeats on one dyno', () => {
    const found = stageWheelPower(
      's',
      [day('a')],
      [
        pull('1', 'a', 200, { standsForStage: true }),
        pull('2', 'a', 201, { standsForStage: true }),
        pull('3', 'a', 150),
      ],
      'observed',
    )!
    expect(found.power.grade).toBe('proven')
    expect(found.power.value).toBeCloseTo(200_500)
    expect(found.pulls).toBe(2)
  })
  it('never mixes two dynos', () => {
    const found = stageWheelPower(
      's',
      [day('a'), day('b', { date: '2026-06-01', kind: 'rollerLoaded' })],
      [pull('1', 'a', 200), pull('2', 'b', 180)],
      'observed',
    )!
    expect(found).toMatchObject({ dynoDayId: 'b', pulls: 1 })
    expect(found.power.value).toBe(180_000)
  })
  it('takes no engine dyno for wheel power', () =>
    expect(
      stageWheelPower('s', [day('a', { kind: 'engine' })], [pull('1', 'a', 200)], 'observed'),
    ).toBeNull())
  it('says nothing where the sheet’s correction can’t be taken back', () => {
    expect(
      stageWheelPower(
        's',
        [day('a', { sheetCorrection: 'j607', air: [] })],
        [pull('1', 'a', 200)],
        'observed',
      ),
    ).toBeNull()
  })
  it('keeps a claim a claim', () => {
    const found = stageWheelPower('s', [day('a')], [pull('1', 'a', 200, { grade: 'claim' })], 'observed')!
    expect(found.power).toMatchObject({ value: 200_000, grade: 'claim' })
    expect(found.power.sigma).toBeCloseTo(14_000)
  })
})
