import { logGamma } from './logGamma'

/**
 * The chance that chi-square stays below a value.
 *
 * @param value of chi-square, 0 and up
 * @param freedom degrees of freedom, above zero
 * @source the regularised incomplete gamma function P(ν/2, x/2): its series, and Lentz's continued fraction beyond
 * (Abramowitz & Stegun 6.5.29 and 6.5.31)
 * @example chiSquareShare(3.841, 1) // 0.95
 */
export function chiSquareShare(value: number, freedom: number): number {
  if (!(freedom > 0)) throw new RangeError('chi-square has degrees of freedom above zero')
  if (!(value > 0)) return 0
  const [a, x] = [freedom / 2, value / 2]
  const front = Math.exp(-x + a * Math.log(x) - logGamma(a))
  if (x < a + 1) {
    let term = 1 / a
    let sum = term
    for (let n = a + 1; term > sum * 1e-16; n += 1) {
      term *= x / n
      sum += term
    }
    return Math.min(1, sum * front)
  }
  let b = x + 1 - a
  let c = 1 / 1e-300
  let d = 1 / b
  let fraction = d
  for (let n = 1; n < 500; n += 1) {
    const step = -n * (n - a)
    b += 2
    d = 1 / (step * d + b)
    c = b + step / c
    fraction *= d * c
    if (Math.abs(d * c - 1) < 1e-15) break
  }
  return 1 - front * fraction
}
