import type { Unit } from './quantities'

/**
 * A figure in some unit, brought to SI.
 *
 * @throws {RangeError} for zero in a reciprocal unit (0 lb/hp would be infinite power to weight)
 * @example toSi(42, unitNamed('mass', 'lb')!) // 19.05
 */
export function toSi(shown: number, unit: Unit): number {
  if (!unit.reciprocal) return shown * unit.factor + (unit.offset ?? 0)
  if (shown === 0) throw new RangeError(`0 ${unit.symbol} has no meaning`)
  return unit.factor / shown
}

/**
 * An SI figure, in some unit. The inverse of {@link toSi}.
 *
 * @example fromSi(19.05, unitNamed('mass', 'lb')!) // 42.0
 */
export function fromSi(si: number, unit: Unit): number {
  return unit.reciprocal ? unit.factor / si : (si - (unit.offset ?? 0)) / unit.factor
}

/**
 * A difference or a standard uncertainty, in some unit: offsets don't apply, and in a reciprocal unit
 * the size depends on where it stands.
 *
 * @param spread the difference in SI
 * @param at the SI value it belongs to; only needed for reciprocal units
 * @example spreadFromSi(10, unitNamed('temperature', '°F')!, 300) // 18
 */
export function spreadFromSi(spread: number, unit: Unit, at: number): number {
  return unit.reciprocal ? (unit.factor / (at * at)) * spread : spread / unit.factor
}
