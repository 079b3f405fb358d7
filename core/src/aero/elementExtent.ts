import type { AeroElement } from './elementAreas'

/** How far an element reaches. m; as its place: behind the front axle, above the ground. */
export interface ElementExtent {
  readonly front: number
  readonly rear: number
  readonly bottom: number
  readonly top: number
}

/**
 * What a tape measures of an element, where its place is only the middle of its chord.
 *
 * A wing turns about that middle: its trailing edge rises by half the chord times the sine of its angle, the lip stands
 * on it square to the chord, and the end plates turn with it. Everything else lies flat.
 *
 * @returns the box that holds all of it
 * @source geometry: corners turned by the wing's angle
 * @example elementExtent({ ...wing, z: 1.2, chord: 0.3, wing: { ...shape, angle: (20 * Math.PI) / 180, endPlate: 0, gurney: 0 } }).top // 1.2513
 */
export function elementExtent({
  x,
  z,
  chord,
  wing,
}: Pick<AeroElement, 'x' | 'z' | 'chord' | 'wing'>): ElementExtent {
  const half = chord / 2
  const corners: (readonly [along: number, up: number])[] = [
    [-half, 0],
    [half, 0],
  ]
  if (wing && wing.gurney > 0) corners.push([half, wing.gurney])
  if (wing && wing.endPlate > 0) {
    const high = wing.endPlate / 2
    corners.push([-half, high], [half, high], [-half, -high], [half, -high])
  }
  const angle = wing?.angle ?? 0
  const [cos, sin] = [Math.cos(angle), Math.sin(angle)]
  // Nose down: the trailing edge comes up, and what stands up leans forward.
  const alongs = corners.map(([a, u]) => x + a * cos - u * sin)
  const ups = corners.map(([a, u]) => z + a * sin + u * cos)
  return {
    front: Math.min(...alongs),
    rear: Math.max(...alongs),
    bottom: Math.min(...ups),
    top: Math.max(...ups),
  }
}
