import type { Mark } from '@bold-ballast/contract'
import {
  chanceMet,
  chanceOf,
  massAboard,
  mean,
  normalShare,
  type MarkReading,
  type Target,
} from '@bold-ballast/core'
import type { Car } from '../car/Car'

type Asked = Target & Pick<Mark, 'measure' | 'conditionId'>

/** What a condition has aboard beside what the car is reckoned with, kg. */
function shiftOf({ build, loads, conditions }: Car, conditionId: string | null): number {
  const condition = conditions.find((c) => c.id === conditionId)
  if (!condition) return 0
  const carriers = { ...build, loads }
  return massAboard(condition, carriers) - massAboard(build.reference, carriers)
}

/**
 * How likely a mark is to be met once the stage is finished: what the doubt of its figure says; while parts are still to
 * come and the mark hangs on the mass, what the forecast says, so that there is one chance and not two.
 *
 * @param reading of the mark at this car
 * @returns 0 to 1; null where there is no figure, or nobody knows how far it may move
 * @example chanceOfMark(car, mark, readMark(car, mark)) // 0.84
 */
export function chanceOfMark(car: Car, mark: Asked, reading: MarkReading): number | null {
  const { value, because } = reading
  const hangsOnMass = mark.measure === 'mass' || mark.measure === 'powerToWeight'
  const isOpen = because === 'stillPlanned' && car.summary.openLinesSoFar > 0
  const masses = hangsOnMass && isOpen ? car.forecast?.masses : null
  if (!value || !masses) return chanceOf(reading, mark)
  if (mark.measure === 'mass') {
    const shift = shiftOf(car, mark.conditionId)
    return mean(Array.from(masses, (mass) => chanceMet({ ...value, value: mass + shift, sigma: 0 }, mark)))
  }
  const { power } = car.summary.finished
  if (!power) return chanceOf(reading, mark)
  // The power doesn't hang together with the mass: each drawn mass wants a power of its own.
  const enough = (mass: number, ratio: number) =>
    power.sigma > 0 ? normalShare((power.value - ratio * mass) / power.sigma) : +(power.value >= ratio * mass)
  const atLeast = (ratio: number) => mean(Array.from(masses, (mass) => enough(mass, ratio)))
  const { comparator, value: wanted, tolerance } = mark
  if (comparator === 'atLeast') return atLeast(wanted - tolerance)
  if (comparator === 'atMost') return 1 - atLeast(wanted + tolerance)
  return Math.max(0, atLeast(wanted - tolerance) - atLeast(wanted + tolerance))
}
