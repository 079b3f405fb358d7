/** Of a rope of 7 × 7 stainless wires: factor of its breaking force, and strength of its wire, Pa. */
const ROPE = 0.359
const WIRE = 1570e6
/** What a pressed or swaged end leaves of that. */
const END = 0.9

/**
 * The pull at which a wire rope with pressed ends breaks. It bears no push at all.
 *
 * @param diameter m
 * @returns N
 * @throws {RangeError} for a diameter that is not above zero
 * @source EN 12385-4: F = K·d²·R with K = 0.359 for 7 × 7, R = 1570 MPa; 0.9 for the ends (common
 * practice)
 * @example cableStrength(0.004) // 8116
 */
export function cableStrength(diameter: number): number {
  if (!(diameter > 0)) throw new RangeError('a cable has a diameter above zero')
  return ROPE * END * WIRE * diameter ** 2
}
