import type { BuildDocument } from '@bold-ballast/contract'
import { carAt } from '../car/carAt'
import type { Car } from '../car/Car'

const kept = new WeakMap<BuildDocument, Map<string, Car>>()

/**
 * The car of a stage on a set-up sheet that it doesn't stand on now: as it was driven then.
 *
 * @returns the same for the same document
 * @example carOnSheet(document, stageId, setupId).setup // null
 */
export function carOnSheet(document: BuildDocument, stageId: string, setupId: string): Car {
  const cars = kept.get(document) ?? new Map<string, Car>()
  kept.set(document, cars)
  const key = `${stageId} ${setupId}`
  const before = cars.get(key)
  if (before) return before
  const setups = document.setups.filter((s) => s.id === setupId).map((s) => ({ ...s, stageId }))
  const car = carAt({ ...document, setups }, stageId)
  cars.set(key, car)
  return car
}
