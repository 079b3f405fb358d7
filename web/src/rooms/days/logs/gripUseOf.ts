import { gripUsed, type GripLimits, type LoggedTrace } from '@bold-ballast/core'
import type { DayLine } from '@bold-ballast/model'

/** What a lap used of the tyres' grip at each of its places, 0 to 1 and over. */
export interface GripUse {
  readonly step: number
  /** As it was logged; sideways from speed and the line's curvature where nothing else says it. */
  readonly sideways: readonly number[]
  readonly forward: readonly number[]
  readonly used: readonly number[]
  /** Mean over the places where the car corners or brakes; null where it never does. */
  readonly mean: number | null
}

/** From there on the car corners or brakes: on a straight nobody could use more. */
const WORKS = 0.4
/** Speed is looked at over so many places on either side: from one to the next a receiver's jumps. */
const AROUND = 2

/** @returns null for a lap without speed */
export function gripUseOf(trace: LoggedTrace, limits: GripLimits, line: DayLine): GripUse | null {
  const speed = trace.channels.get('speed')
  if (!speed) return null
  const { step } = trace
  const bends = curvaturesOf(line, step, speed.length)
  const sideways = trace.channels.get('sideways') ?? speed.map((v, i) => v * v * (bends[i] ?? 0))
  const forward =
    trace.channels.get('forward') ??
    speed.map((_, i) => {
      const [from, to] = [Math.max(0, i - AROUND), Math.min(speed.length - 1, i + AROUND)]
      return ((speed[to] ?? 0) ** 2 - (speed[from] ?? 0) ** 2) / (2 * step * Math.max(1, to - from))
    })
  const used = speed.map((v, i) => gripUsed(limits, v, sideways[i] ?? 0, forward[i] ?? 0))
  const works = used.filter((share) => share >= WORKS)
  return {
    step,
    sideways,
    forward,
    used,
    mean: works.length === 0 ? null : works.reduce((sum, share) => sum + share, 0) / works.length,
  }
}

function curvaturesOf({ points }: DayLine, step: number, count: number): number[] {
  let i = 0
  return Array.from({ length: count }, (_, k) => {
    while (i + 1 < points.length && (points[i + 1]?.distance ?? Infinity) <= k * step) i += 1
    return points[i]?.curvature ?? 0
  })
}

/** Mean of what was used from one place of the lap to another. */
export function usedWithin({ used, step }: GripUse, from: number, to: number): number | null {
  const part = used.slice(Math.round(from / step), Math.round(to / step) + 1)
  return part.length === 0 ? null : part.reduce((sum, share) => sum + share, 0) / part.length
}
