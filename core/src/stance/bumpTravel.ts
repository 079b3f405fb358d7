/** What stops a suspension that goes up: the spring all the way, and a rubber on the damper's rod once it is reached. SI. */
export interface BumpStop {
  /** Of the wheel without its tyre, N/m. */
  readonly wheelRate: number
  /** Damper travel over wheel travel. */
  readonly motionRatio: number
  /** Between the damper's body and the rubber where the car stands, m. */
  readonly gap: number
  /** What is packed into that gap, m. */
  readonly packer: number
  /** The rubber's force over how far it is pressed, from nothing on, both rising; m and N. */
  readonly rubber: readonly { readonly travel: number; readonly force: number }[]
}

/**
 * How far a wheel goes up under a load, and from where the rubber carries.
 *
 * Between its points the rubber is as a line, and beyond the last as stiff as before it.
 *
 * @param load beyond what the wheel carries standing, N
 * @returns `travel` of the wheel; `contactAt` travel and `contactLoad` from which the rubber carries, m and N
 * @throws {RangeError} for a rate or a ratio that is not above zero, or a rubber whose points don't rise
 * @source equilibrium of forces at the wheel
 * @example bumpTravel({ ...stop, rubber: [{ travel: 0.02, force: 3000 }] }, 1500).travel // 0.02146
 */
export function bumpTravel(
  { wheelRate, motionRatio, gap, packer, rubber }: BumpStop,
  load: number,
): { readonly travel: number; readonly contactAt: number; readonly contactLoad: number } {
  if (!(wheelRate > 0 && motionRatio > 0)) throw new RangeError('a rate and a ratio are above zero')
  const contactAt = Math.max(0, gap - packer) / motionRatio
  const contactLoad = wheelRate * contactAt
  let at = { travel: contactAt, load: contactLoad, pressed: 0, force: 0 }
  let rate = wheelRate
  if (load > contactLoad)
    for (const { travel, force } of rubber) {
      if (!(travel > at.pressed && force > at.force)) throw new RangeError('a rubber’s points rise')
      rate = wheelRate + ((force - at.force) / (travel - at.pressed)) * motionRatio ** 2
      const next = at.travel + (travel - at.pressed) / motionRatio
      const nextLoad = at.load + rate * (next - at.travel)
      if (load <= nextLoad) break
      at = { travel: next, load: nextLoad, pressed: travel, force }
    }
  const travel = load > contactLoad ? at.travel + (load - at.load) / rate : load / wheelRate
  return { travel, contactAt, contactLoad }
}
