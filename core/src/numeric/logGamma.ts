/**
 * ln Γ(x) for x > 0, good to about 1e-13.
 *
 * @source Lanczos, SIAM J. Numer. Anal. B 1 (1964) 86, with the coefficients of Numerical Recipes, 6.1; checked against factorials
 * @example logGamma(5) // 3.178, which is ln 24
 */
export function logGamma(x: number): number {
  const g = [
    0.99999999999980993, 676.5203681218851, -1259.1392167224028, 771.32342877765313, -176.61502916214059,
    12.507343278686905, -0.13857109526572012, 9.9843695780195716e-6, 1.5056327351493116e-7,
  ]
  if (x < 0.5) return Math.log(Math.PI / Math.sin(Math.PI * x)) - logGamma(1 - x)
  const z = x - 1
  let sum = g[0]!
  for (let i = 1; i < 9; i += 1) sum += g[i]! / (z + i)
  const t = z + 7.5
  return 0.5 * Math.log(2 * Math.PI) + (z + 0.5) * Math.log(t) - t + Math.log(sum)
}
