import type { Quantity } from '../units/quantities'
import { unitNamed } from '../units/unitNamed'

export const PULL_ROLES = ['speed', 'torque', 'power'] as const
export type PullRole = (typeof PULL_ROLES)[number]

/** Which column holds what, in which unit (by symbol), and how decimals are written. */
export interface PullMapping {
  readonly speed: ColumnChoice | null
  readonly torque: ColumnChoice | null
  readonly power: ColumnChoice | null
  readonly decimal: '.' | ','
}
export interface ColumnChoice {
  readonly column: number
  /** `null` when the header doesn't say: the person must. */
  readonly unit: string | null
}

export const ROLE_QUANTITY: Record<PullRole, Quantity> = {
  speed: 'engineSpeed',
  torque: 'torque',
  power: 'power',
}

const NAMES: Record<PullRole, RegExp> = {
  speed: /\b(rpm|engine ?speed|revs?|n ?mot|1\/min|r\/min)\b/i,
  torque: /torque|\bmoment\b|\btq\b|\bn[·. -]?m\b|lb[·. -]?ft|ft[·. -]?lb/i,
  power: /power|\bpwr\b|\bkw\b|\bb?w?hp\b|\bps\b|\bcv\b/i,
}

/** The unit a header names: inside brackets first, then any word that is a unit of the quantity. */
function unitIn(header: string, role: PullRole): string | null {
  const quantity = ROLE_QUANTITY[role]
  const bracketed = /[([{]\s*([^)\]}]+?)\s*[)\]}]/.exec(header)?.[1]
  const words = header.replace(/[^\p{L}\d·/.#°-]+/gu, ' ').split(/[ _]+/)
  for (const candidate of [bracketed, header, ...words]) {
    const unit = candidate && unitNamed(quantity, candidate)
    if (unit) return unit.symbol
  }
  return null
}

/**
 * Guesses which columns of a dyno file hold engine speed, torque and power, and in which units.
 *
 * The person sees the guess and can change it; a unit that the header doesn't name is asked for, never
 * assumed, except rpm.
 *
 * @param header the column titles
 * @param rows some of the rows below, to see how decimals are written
 * @example guessColumns(['Torque (lb-ft)', 'RPM'], [['201.5', '3000']]).torque // { column: 0, unit: 'lb·ft' }
 */
export function guessColumns(header: readonly string[], rows: readonly (readonly string[])[]): PullMapping {
  const taken = new Set<number>()
  const find = (role: PullRole): ColumnChoice | null => {
    const column = header.findIndex((title, i) => !taken.has(i) && NAMES[role].test(title))
    if (column < 0) return null
    taken.add(column)
    return { column, unit: unitIn(header[column]!, role) ?? (role === 'speed' ? 'rpm' : null) }
  }
  const speed = find('speed')
  // "Power (hp)" must not be taken for torque because of a stray word, so the clearer name goes first.
  const torque = find('torque')
  const power = find('power')
  const cells = rows.slice(0, 50).flat()
  const commas = cells.filter((c) => /^\s*-?\d+,\d+\s*$/.test(c)).length
  const points = cells.filter((c) => /^\s*-?\d+\.\d+\s*$/.test(c)).length
  return { speed, torque, power, decimal: commas > points ? ',' : '.' }
}
