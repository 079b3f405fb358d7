/** So many times it is asked at most: what is left of a range by then is far below what a figure is written with. */
const MOST = 60

/**
 * Where a function that falls from above zero to below it crosses zero: by the chord between both ends; each time one end
 * stays put its value is halved (the Illinois method). A few asks do what halving the range takes dozens for.
 *
 * @param f continuous; at least zero at `low`
 * @param within how near the crossing has to be found
 * @returns the crossing; `high` where it is at least zero there, too
 * @source Dowell and Jarratt, A modified regula falsi method for computing the root of an equation, BIT 11 (1971)
 * @example fallingRoot((x) => 2 - x * x, 0, 2, 1e-9) // 1.41421
 */
export function fallingRoot(f: (x: number) => number, low: number, high: number, within: number): number {
  let a = low
  let b = high
  let atA = f(a)
  let atB = f(b)
  if (atB >= 0) return b
  let stayed: 'a' | 'b' | null = null
  let last = Infinity
  for (let i = 0; i < MOST && b - a > within; i += 1) {
    const chord = a + ((b - a) * atA) / (atA - atB)
    const x = chord > a && chord < b ? chord : (a + b) / 2
    const at = f(x)
    if (at === 0 || Math.abs(x - last) < within / 2) return x
    last = x
    if (at > 0) {
      a = x
      atA = at
      if (stayed === 'b') atB /= 2
      stayed = 'b'
    } else {
      b = x
      atB = at
      if (stayed === 'a') atA /= 2
      stayed = 'a'
    }
  }
  return a
}
