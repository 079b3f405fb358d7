import type { WeighIn } from '@bold-ballast/contract'
import type { WeighInReading } from '@bold-ballast/core'
import { format, parseISO } from 'date-fns'
import { useBuild, useLiveBuild } from '../../../store/useBuild'

/** The car that ballast is added to: as weighed where it was, else as the books have it. */
export interface BareCar {
  readonly mass: number
  readonly x: number
  readonly y: number
  readonly cross: number | undefined
  /** Where it comes from, in words. */
  readonly from: string
}

export function useBareCar(weighIn: WeighIn | null, reading: WeighInReading | null): BareCar {
  const { view } = useBuild()
  const { summary } = useLiveBuild()
  const { wheelbase, trackFront, trackRear } = view.build
  const left = reading?.result.left
  if (weighIn && reading && left) {
    const { total, front, cross } = reading.result
    return {
      mass: total.value,
      x: (1 - front.value) * wheelbase,
      y: ((left.value - 0.5) * (trackFront + trackRear)) / 2,
      cross: cross?.value,
      from: `as weighed on ${format(parseISO(weighIn.date), 'd MMM yyyy')}${weighIn.condition.driver > 0 ? ', driver aboard' : ', no driver'}`,
    }
  }
  const { mass, centre } = summary.asFitted
  return {
    mass: mass.value,
    x: centre.x.value,
    y: centre.y.value,
    cross: undefined,
    from: 'by the books, in the reference condition; weigh it on pads to be sure',
  }
}
