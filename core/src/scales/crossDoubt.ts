import type { CornerSprings } from './cornerSprings'
import { levelCost } from './levelCost'

/** What was seen to before a car was weighed for its cross weight. */
export interface CrossSetting {
  /** How far a pad may stand out of level, m; `null` when nobody looked. */
  readonly level: number | null
  /** The suspension was settled after each change. */
  readonly settled: boolean
}

/** A garage floor that nobody measured, m from wheel to wheel (common practice). */
const FLOOR = 0.005
/** Share of the car's weight that friction keeps off its diagonal, settled and not (common practice). */
const SETTLED = 0.001
const UNSETTLED = 0.003
/** Cross weight that a millimetre at one pad is worth where nobody typed springs, kg (common practice). */
const PER_MILLIMETRE = 1.9

/**
 * How far settling and the floor may have moved a cross weight, as a share of the car's weight, one standard
 * uncertainty. Pads read what stands on them; what stands on them depends on how level they are and on whether the
 * springs came to rest.
 *
 * @param mass of the car, kg
 * @param springs of the corners; `null` where nobody typed them
 * @source a pad out of level by δ loads its corner as a perch raised by δ ({@link levelCost}); evenly likely up to what
 * was stated, so over √3 (JCGM 100:2008, 4.3.7); friction is common practice
 * @example crossDoubt({ level: 0.0015, settled: true }, 1000, null) // 0.0019
 */
export function crossDoubt(
  { level, settled }: CrossSetting,
  mass: number,
  springs: CornerSprings | null,
): number {
  if (!(mass > 0)) throw new RangeError('a car has mass')
  const off = level ?? FLOOR
  const kilograms = springs ? levelCost(springs, off) : PER_MILLIMETRE * off * 1000
  return Math.hypot(kilograms / mass / Math.sqrt(3), settled ? SETTLED : UNSETTLED)
}
