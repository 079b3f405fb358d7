/**
 * Finds the pulls in a log: stretches in which the engine speed rises from low to high.
 *
 * A stretch ends where the speed falls back by a fifth of what the log spans. Short ones are warming up,
 * changing gear or rolling to a stop, and are left out. Rows in no order at all hold no stretch, so they are
 * one pull.
 *
 * @param speeds engine speed of each row, in the order of the file
 * @returns from and to (exclusive) of each pull; the whole file when it holds one pull or none can be told
 * @source common practice
 * @example splitPulls([2000, 4000, 6000, 2100, 4100, 6100]) // [[0, 3], [3, 6]]
 */
export function splitPulls(speeds: ArrayLike<number>): (readonly [number, number])[] {
  const n = speeds.length
  let low = Infinity
  let high = -Infinity
  for (let i = 0; i < n; i += 1) {
    low = Math.min(low, speeds[i]!)
    high = Math.max(high, speeds[i]!)
  }
  const whole = [[0, n] as const]
  const back = (high - low) * 0.2
  if (!(back > 0)) return whole
  let falls = 0
  for (let i = 1; i < n; i += 1) if (speeds[i - 1]! - speeds[i]! > back) falls += 1
  // Between two pulls the speed falls once; where it falls at about every third row, the rows are in no order.
  if (falls > n / 4) return whole

  const found: { from: number; to: number; rise: number }[] = []
  let from = 0
  let top = 0
  const close = () => {
    if (top - from >= 2) found.push({ from, to: top + 1, rise: speeds[top]! - speeds[from]! })
  }
  for (let i = 1; i < n; i += 1) {
    if (speeds[i]! > speeds[top]!) top = i
    else if (speeds[top]! - speeds[i]! > back) {
      close()
      from = top = i
    }
    // Rolling down before the pull: it begins at the lowest speed.
    if (top === from && speeds[i]! <= speeds[from]!) from = top = i
  }
  close()
  const pulls = found.filter((p) => p.rise >= 0.5 * (high - low))
  return pulls.length < 2 ? whole : pulls.map((p) => [p.from, p.to] as const)
}
