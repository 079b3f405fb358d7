/**
 * 32 random bits at a call, from a seed: the same seed gives the same draws, so a forecast stands still while
 * nothing in it changes.
 *
 * @source Chris Doty-Humphrey’s sfc32, of PractRand’s small fast counting generators
 * @example const bits = randomBits(7); bits() >>> 22 // ten of them
 */
export function randomBits(seed: number): () => number {
  // Kept where a browser needn't wrap each of them anew: few of 32 bits are small enough for it.
  const state = Int32Array.of(seed, 0x9e3779b9, 0x243f6a88, 1)
  const next = () => {
    const b = state[1]!
    const c = state[2]!
    const d = state[3]!
    const t = (state[0]! + b + d) | 0
    state[0] = b ^ (b >>> 9)
    state[1] = c + (c << 3)
    state[2] = ((c << 21) | (c >>> 11)) + t
    state[3] = d + 1
    return t
  }
  // The first numbers still look like the seed.
  for (let i = 0; i < 16; i += 1) next()
  return next
}
