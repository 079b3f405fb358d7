import type { Known } from '../evidence/known'
import type { DynoKind } from './stageWheelPower'
import { REACH_95 } from '../numeric/normal'

/** Share of crank power that is lost on the way, from the least to the most that is heard. */
export type LossRange = readonly [least: number, most: number]

/**
 * The share of an engine's power that gets lost before the dyno sees it, when nobody measured it.
 *
 * @param layout driven wheels
 * @param kind hubs lose no tyre; rollers do
 * @source common practice; the spread is wide because nobody agrees
 * @example usualLoss('rear', 'hub') // [0.08, 0.14]
 */
export function usualLoss(layout: 'front' | 'rear' | 'all', kind: DynoKind): LossRange {
  if (kind === 'engine') return [0, 0]
  const hub = kind === 'hub'
  if (layout === 'all') return hub ? [0.13, 0.2] : [0.17, 0.26]
  if (layout === 'rear') return hub ? [0.08, 0.14] : [0.12, 0.19]
  return hub ? [0.07, 0.12] : [0.1, 0.17]
}

/**
 * Wheel power as a range of crank power. A guess, whatever the wheel power is known by: nobody measured the
 * loss.
 *
 * @param wheel W
 * @param loss share of crank power lost, least and most
 * @returns the range with the wheel power's 95 % interval at each end, never below that power itself, which an engine has at
 * least; the middle with a uniform distribution's uncertainty
 * @throws {RangeError} for a loss outside 0 to 0.6, or the wrong way round
 * @example crankRange({ value: 200e3, sigma: 1e3, grade: 'proven' }, [0.12, 0.18]).low // 225 045
 */
export function crankRange(
  wheel: Known,
  [least, most]: LossRange,
): { low: number; high: number; middle: Known } {
  if (!(least >= 0 && most >= least && most < 0.6))
    throw new RangeError('a loss runs from least to most, 0 to 60 %')
  const lowest = (wheel.value - REACH_95 * wheel.sigma) / (1 - least)
  // Without any loss the wheels are the crank, and only its doubt is left.
  const low = most > 0 ? Math.max(wheel.value, lowest) : lowest
  const high = (wheel.value + REACH_95 * wheel.sigma) / (1 - most)
  return {
    low,
    high,
    middle: { value: (low + high) / 2, sigma: (high - low) / Math.sqrt(12), grade: 'guess' },
  }
}

/** Crank power that a wheel power stands for at each end of the loss, with nothing else uncertain. */
export const crankFor = (wheel: number, [least, most]: LossRange): readonly [number, number] => [
  wheel / (1 - least),
  wheel / (1 - most),
]
