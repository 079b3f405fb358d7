import { POUND } from '../units/constants'

/** Densities of no part: heavier than this for its system and one should ask. Common practice, kg. */
const LIKELY_MOST: Record<string, number> = {
  body: 120,
  interior: 60,
  engine: 260,
  exhaust: 60,
  cooling: 40,
  fuel: 60,
  wiring: 40,
  driveline: 150,
  suspension: 80,
  brakes: 40,
  wheels: 60,
  aero: 60,
  safety: 90,
  electrics: 40,
  other: 200,
}

/**
 * Whether a mass looks mistyped for one piece of a system, and which unit would explain it.
 *
 * A 900 kg bonnet is asked about: 900 g, or 900 lb? The question never blocks; it is the person's car.
 *
 * @param mass kg of one piece
 * @param system the part's system
 * @returns `null` when nothing looks odd
 * @source common practice
 * @example doubtMass(900, 'body') // { most: 120, couldBe: ['g'] }
 */
export function doubtMass(mass: number, system: string): { most: number; couldBe: ('g' | 'lb')[] } | null {
  const most = LIKELY_MOST[system] ?? LIKELY_MOST['other']!
  if (mass <= most) return null
  const couldBe: ('g' | 'lb')[] = []
  if (mass / 1000 <= most) couldBe.push('g')
  if (mass * POUND <= most * 2) couldBe.push('lb')
  return { most, couldBe }
}
