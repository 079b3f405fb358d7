import type { Mark } from '@bold-ballast/contract'
import { chanceOf, normalShare, type MarkReading, type Target } from '@bold-ballast/core'
import type { Car } from '../car/Car'
import { conditionShift } from '../car/conditionShift'

type Asked = Target & Pick<Mark, 'measure' | 'conditionId'>

/** Of all draws; asked for again with every key that is pressed beside it. */
const kept = new WeakMap<Car, Map<string, number>>()

/**
 * How likely a mark is to be met once the stage is finished: what the doubt of its figure says; while parts are still to
 * come and the mark hangs on the mass, what the forecast says, so that there is one chance and not two.
 *
 * @param reading of the mark at this car
 * @returns 0 to 1; null where there is no figure, or nobody knows how far it may move
 * @example chanceOfMark(car, mark, readMark(car, mark)) // 0.84
 */
export function chanceOfMark(car: Car, mark: Asked, reading: MarkReading): number | null {
  const { measure, conditionId, comparator, value, tolerance } = mark
  const isOpen = reading.because === 'stillPlanned' && car.summary.openLinesSoFar > 0
  const isDrawn =
    measure === 'mass' || measure === 'powerToWeight' || (measure === 'frontShare' && !conditionId)
  if (!isOpen || !isDrawn) return chanceOf(reading, mark)
  const chances = kept.get(car) ?? new Map<string, number>()
  kept.set(car, chances)
  const key = JSON.stringify([measure, conditionId, comparator, value, tolerance])
  const before = chances.get(key)
  if (before !== undefined) return before
  const drawn = drawnChance(car, mark)
  if (drawn !== null) chances.set(key, drawn)
  return drawn ?? chanceOf(reading, mark)
}

function drawnChance(car: Car, mark: Asked): number | null {
  if (!car.forecast) return null
  if (mark.measure === 'powerToWeight') return chanceOfRatio(car, mark)
  return mark.measure === 'mass'
    ? shareWithin(car.forecast.masses, mark, conditionShift(car, mark.conditionId))
    : shareWithin(car.forecast.fronts, mark, 0)
}

/** The share of draws, moved by so much, on the allowed side of a target. */
function shareWithin(draws: Float64Array, { comparator, value, tolerance }: Target, shift: number): number {
  const least = comparator === 'atMost' ? -Infinity : value - tolerance - shift
  const most = comparator === 'atLeast' ? Infinity : value + tolerance - shift
  return draws.reduce((count, one) => count + +(one >= least && one <= most), 0) / draws.length
}

/** The power doesn't hang together with the mass: each drawn mass wants a power of its own. */
function chanceOfRatio(car: Car, { comparator, value, tolerance }: Target): number | null {
  const { power } = car.summary.finished
  if (!power || !car.forecast) return null
  const { masses } = car.forecast
  const enough = (most: number) =>
    power.sigma > 0 ? normalShare((power.value - most) / power.sigma) : +(power.value >= most)
  const atLeast = (ratio: number) =>
    masses.reduce((sum, mass) => sum + enough(ratio * mass), 0) / masses.length
  if (comparator === 'atLeast') return atLeast(value - tolerance)
  if (comparator === 'atMost') return 1 - atLeast(value + tolerance)
  return Math.max(0, atLeast(value - tolerance) - atLeast(value + tolerance))
}
