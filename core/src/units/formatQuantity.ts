import { fromSi, spreadFromSi } from './convert'
import type { Unit } from './quantities'

/** By decimals: to make a format takes a hundred times as long as to write a number with it. */
const FORMATS = new Map<number, Intl.NumberFormat>()

function formatOf(decimals: number): Intl.NumberFormat {
  const known = FORMATS.get(decimals)
  if (known) return known
  const format = new Intl.NumberFormat('en-GB', {
    minimumFractionDigits: decimals,
    maximumFractionDigits: decimals,
  })
  FORMATS.set(decimals, format)
  return format
}

/** Digits grouped in threes with a comma and a point for decimals; never an exponent, never "-0". */
export function formatNumber(value: number, decimals: number): string {
  const text = formatOf(decimals).format(value)
  return (/^-0(\.0*)?$/.test(text) ? text.slice(1) : text).replace('-', '−')
}

/**
 * The figure alone, without its unit, for places where the unit is set apart.
 *
 * @example formatFigure(868.4, kg) // '868.4'
 */
export const formatFigure = (si: number, unit: Unit, decimals = unit.decimals): string =>
  formatNumber(fromSi(si, unit), decimals)

/**
 * An SI figure with its unit, as it is read out.
 *
 * @example formatQuantity(19.05, lb) // '42.0 lb'
 */
export const formatQuantity = (si: number, unit: Unit, decimals = unit.decimals): string =>
  `${formatFigure(si, unit, decimals)} ${unit.symbol}`

/**
 * Decimals that suit an uncertainty: two significant digits of it when it starts with 1 or 2, else one,
 * and never more than three decimals.
 *
 * @source JCGM 100:2008 (GUM), 7.2.6: uncertainties carry at most two significant digits
 * @example decimalsFor(0.31) // 1
 * @example decimalsFor(14) // 0
 */
export function decimalsFor(spread: number): number {
  if (!(spread > 0)) return 3
  const exponent = Math.floor(Math.log10(spread))
  const leading = spread / 10 ** exponent
  return Math.min(3, Math.max(0, -exponent + (leading < 3 ? 1 : 0)))
}

/**
 * A value with its standard uncertainty, both rounded to where the uncertainty begins.
 *
 * @returns the parts, so that the unit and the uncertainty can be set smaller
 * @example formatKnown(868.43, 3.12, kg) // { figure: '868', spread: '3', unit: 'kg' }
 */
export function formatKnown(
  si: number,
  sigma: number,
  unit: Unit,
): { figure: string; spread: string; unit: string } {
  const spread = Math.abs(spreadFromSi(sigma, unit, si))
  const decimals = spread > 0 ? Math.min(decimalsFor(spread), unit.decimals + 1) : unit.decimals
  return {
    figure: formatFigure(si, unit, decimals),
    spread: formatNumber(spread, decimals),
    unit: unit.symbol,
  }
}

/**
 * The same in one go, with its unit, as a working or a sheet has it.
 *
 * @example sayKnown({ value: 1236.4, sigma: 5.1 }, unitOf('mass', 'kg')) // '1,236 ±5 kg'
 */
export function sayKnown(
  { value, sigma }: { readonly value: number; readonly sigma: number },
  unit: Unit,
): string {
  const { figure, spread, unit: symbol } = formatKnown(value, sigma, unit)
  return `${figure} ±${spread} ${symbol}`.trim()
}
