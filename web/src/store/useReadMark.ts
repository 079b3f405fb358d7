import type { Mark } from '@bold-ballast/contract'
import { headlineFigures, judgeFigures, type MarkReading } from '@bold-ballast/core'
import { isHeadline, readMark } from '@bold-ballast/model'
import { useDeferredValue } from 'react'
import { useCar } from './useCar'
import { useLiveBuild } from './useBuild'

/**
 * Reads marks of the open stage; mass, power and power to weight move with every key, the rest with what is saved.
 *
 * Runs and laps take a while: after a change they are worked out behind what is on the screen, one component at a time,
 * so that a key pressed meanwhile is heard. Whoever shows many marks reads each in a component of its own.
 */
export function useReadMark(): (mark: Mark) => MarkReading {
  const { summary } = useLiveBuild()
  const car = useDeferredValue(useCar())
  return (mark) =>
    isHeadline(mark) ? judgeFigures(headlineFigures(mark.measure, summary), mark) : readMark(car, mark)
}
