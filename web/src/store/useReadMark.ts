import type { Mark } from '@bold-ballast/contract'
import { readMark, isHeadline } from '@bold-ballast/model'
import { headlineFigures, judgeFigures, type MarkReading } from '@bold-ballast/core'
import { useLiveBuild } from './useBuild'
import { useCar } from './useCar'

/** Reads marks of the open stage; mass, power and power to weight move with every key, the rest with what is saved. */
export function useReadMark(): (mark: Mark) => MarkReading {
  const { summary } = useLiveBuild()
  const car = useCar()
  return (mark) =>
    isHeadline(mark) ? judgeFigures(headlineFigures(mark.measure, summary), mark) : readMark(car, mark)
}
