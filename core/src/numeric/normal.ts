const A = [
  -39.69683028665376, 220.9460984245205, -275.9285104469687, 138.357751867269, -30.66479806614716,
  2.506628277459239,
]
const B = [-54.47609879822406, 161.5858368580409, -155.6989798598866, 66.80131188771972, -13.28068155288572]
const C = [
  -0.007784894002430293, -0.3223964580411365, -2.400758277161838, -2.549732539343734, 4.374664141464968,
  2.938163982698783,
]
const D = [0.007784695709041462, 0.3224671290700398, 2.445134137142996, 3.754408661907416]
const TAIL = 0.02425
const along = (coefficients: readonly number[], x: number) => coefficients.reduce((sum, c) => sum * x + c, 0)

/**
 * The standard normal's quantile.
 *
 * @param p from 0 to 1, both excluded
 * @source Acklam, An Algorithm for Computing the Inverse Normal Cumulative Distribution Function (2003), relative error 1.15e-9
 * @example normalQuantile(0.95) // 1.6449
 */
export function normalQuantile(p: number): number {
  if (p < TAIL) {
    const q = Math.sqrt(-2 * Math.log(p))
    return along(C, q) / (along(D, q) * q + 1)
  }
  if (p > 1 - TAIL) return -normalQuantile(1 - p)
  const q = p - 0.5
  const r = q * q
  return (along(A, r) * q) / (along(B, r) * r + 1)
}

/**
 * The standard normal's distribution function.
 *
 * @source Abramowitz & Stegun, Handbook of Mathematical Functions, 26.2.17 (error below 7.5e-8)
 * @example normalShare(1.645) // 0.95
 */
export function normalShare(z: number): number {
  if (z < 0) return 1 - normalShare(-z)
  const t = 1 / (1 + 0.2316419 * z)
  const tail = along([1.330274429, -1.821255978, 1.781477937, -0.356563782, 0.31938153], t) * t
  return 1 - (Math.exp((-z * z) / 2) / Math.sqrt(2 * Math.PI)) * tail
}

/** From here on the distribution function is too rough for what is left of it. */
const FAR = 4

/**
 * The logarithm of the standard normal's share beyond a value, however far out.
 *
 * @source Abramowitz & Stegun, 26.2.17, and 26.2.12 (asymptotic expansion) beyond 4
 * @example logTail(1.645) // -2.996
 */
export function logTail(z: number): number {
  if (z < FAR) return Math.log(normalShare(-z))
  const square = z * z
  const rest = 1 - 1 / square + 3 / square ** 2 - 15 / square ** 3
  return -square / 2 - Math.log(z * Math.sqrt(2 * Math.PI)) + Math.log(rest)
}

/** Standard uncertainties to either side that hold 95 % of a normal error. */
export const REACH_95 = 1.96
