/** A tyre that grips less for its load the more it carries. */
export interface SensitiveTyre {
  /** Coefficient of friction at the load it is stated for. */
  readonly grip: number
  /** That load on one tyre, N. */
  readonly load: number
  /** What of it is lost where the load doubles: 0 for a tyre that doesn't mind. */
  readonly sensitivity: number
}

/** No tyre loses more than half of its grip where its load doubles. */
const MOST_SENSITIVE = 0.5
/** However much stands on it, a tyre keeps that part of its grip: the straight line below is no law far from its load. */
const LEAST_KEPT = 0.3

/**
 * The force that both tyres of an axle hold together, one carrying more than the other.
 *
 * Each tyre's friction falls in a straight line with its load, μ = μ₀·(1 − s·(F/F₀ − 1)), so the axle holds less the
 * more goes from its inside wheel to its outside one. The inside wheel carries nothing less than nothing: what is asked
 * beyond that is carried by the outside wheel already.
 *
 * @param tyre one of the two
 * @param load of both, N
 * @param transfer what the outside wheel carries more than half of that, N
 * @returns N; 0 for an axle that is off the ground
 * @throws {RangeError} for a tyre without grip or load, or with a sensitivity that isn't between 0 and 0.5
 * @source Milliken & Milliken, Race Car Vehicle Dynamics, chapter 2, Tire Behavior: friction falls with load, in a
 *   straight line over the loads of one car (common practice)
 * @example axleCapacity({ grip: 1.35, load: 2819.4, sensitivity: 0.1 }, 5638.8, 1000) // 7516.6
 */
export function axleCapacity(tyre: SensitiveTyre, load: number, transfer: number): number {
  return capacityOf(tyre)(load, transfer)
}

/** The same for tyres that are asked often. */
export function capacityOf({ grip, load: stated, sensitivity }: SensitiveTyre) {
  if (!(grip > 0) || !(stated > 0)) throw new RangeError('a tyre has grip at a load')
  if (!(sensitivity >= 0 && sensitivity <= MOST_SENSITIVE))
    throw new RangeError('a tyre loses between 0 and 50 % of its grip where its load doubles')
  const straight = grip * (1 + sensitivity)
  const falls = (grip * sensitivity) / stated
  const kept = grip * LEAST_KEPT
  return (load: number, transfer: number): number => {
    if (!(load > 0)) return 0
    const moved = Math.min(Math.abs(transfer), load / 2)
    // Both tyres’ μ·F, written out: F²/2 + 2·ΔF² is the sum of the squares of their loads.
    return Math.max(kept * load, straight * load - falls * (load * load * 0.5 + 2 * moved * moved))
  }
}
