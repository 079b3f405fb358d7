/**
 * 32 random bits at a call, from a seed: the same seed gives the same draws, so a forecast stands still while
 * nothing in it changes.
 *
 * @source Chris Doty-Humphrey’s sfc32, of PractRand’s small fast counting generators
 * @example const bits = randomBits(7); bits() >>> 22 // ten of them
 */
export function randomBits(seed: number): () => number {
  let [a, b, c, d] = [seed | 0, 0x9e3779b9 | 0, 0x243f6a88, 1]
  const next = () => {
    const t = (a + b + d) | 0
    d = (d + 1) | 0
    a = b ^ (b >>> 9)
    b = (c + (c << 3)) | 0
    c = ((c << 21) | (c >>> 11)) + t
    c |= 0
    return t
  }
  // The first numbers still look like the seed.
  for (let i = 0; i < 16; i += 1) next()
  return next
}
