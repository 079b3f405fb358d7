import type { Build, WeighIn } from '@bold-ballast/contract'
import type { StageSummary, WeighInReading } from '@bold-ballast/core'

/** The car that ballast is added to, SI; where it was taken from is its weighing, or null for the books. */
export interface BareCar {
  readonly mass: number
  readonly x: number
  readonly y: number
  /** Nothing where no pads were under all four wheels. */
  readonly cross: number | undefined
  readonly weighed: WeighIn | null
}

/**
 * The car as weighed, where all four wheels were; else as the books have it, in the reference condition.
 *
 * @example bareCar(build, null, null, summary).weighed // null
 */
export function bareCar(
  { wheelbase, trackFront, trackRear }: Pick<Build, 'wheelbase' | 'trackFront' | 'trackRear'>,
  weighIn: WeighIn | null,
  reading: WeighInReading | null,
  { asFitted }: Pick<StageSummary, 'asFitted'>,
): BareCar {
  const left = reading?.result.left
  if (weighIn && reading && left) {
    const { total, front, cross } = reading.result
    return {
      mass: total.value,
      x: (1 - front.value) * wheelbase,
      y: ((left.value - 0.5) * (trackFront + trackRear)) / 2,
      cross: cross?.value,
      weighed: weighIn,
    }
  }
  const { mass, centre } = asFitted
  return { mass: mass.value, x: centre.x.value, y: centre.y.value, cross: undefined, weighed: null }
}
