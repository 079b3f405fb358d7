/** A wheel with its tyre, as it stands on the hub. m. */
export interface FittedWheel {
  /** Between the bead seats, as it is stamped. */
  readonly rimWidth: number
  readonly rimDiameter: number
  /** Of the mounting face outboard of the wheel's middle; below zero for a deep dish. */
  readonly offset: number
  readonly spacer: number
  /** Widest part of the tyre on this rim, and outside, unloaded. */
  readonly tyreWidth: number
  readonly tyreDiameter: number
}

/** What a wheel may touch. */
export interface Obstacle {
  readonly name: string
  /** Inboard of the wheel, outboard of it, or above its tread. */
  readonly side: 'inside' | 'outside' | 'above'
  /** Gap with the wheel that is fitted, and the least that is wanted, m. */
  readonly gap: number
  readonly wanted: number
}

export interface Clearance {
  readonly obstacle: Obstacle
  readonly gap: number
  readonly passes: boolean
}

/** The rim is wider outside than between its bead seats: by about an inch (common practice). */
const FLANGES = 0.0254

/**
 * How far a wheel reaches in and out from the face of the hub, m.
 *
 * @source half the width, of rim with flanges or tyre, whichever is wider, shifted by offset and spacer (geometry)
 * @example wheelReach(wheel).inward
 */
export function wheelReach({ rimWidth, offset, spacer, tyreWidth }: FittedWheel): {
  readonly inward: number
  readonly outward: number
} {
  const half = Math.max(tyreWidth, rimWidth + FLANGES) / 2
  return { inward: half + offset - spacer, outward: half - offset + spacer }
}

/**
 * The gaps that another wheel would leave, from the gaps measured with the one that is fitted.
 *
 * @returns each obstacle's gap, and what the track of the axle changes by, m
 * @throws {RangeError} for widths or diameters that are not above zero
 * @source geometry: the change of reach comes off the gap; half the change of diameter above the tread
 * @example fitWheel(fitted, { ...fitted, offset: fitted.offset - 0.015 }, obstacles).trackChange // 0.03
 */
export function fitWheel(
  fitted: FittedWheel,
  candidate: FittedWheel,
  obstacles: readonly Obstacle[],
): { readonly clearances: readonly Clearance[]; readonly trackChange: number } {
  for (const wheel of [fitted, candidate])
    if (![wheel.rimWidth, wheel.rimDiameter, wheel.tyreWidth, wheel.tyreDiameter].every((n) => n > 0))
      throw new RangeError('a wheel has widths and diameters above zero')
  const [was, is] = [wheelReach(fitted), wheelReach(candidate)]
  const taken = {
    inside: is.inward - was.inward,
    outside: is.outward - was.outward,
    above: (candidate.tyreDiameter - fitted.tyreDiameter) / 2,
  }
  return {
    clearances: obstacles.map((obstacle) => {
      const gap = obstacle.gap - taken[obstacle.side]
      return { obstacle, gap, passes: gap >= obstacle.wanted - 1e-9 }
    }),
    trackChange: 2 * (fitted.offset - fitted.spacer - (candidate.offset - candidate.spacer)),
  }
}

/** What a wheel bolts to. */
export interface Hub {
  readonly bolts: number
  /** Diameter of the circle that the bolts stand on, and of the spigot, m. */
  readonly boltCircle: number
  readonly spigot: number
  /** Smallest rim that clears the brake, m. */
  readonly leastRim: number
}
export interface Axle {
  readonly hub: Hub
  readonly wheel: FittedWheel
  readonly obstacles: readonly Obstacle[]
}

export const SWAP_FAULTS = ['bolts', 'spigot', 'brake', 'gap', 'diameter'] as const
export type SwapFault = (typeof SWAP_FAULTS)[number]

/**
 * Why one axle's wheel doesn't go on the other; empty when it does.
 *
 * @param from the axle that the wheel is on
 * @param to the axle that it should go on
 * @source bolt circle within 0.1 mm; a larger spigot doesn't enter; the brake's smallest rim; gaps as {@link fitWheel}
 * @example wheelGoesOn(front, rear) // ['gap']
 */
export function wheelGoesOn(from: Axle, to: Axle): SwapFault[] {
  const faults: SwapFault[] = []
  if (from.hub.bolts !== to.hub.bolts || Math.abs(from.hub.boltCircle - to.hub.boltCircle) > 1e-4)
    faults.push('bolts')
  // Its bore fits its own hub; a smaller spigot can have a ring, a larger one doesn't go in.
  if (to.hub.spigot > from.hub.spigot + 1e-4) faults.push('spigot')
  if (from.wheel.rimDiameter < to.hub.leastRim - 1e-4) faults.push('brake')
  if (fitWheel(to.wheel, from.wheel, to.obstacles).clearances.some((c) => !c.passes)) faults.push('gap')
  // Left and right of a driven axle, and all wheels of a four-wheel drive, turn alike.
  if (Math.abs(from.wheel.tyreDiameter - to.wheel.tyreDiameter) > 0.01 * to.wheel.tyreDiameter)
    faults.push('diameter')
  return faults
}
