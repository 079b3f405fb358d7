import type { Mark } from '@bold-ballast/contract'
import type { MarkReading } from '@bold-ballast/core'
import { chanceOfMark } from '@bold-ballast/model'
import { useDeferredValue } from 'react'
import { useCar } from './useCar'

/** How likely marks of the open stage are met once it is finished; drawn behind what is on the screen, as `useReadMark`. */
export function useMarkChance(): (mark: Mark, reading: MarkReading) => number | null {
  const car = useDeferredValue(useCar())
  return (mark, reading) => chanceOfMark(car, mark, reading)
}
