import { POUND, STANDARD_GRAVITY } from './constants'
/**
 * The quantities the product speaks of, and the units a person may type them in.
 *
 * Everything is stored and computed in SI. A unit says how to get there: `si = shown × factor + offset`,
 * or, for a unit that counts the other way round (pounds carried by each horsepower), `si = factor / shown`.
 *
 * @source NIST SP 811 (factors); hp is 550 ft·lbf/s, PS is 75 kgf·m/s: two units, never mixed silently.
 */
export interface Unit {
  /** How the unit is written on screen. */
  readonly symbol: string
  /** Other spellings a person may type, in lower case. */
  readonly aliases: readonly string[]
  readonly factor: number
  readonly offset?: number
  readonly reciprocal?: true
  /** Decimals shown when nothing is known about the uncertainty. */
  readonly decimals: number
}

const INCH = 0.0254
const HORSEPOWER = 745.6998715822702
const METRIC_HORSEPOWER = 735.49875
const PSI = 6894.757293168361
const INCH_OF_MERCURY = 3386.389

const unit = (symbol: string, factor: number, decimals: number, aliases: string[] = []): Unit => ({
  symbol,
  factor,
  decimals,
  aliases,
})

export const QUANTITIES = {
  mass: [
    unit('kg', 1, 1, ['kilo', 'kilos', 'kilogram', 'kilograms', 'kgs']),
    unit('g', 0.001, 0, ['gram', 'grams', 'gr']),
    unit('lb', POUND, 1, ['lbs', 'pound', 'pounds', '#']),
    unit('oz', POUND / 16, 1, ['ounce', 'ounces']),
    unit('t', 1000, 3, ['tonne', 'tonnes']),
  ],
  length: [
    unit('mm', 0.001, 0, ['millimetre', 'millimetres', 'millimeter', 'millimeters']),
    unit('cm', 0.01, 1, ['centimetre', 'centimetres']),
    unit('m', 1, 3, ['metre', 'metres', 'meter', 'meters']),
    unit('in', INCH, 2, ['inch', 'inches', '"', '″']),
    unit('ft', INCH * 12, 3, ['foot', 'feet', "'", '′']),
  ],
  power: [
    unit('kW', 1000, 1, ['kilowatt', 'kilowatts']),
    unit('hp', HORSEPOWER, 1, ['bhp', 'whp', 'horsepower']),
    unit('PS', METRIC_HORSEPOWER, 1, ['cv', 'ch', 'metric hp']),
    unit('W', 1, 0, ['watt', 'watts']),
  ],
  torque: [
    unit('N·m', 1, 1, ['nm', 'n m', 'n-m', 'n*m', 'newton metres', 'newton meters']),
    unit('lb·ft', 1.3558179483314004, 1, [
      'lbft',
      'lb-ft',
      'lb ft',
      'ftlb',
      'ft-lb',
      'ft lb',
      'lbf ft',
      'lbf·ft',
      'ft·lb',
      'ft lbs',
      'lb.ft',
      'ftlbs',
    ]),
    unit('kgf·m', 9.80665, 2, ['kgm', 'kg m', 'kgfm', 'kg·m', 'mkg']),
  ],
  pressure: [
    unit('kPa', 1000, 1, ['kilopascal']),
    unit('bar', 100_000, 2, []),
    unit('psi', PSI, 1, ['lbf/in²', 'lb/in2']),
    unit('mbar', 100, 0, ['hpa', 'millibar']),
    unit('inHg', INCH_OF_MERCURY, 2, ['in hg', '"hg']),
    unit('Pa', 1, 0, ['pascal']),
  ],
  stress: [
    unit('MPa', 1e6, 0, ['n/mm2', 'n/mm²', 'megapascal']),
    unit('GPa', 1e9, 1, ['kn/mm2', 'kn/mm²', 'gigapascal']),
    unit('ksi', PSI * 1000, 1, []),
  ],
  temperature: [
    { ...unit('°C', 1, 1, ['c', 'degc', 'deg c', 'celsius']), offset: 273.15 },
    { ...unit('°F', 5 / 9, 0, ['f', 'degf', 'deg f', 'fahrenheit']), offset: 273.15 - (32 * 5) / 9 },
    unit('K', 1, 1, ['kelvin']),
  ],
  volume: [
    unit('l', 0.001, 1, ['litre', 'litres', 'liter', 'liters', 'ltr']),
    unit('ml', 1e-6, 0, ['cc', 'millilitre']),
    unit('US gal', 0.003785411784, 2, ['gal', 'gallon', 'gallons', 'us gallon', 'us gallons']),
    unit('imp gal', 0.00454609, 2, ['imperial gallon', 'uk gal']),
  ],
  powerToWeight: [
    unit('kW/t', 1, 1, ['w/kg', 'kw/tonne']),
    unit('hp/t', HORSEPOWER / 1000, 1, ['hp/tonne', 'bhp/t']),
    { ...unit('lb/hp', HORSEPOWER / POUND, 2, ['lbs/hp']), reciprocal: true },
  ],
  share: [unit('%', 0.01, 2, ['percent', 'per cent'])],
  engineSpeed: [
    unit('rpm', Math.PI / 30, 0, ['1/min', 'r/min', 'rev/min', 'min-1']),
    unit('rad/s', 1, 1, []),
  ],
  stiffness: [
    unit('N/mm', 1000, 1, ['n per mm']),
    unit('lb/in', (STANDARD_GRAVITY * POUND) / 0.0254, 0, ['lbf/in', 'lbs/in', 'lb per in']),
    unit('kgf/mm', 1000 * STANDARD_GRAVITY, 2, ['kg/mm']),
    unit('N/m', 1, 0, []),
  ],
  time: [
    unit('h', 3600, 1, ['hour', 'hours', 'hr', 'hrs']),
    unit('min', 60, 0, ['minute', 'minutes', 'mins']),
    unit('s', 1, 2, ['sec', 'second', 'seconds']),
    unit('ms', 0.001, 2, ['millisecond', 'milliseconds']),
    unit('d', 86_400, 2, ['day', 'days']),
  ],
  density: [unit('kg/m³', 1, 0, ['kg/m3']), unit('kg/l', 1000, 3, ['g/cc', 'g/cm3', 'kg/litre'])],
  velocity: [
    unit('km/h', 1 / 3.6, 1, ['kph', 'kmh', 'km h']),
    unit('mph', 0.44704, 1, ['mi/h', 'miles/h']),
    unit('m/s', 1, 2, ['mps']),
  ],
  lambda: [
    unit('λ', 1, 3, ['lambda', 'l']),
    // A gauge set to petrol shows λ times petrol's stoichiometric ratio, whatever is burnt.
    unit('AFR', 1 / 14.7, 2, ['afr', 'a/f', 'air/fuel', 'air fuel ratio', ':1']),
  ],
  massFlow: [
    unit('kg/s', 1, 3, []),
    unit('g/s', 0.001, 0, ['gps']),
    unit('lb/min', POUND / 60, 1, ['lbs/min', 'ppm']),
    unit('kg/h', 1 / 3600, 0, ['kg/hr']),
  ],
  volumeFlow: [
    unit('cc/min', 1e-6 / 60, 0, ['ccm', 'ml/min', 'cm3/min', 'cc']),
    unit('l/h', 0.001 / 3600, 0, ['lph', 'l/hr', 'litres/hour']),
    unit('l/min', 0.001 / 60, 1, ['lpm']),
    unit('m³/s', 1, 3, ['m3/s']),
  ],
  area: [
    unit('m²', 1, 3, ['m2', 'sq m']),
    unit('cm²', 1e-4, 0, ['cm2', 'sq cm']),
    unit('mm²', 1e-6, 2, ['mm2', 'sq mm']),
    unit('in²', INCH ** 2, 1, ['in2', 'sq in']),
    unit('ft²', (INCH * 12) ** 2, 2, ['ft2', 'sq ft']),
  ],
  fuelUse: [
    unit('g/kWh', 0.001 / 3.6e6, 0, ['g/kw h', 'g per kwh']),
    unit('lb/hp·h', POUND / (HORSEPOWER * 3600), 2, [
      'lb/hp h',
      'lb/hph',
      'lb/hp/h',
      'lbs/hp/hr',
      'lb/hp-hr',
    ]),
  ],
  current: [unit('A', 1, 1, ['amp', 'amps', 'ampere']), unit('mA', 0.001, 0, ['milliamp'])],
  voltage: [unit('V', 1, 1, ['volt', 'volts'])],
  charge: [unit('Ah', 3600, 0, ['amp hours', 'a h']), unit('C', 1, 0, ['coulomb'])],
  force: [
    unit('N', 1, 0, ['newton', 'newtons']),
    unit('kN', 1000, 2, []),
    unit('kgf', STANDARD_GRAVITY, 0, ['kp']),
    unit('lbf', STANDARD_GRAVITY * POUND, 0, []),
  ],
  angle: [
    unit('°', Math.PI / 180, 1, ['deg', 'degree', 'degrees']),
    unit('rad', 1, 3, ['radian', 'radians']),
  ],
  inertia: [unit('kg·m²', 1, 3, ['kgm2', 'kg m2', 'kg·m2', 'kg m²'])],
  rollStiffness: [
    unit('N·m/°', 180 / Math.PI, 0, ['nm/deg', 'nm/°', 'n·m/deg']),
    unit('N·m/rad', 1, 0, ['nm/rad']),
    unit('lb·ft/°', (1.3558179483314004 * 180) / Math.PI, 0, ['lbft/deg', 'lb ft/deg', 'lb·ft/deg']),
  ],
  frequency: [unit('Hz', 1, 2, ['hertz', '1/s']), unit('cpm', 1 / 60, 0, ['1/min'])],
  acceleration: [unit('g', STANDARD_GRAVITY, 2, []), unit('m/s²', 1, 2, ['m/s2'])],
  damping: [
    unit('N·s/m', 1, 0, ['ns/m', 'n s/m']),
    unit('N·s/mm', 1000, 2, ['ns/mm', 'n s/mm']),
    unit('lb·s/in', (STANDARD_GRAVITY * POUND) / INCH, 1, ['lbs/in/s', 'lb s/in']),
  ],
} as const satisfies Record<string, readonly Unit[]>

export type Quantity = keyof typeof QUANTITIES

export const unitsOf = (quantity: Quantity): readonly Unit[] => QUANTITIES[quantity]
