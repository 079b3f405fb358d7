import { toSi } from './convert'
import { formatQuantity } from './formatQuantity'
import { unitsOf, type Quantity, type Unit } from './quantities'
import { NUMBER_PATTERN, readNumber } from './readNumber'
import { quantityOf, unitNamed } from './unitNamed'

export type ParsedQuantity =
  { ok: true; si: number; unit: Unit; understood: string } | { ok: false; problem: string; remedy: string }

const SPOKEN: Record<Quantity, string> = {
  mass: 'a mass',
  length: 'a length',
  power: 'a power',
  torque: 'a torque',
  stress: 'a stress',
  pressure: 'a pressure',
  temperature: 'a temperature',
  volume: 'a volume',
  powerToWeight: 'a power to weight',
  share: 'a share',
  engineSpeed: 'an engine speed',
  stiffness: 'a spring rate',
  time: 'a time',
  density: 'a density',
  velocity: 'a speed',
  lambda: 'a mixture',
  massFlow: 'a mass flow',
  volumeFlow: 'a flow',
  area: 'an area',
  fuelUse: 'a fuel consumption',
  current: 'a current',
  voltage: 'a voltage',
  charge: 'a capacity',
  force: 'a force',
  inertia: 'an inertia',
  angle: 'an angle',
  rollStiffness: 'a roll stiffness',
  damping: 'a damping rate',
  acceleration: 'an acceleration',
  frequency: 'a frequency',
}

/** A number, then its unit: letters and marks, a hyphen between letters (ft-lb), a closing digit (kg/m3). */
const TERM = new RegExp(
  String.raw`^\s*(${NUMBER_PATTERN})\s*((?:[^\d+\-−]|(?<=\p{L})-(?=\p{L}))*(?:(?<=\S)\d(?=\s*$))?)`,
  'u',
)

/** A time as a stopwatch shows it: minutes and seconds, or hours before them. */
const CLOCK = /^(?:(\d{1,2}):)?(\d{1,3}):([0-5]?\d(?:[.,]\d+)?)$/

/**
 * Reads a quantity the way people type it, in any unit of its kind.
 *
 * Compound entries add up: `5 ft 3 in`, `12 lb 4 oz`. A time may be written as a stopwatch shows it: `1:26.4`. A bare number takes the field's own unit.
 *
 * @param text what was typed
 * @param quantity what the field holds
 * @param unit the unit a bare number is taken in
 * @returns the SI value with the unit and wording of what was understood, or the problem and its remedy
 * @example parseQuantity('7 1/2 in', 'length', mm) // { ok: true, si: 0.1905, understood: '7.50 in = 191 mm' }
 */
export function parseQuantity(text: string, quantity: Quantity, unit: Unit): ParsedQuantity {
  const fail = (problem: string, remedy: string): ParsedQuantity => ({ ok: false, problem, remedy })
  const symbols = unitsOf(quantity).map((u) => u.symbol)
  const example = `Type a number, with a unit if it isn't ${unit.symbol}: ${symbols.join(', ')}.`
  let rest = text.trim()
  if (rest === '') return fail('Nothing typed yet.', example)

  const clock = quantity === 'time' ? CLOCK.exec(rest) : null
  if (clock) {
    const [, hours = '0', minutes, seconds] = clock
    const total = Number(hours) * 3600 + Number(minutes) * 60 + Number(seconds!.replace(',', '.'))
    const understood = `${rest} = ${formatQuantity(total, unit)}`
    return { ok: true, si: total, unit, understood }
  }
  let si = 0
  let first: Unit | undefined
  let terms = 0
  while (rest !== '') {
    const match = TERM.exec(rest)
    const value = match ? readNumber(match[1]!) : null
    if (!match || value === null) return fail(`“${text.trim()}” is not ${SPOKEN[quantity]}.`, example)
    const spelling = match[2]!.trim()
    const named = spelling === '' ? unit : unitNamed(quantity, spelling)
    if (!named) {
      const other = quantityOf(spelling)
      return other
        ? fail(`“${spelling}” is ${SPOKEN[other]}; this field takes ${SPOKEN[quantity]}.`, example)
        : fail(`No unit called “${spelling}” for ${SPOKEN[quantity]}.`, `Use ${symbols.join(', ')}.`)
    }
    if (
      terms > 0 &&
      (named.offset || named.reciprocal || first?.offset || first?.reciprocal || spelling === '')
    ) {
      return fail(`“${text.trim()}” can't be added up.`, example)
    }
    if (named.reciprocal && value === 0) return fail(`0 ${named.symbol} has no meaning.`, example)
    si += toSi(value, named)
    first ??= named
    terms += 1
    rest = rest.slice(match[0].length).trim()
  }
  if (quantity === 'temperature' && si < 0) return fail('That is below absolute zero.', example)
  const shown = formatQuantity(si, first ?? unit)
  const understood =
    first === unit && terms === 1 ? shown : `${terms > 1 ? text.trim() : shown} = ${formatQuantity(si, unit)}`
  return { ok: true, si, unit: first ?? unit, understood }
}
