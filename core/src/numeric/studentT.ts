import { bisect } from './bisect'
import { logGamma } from './logGamma'

/** The incomplete beta function I_x(a, b) by its continued fraction (Abramowitz & Stegun 26.5.8). */
function incompleteBeta(x: number, a: number, b: number): number {
  if (x <= 0) return 0
  if (x >= 1) return 1
  if (x > (a + 1) / (a + b + 2)) return 1 - incompleteBeta(1 - x, b, a)
  const front = Math.exp(logGamma(a + b) - logGamma(a) - logGamma(b) + a * Math.log(x) + b * Math.log(1 - x))
  let c = 1
  let d = 1 / (1 - ((a + b) * x) / (a + 1))
  let result = d
  for (let m = 1; m < 300; m += 1) {
    const even = (m * (b - m) * x) / ((a + 2 * m - 1) * (a + 2 * m))
    d = 1 / (1 + even * d)
    c = 1 + even / c
    result *= d * c
    const odd = (-(a + m) * (a + b + m) * x) / ((a + 2 * m) * (a + 2 * m + 1))
    d = 1 / (1 + odd * d)
    c = 1 + odd / c
    result *= d * c
    if (Math.abs(d * c - 1) < 1e-14) break
  }
  return (front * result) / a
}

/**
 * The chance that Student's t stays below a value.
 *
 * @param t the value
 * @param freedom degrees of freedom, above zero, not necessarily whole
 * @source Abramowitz & Stegun, Handbook of Mathematical Functions, 26.7.1 with 26.5.8
 * @example studentShare(2.228, 10) // 0.975
 */
export function studentShare(t: number, freedom: number): number {
  const tail = 0.5 * incompleteBeta(freedom / (freedom + t * t), freedom / 2, 0.5)
  return t > 0 ? 1 - tail : tail
}

/**
 * The value that Student's t stays below with a given chance.
 *
 * @param share between 0 and 1
 * @param freedom degrees of freedom, above zero
 * @throws {RangeError} for a share that is not between 0 and 1
 * @source inverse of {@link studentShare}, by halving
 * @example studentPoint(0.975, 10) // 2.228
 */
export function studentPoint(share: number, freedom: number): number {
  if (!(share > 0 && share < 1)) throw new RangeError('a chance lies between 0 and 1')
  if (share < 0.5) return -studentPoint(1 - share, freedom)
  let high = 2
  while (studentShare(high, freedom) < share && high < 1e12) high *= 2
  return bisect((t) => studentShare(t, freedom) < share, 0, high, 80).low
}
