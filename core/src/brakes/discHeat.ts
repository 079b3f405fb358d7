/** Discs that share what one stop makes. SI. */
export interface StoppedCar {
  /** kg */
  readonly mass: number
  /** Of what is braked away, what these discs take, 0 to 1. */
  readonly share: number
  /** Of all of these discs, kg. */
  readonly discMass: number
  /** Of their material, J/(kg·K). */
  readonly heatCapacity: number
}

/**
 * How much hotter a stop makes the discs, where nothing cools meanwhile.
 *
 * @param from m/s
 * @param to m/s
 * @returns K
 * @throws {RangeError} for discs without mass or heat, or a car that gets faster
 * @source Limpert, Brake Design and Safety, chapter on thermal analysis (from memory): ½m(v₁² − v₂²)·share/(m_disc·c)
 * @example heatOfStop({ mass: 1200, share: 0.65, discMass: 18, heatCapacity: 460 }, 50, 0) // 117.8
 */
export function heatOfStop(
  { mass, share, discMass, heatCapacity }: StoppedCar,
  from: number,
  to: number,
): number {
  if (!(discMass > 0 && heatCapacity > 0)) throw new RangeError('a disc takes heat')
  if (!(from >= to && to >= 0)) throw new RangeError('a stop ends slower than it began')
  return (0.5 * mass * (from ** 2 - to ** 2) * share) / (discMass * heatCapacity)
}

/**
 * How hot discs are over the air after each of a row of the same stops.
 *
 * @param rise of one stop, K
 * @param every so many seconds
 * @param cooling time in which what is left falls to a third and a bit (1/e), s
 * @param stops how many
 * @returns after each of them, K; the last of all would be rise/(1 − e^(−every/cooling))
 * @throws {RangeError} for times that are not above zero
 * @source Newton's law of cooling
 * @example discTemperatures(117.8, 60, 120, 3)[1] // 189.2
 */
export function discTemperatures(rise: number, every: number, cooling: number, stops: number): number[] {
  if (!(every > 0 && cooling > 0)) throw new RangeError('cooling takes time')
  const stays = Math.exp(-every / cooling)
  let at = 0
  return Array.from({ length: stops }, () => (at = at * stays + rise))
}
