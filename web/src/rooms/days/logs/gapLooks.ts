import type { MapStretch } from '../../../ui/CourseMap'

/** How a stretch of the map looks, by whether this lap loses to the other there. */
const LOST = { says: 'this lap loses', colour: '--oxide', width: 7, dash: '7 2' } as const
const WON = { says: 'this lap wins', colour: '--zinc', width: 4 } as const
const EVEN = { says: 'both alike', colour: '--blued', width: 2.5 } as const
/** Over so many places a gain or loss is looked at. */
const OVER = 8

/** Stretches over which a lap loses to another, wins, or neither. */
export function gapStretches(gap: readonly number[], step: number): MapStretch[] {
  const looks = gap.map((g, i) => {
    const change = g - (gap[Math.max(0, i - OVER)] ?? g)
    return change > 0.015 ? LOST : change < -0.015 ? WON : EVEN
  })
  const stretches: { from: number; to: number; look: MapStretch['look'] }[] = []
  looks.forEach((look, i) => {
    const last = stretches.at(-1)
    if (last?.look === look) last.to = (i + 1) * step
    else stretches.push({ from: i * step, to: (i + 1) * step, look })
  })
  return stretches
}

export const GAP_LOOKS = [LOST, WON, EVEN]
