import type { Position } from '../mass/ledger'
import { formatFigure } from './formatQuantity'
import { parseQuantity } from './parseQuantity'
import type { Unit } from './quantities'

export type ParsedPlace = { ok: true; place: Position | null } | { ok: false; problem: string }

/**
 * Reads a place as three lengths: behind the front axle, left of the centreline, above the ground.
 *
 * Separated by spaces, semicolons or slashes; each may have its own unit. Empty text means "nobody has said".
 *
 * @param text what was typed, such as `1200 -300 450` or `1.2m; 0; 18in`
 * @param unit the unit a bare number is taken in
 * @example parsePlace('1200 -300 450', mm) // { ok: true, place: { x: 1.2, y: -0.3, z: 0.45 } }
 */
export function parsePlace(text: string, unit: Unit): ParsedPlace {
  const trimmed = text.trim()
  if (trimmed === '') return { ok: true, place: null }
  const tight = trimmed.replace(/(\d)\s+(mm|cm|m|in|ft)\b/gi, '$1$2')
  const parts = tight.split(/[\s;/]+/).filter((part) => part !== '' && part !== ',')
  if (parts.length !== 3) {
    return {
      ok: false,
      problem: `Type three lengths: behind the front axle, left of centre, above ground, such as 1200 -300 450 (${unit.symbol}).`,
    }
  }
  const lengths = parts.map((part) => parseQuantity(part.replace(/,$/, ''), 'length', unit))
  const bad = lengths.find((l) => !l.ok)
  if (bad && !bad.ok) return { ok: false, problem: bad.problem }
  const [x, y, z] = lengths.map((l) => (l.ok ? l.si : 0)) as [number, number, number]
  if ([x, y, z].some((v) => Math.abs(v) > 20))
    return { ok: false, problem: 'That is over 20 m away: check the unit.' }
  return { ok: true, place: { x, y, z } }
}

/** A place as {@link parsePlace} reads it. */
export const formatPlace = (place: Position | null, unit: Unit): string =>
  place
    ? [place.x, place.y, place.z]
        .map((v) => formatFigure(v, unit).replace(/,/g, '').replace('−', '-'))
        .join(' ')
    : ''
