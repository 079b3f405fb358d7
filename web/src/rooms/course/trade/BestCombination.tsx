import { formatNumber } from '@bold-ballast/core'
import type { Both } from './bestOfBoth'

/** Which of all combinations is the quickest, and by how much. */
export function BestCombination({
  laps,
  both,
}: {
  laps: readonly (number | null)[] | undefined
  both: Both | null
}) {
  if (!laps || !both) return null
  const [now, ...tried] = laps
  if (now == null) return null
  const best = tried.reduce<number>(
    (at, lap, i) => (lap !== null && lap < (tried[at] ?? Infinity) ? i : at),
    0,
  )
  const found = both.combinations[best]
  const lap = tried[best]
  if (!found || lap == null) return null
  return (
    <p className="max-w-[820px] text-[16px]" data-testid="best-of-both">
      Of {tried.length} combinations {both.wing} at{' '}
      <b className="figure">{formatNumber((found.angle * 180) / Math.PI, 1)}°</b> with a final drive of{' '}
      <b className="figure">{formatNumber(found.final, 2)}</b> is the quickest:{' '}
      {now - lap < 0.01
        ? 'no more than a hundredth quicker than it is'
        : `${formatNumber(now - lap, 2)} s quicker than it is`}
      .
    </p>
  )
}
