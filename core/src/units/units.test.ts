import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { fromSi, spreadFromSi, toSi } from './convert'
import { decimalsFor, formatKnown, formatNumber, formatQuantity } from './formatQuantity'
import { parsePlace } from './parsePlace'
import { parseQuantity } from './parseQuantity'
import { METRIC, preferredUnit, US } from './preferences'
import { QUANTITIES, unitsOf, type Quantity } from './quantities'
import { readNumber } from './readNumber'
import { quantityOf, unitNamed } from './unitNamed'

const u = (quantity: Quantity, symbol: string) => unitNamed(quantity, symbol)!

describe('unit factors', () => {
  // NIST SP 811, appendix B.
  it.each([
    ['mass', 'lb', 1, 0.45359237],
    ['power', 'hp', 1, 745.6999],
    ['power', 'PS', 1, 735.49875],
    ['torque', 'lb·ft', 1, 1.355818],
    ['pressure', 'psi', 1, 6894.757],
    ['pressure', 'inHg', 1, 3386.389],
    ['length', 'in', 1, 0.0254],
    ['volume', 'US gal', 1, 0.003785412],
    ['temperature', '°F', 212, 373.15],
    ['temperature', '°C', 0, 273.15],
  ] as const)('%s: 1 %s', (quantity, symbol, shown, si) => {
    expect(toSi(shown, u(quantity, symbol))).toBeCloseTo(si, si > 1000 ? 2 : 4)
  })

  it('gives hp = lbf·ft × rpm / 5252.113 and kW = N·m × rpm / 9549.297 (P = T·ω)', () => {
    const omega = toSi(1, u('engineSpeed', 'rpm'))
    expect(u('power', 'hp').factor / (u('torque', 'lb·ft').factor * omega)).toBeCloseTo(5252.113, 3)
    expect(1000 / omega).toBeCloseTo(9549.297, 3)
  })

  it('comes back from every unit to where it was', () => {
    for (const quantity of Object.keys(QUANTITIES) as Quantity[]) {
      for (const unit of unitsOf(quantity)) {
        fc.assert(
          fc.property(fc.double({ min: 0.01, max: 1e5, noNaN: true }), (si) => {
            expect(toSi(fromSi(si, unit), unit) / si).toBeCloseTo(1, 6)
          }),
        )
      }
    }
  })

  it('has no spelling that means two units of one quantity', () => {
    for (const quantity of Object.keys(QUANTITIES) as Quantity[]) {
      const spellings = unitsOf(quantity).flatMap((x) => [...new Set([x.symbol.toLowerCase(), ...x.aliases])])
      expect(new Set(spellings).size).toBe(spellings.length)
    }
  })

  it('turns power to weight round for pounds per horsepower', () => {
    // 2,200 lb with 300 hp: 7.333 lb/hp, by division.
    const si = (300 * 745.6999) / (2200 * 0.45359237)
    expect(fromSi(si, u('powerToWeight', 'lb/hp'))).toBeCloseTo(2200 / 300, 4)
    expect(fromSi(si, u('powerToWeight', 'kW/t'))).toBeCloseTo(si, 9)
    expect(() => toSi(0, u('powerToWeight', 'lb/hp'))).toThrow(RangeError)
  })

  it('leaves offsets out of a spread', () => {
    expect(spreadFromSi(10, u('temperature', '°F'), 300)).toBeCloseTo(18)
  })
})

describe('readNumber', () => {
  it.each([
    ['19,1', 19.1],
    ['1,412', 1412],
    ['0,412', 0.412],
    ['19,10', 19.1],
    ['1.412,5', 1412.5],
    ['1,412.5', 1412.5],
    ['1 412', 1412],
    ["1'412", 1412],
    ['7 1/2', 7.5],
    ['3/8', 0.375],
    ['½', 0.5],
    ['7½', 7.5],
    ['−3', -3],
    ['.5', 0.5],
    ['1e3', 1000],
  ])('%s', (text, value) => expect(readNumber(text)).toBe(value))

  it.each(['', 'abc', '1/0', '12 kg', '1.2.3', '--1', '1,2,3'])('refuses %j', (text) =>
    expect(readNumber(text)).toBeNull(),
  )

  it('reads back whatever formatNumber writes', () => {
    fc.assert(
      fc.property(fc.integer({ min: -10_000_000, max: 10_000_000 }), (n) => {
        expect(readNumber(formatNumber(n, 0))).toBe(n === 0 ? 0 : n)
      }),
    )
  })
})

describe('parseQuantity', () => {
  const read = (text: string, quantity: Quantity, unit: string) =>
    parseQuantity(text, quantity, u(quantity, unit))
  it.each([
    ['42 lb', 'mass', 'kg', 19.05087954],
    ['19,1 kg', 'mass', 'lb', 19.1],
    ['19.1', 'mass', 'kg', 19.1],
    ['850g', 'mass', 'kg', 0.85],
    ['12 lb 4 oz', 'mass', 'kg', 12.25 * 0.45359237],
    ['7 1/2 in', 'length', 'mm', 0.1905],
    ['5 ft 3 in', 'length', 'mm', 1.6002],
    ['2,4 m', 'length', 'mm', 2.4],
    ['1.2 bar', 'pressure', 'psi', 120_000],
    ['16 psi', 'pressure', 'bar', 110_316.1],
    ['70 GPa', 'stress', 'MPa', 70e9],
    ['240 N/mm2', 'stress', 'GPa', 240e6],
    ['218 hp', 'power', 'kW', 162_562.6],
    ['300 PS', 'power', 'kW', 220_649.6],
    ['250 ft-lb', 'torque', 'N·m', 338.9545],
    ['30 °C', 'temperature', '°F', 303.15],
    ['85F', 'temperature', '°C', 302.594],
    ['6,500 rpm', 'engineSpeed', 'rpm', 680.6784],
    ['-300', 'length', 'mm', -0.3],
  ] as const)('%s', (text, quantity, unit, si) => {
    const parsed = read(text, quantity, unit)
    expect(parsed.ok && parsed.si).toBeCloseTo(si, si > 1000 ? 0 : 3)
  })

  it('says what it understood when the unit is another', () => {
    const parsed = read('42 lb', 'mass', 'kg')
    expect(parsed.ok && parsed.understood).toBe('42.0 lb = 19.1 kg')
  })

  it.each([
    ['', 'mass', /Nothing typed/],
    ['heavy', 'mass', /“heavy” is not a mass/],
    ['12 psi', 'mass', /“psi” is a pressure; this field takes a mass/],
    ['12 stone', 'mass', /No unit called “stone”/],
    ['12 kg 5', 'mass', /can't be added up/],
    ['-300 °C', 'temperature', /absolute zero/],
    ['0 lb/hp', 'powerToWeight', /no meaning/],
  ] as const)('refuses %j with a remedy', (text, quantity, message) => {
    const parsed = parseQuantity(text, quantity, unitsOf(quantity)[0]!)
    expect(parsed.ok).toBe(false)
    if (!parsed.ok) {
      expect(parsed.problem.replace('’', "'")).toMatch(message)
      expect(parsed.remedy).not.toBe('')
    }
  })

  it('reads back what formatQuantity writes, in every unit', () => {
    for (const quantity of Object.keys(QUANTITIES) as Quantity[]) {
      for (const unit of unitsOf(quantity)) {
        const si = toSi(123, unit)
        const parsed = parseQuantity(formatQuantity(si, unit), quantity, unitsOf(quantity)[0]!)
        expect(parsed.ok && parsed.si, `${quantity} ${unit.symbol}`).toBeCloseTo(si, 6)
      }
    }
  })

  it('never throws, whatever is typed', () => {
    fc.assert(fc.property(fc.string(), (text) => void parseQuantity(text, 'mass', u('mass', 'kg'))))
  })
})

describe('how figures are written', () => {
  it('rounds a value to where its uncertainty begins', () => {
    expect(formatKnown(868.43, 3.1, u('mass', 'kg'))).toEqual({ figure: '868', spread: '3', unit: 'kg' })
    expect(formatKnown(868.43, 2.2, u('mass', 'kg'))).toEqual({ figure: '868.4', spread: '2.2', unit: 'kg' })
    expect(formatKnown(1236, 14, u('mass', 'kg'))).toEqual({ figure: '1,236', spread: '14', unit: 'kg' })
  })
  it('follows the GUM on digits', () => {
    expect([3.1, 1.4, 14, 0.21, 0.0004].map(decimalsFor)).toEqual([0, 1, 0, 2, 3])
  })
  it('never writes minus zero', () => expect(formatNumber(-0.001, 1)).toBe('0.0'))
  it('takes the first unit where a preference names none of the quantity', () => {
    expect(preferredUnit('mass', { mass: 'psi' }).symbol).toBe('kg')
    expect(preferredUnit('mass', US).symbol).toBe('lb')
    expect(preferredUnit('powerToWeight', METRIC).symbol).toBe('kW/t')
  })
  it('knows which quantity a unit belongs to', () => expect(quantityOf('psi')).toBe('pressure'))
})

describe('parsePlace', () => {
  const mm = u('length', 'mm')
  it.each([
    ['1200 -300 450', { x: 1.2, y: -0.3, z: 0.45 }],
    ['1.2m; 0; 18in', { x: 1.2, y: 0, z: 0.4572 }],
    ['1.2 m 0 mm 300 mm', { x: 1.2, y: 0, z: 0.3 }],
    ['', null],
  ])('%j', (text, place) => {
    const parsed = parsePlace(text, mm)
    expect(parsed.ok).toBe(true)
    if (parsed.ok && place) {
      expect(parsed.place!.x).toBeCloseTo(place.x)
      expect(parsed.place!.y).toBeCloseTo(place.y)
      expect(parsed.place!.z).toBeCloseTo(place.z)
    } else if (parsed.ok) expect(parsed.place).toBeNull()
  })
  it.each(['1200', '1200 300', 'a b c', '99999 0 0'])('refuses %j', (text) =>
    expect(parsePlace(text, mm).ok).toBe(false),
  )
})
