/**
 * The place where something turns from so to otherwise, between two ends, by halving.
 *
 * @param isLow whether a place still lies on the low end's side; it does at `low`, and doesn't at `high`
 * @param steps halvings: 60 leave less of a range than a number can tell
 * @returns the last place that lies on the low side, and the first that doesn't
 * @example bisect((x) => x * x < 2, 0, 2).high // 1.41421
 */
export function bisect(
  isLow: (at: number) => boolean,
  low: number,
  high: number,
  steps = 60,
): { readonly low: number; readonly high: number } {
  let [from, to] = [low, high]
  for (let i = 0; i < steps; i += 1) {
    const middle = (from + to) / 2
    if (isLow(middle)) from = middle
    else to = middle
  }
  return { low: from, high: to }
}
