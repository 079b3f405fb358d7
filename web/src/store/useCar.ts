import { carAt, carsOf, type Car } from '@bold-ballast/model'
import { useBuild, useLiveBuild } from './useBuild'

/** The car of the open stage by what is saved; what is being typed doesn't count yet. */
export function useCar(): Car {
  const { view, stage } = useBuild()
  return carAt(view, stage.id)
}

/** The same with what is being typed. */
export const useLiveCar = (): Car => useLiveBuild().car

/** The cars of all stages by what is saved, in order. */
export function useCars(): readonly Car[] {
  const { view } = useBuild()
  return carsOf(view)
}
