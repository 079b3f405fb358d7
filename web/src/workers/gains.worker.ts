import {
  setOf,
  shapleySampled,
  worthWith,
  type CarChange,
  type GainCar,
  type GainMeasure,
} from '@bold-ballast/core'
import { expose } from 'comlink'

const SOME = 8

const api = {
  /** What the car is worth with each of some sets of its changes, saying how many are done. */
  worths(
    before: GainCar,
    changes: readonly CarChange[],
    measure: GainMeasure,
    sets: readonly number[],
    onDone: (count: number) => void,
  ): number[] | { problem: string } {
    try {
      return sets.map((set, i) => {
        const worth = worthWith(before, changes, setOf(set, changes.length), measure)
        if ((i + 1) % SOME === 0 || i + 1 === sets.length) onDone(i + 1)
        return worth
      })
    } catch (error) {
      return { problem: (error as Error).message }
    }
  },
  /** The split by drawn orders, for more changes than can be tried in every set. */
  sample(
    before: GainCar,
    changes: readonly CarChange[],
    measure: GainMeasure,
    orders: number,
  ): { value: number; sigma: number }[] | { problem: string } {
    try {
      return shapleySampled(changes.length, (isIn) => worthWith(before, changes, isIn, measure), { orders })
    } catch (error) {
      return { problem: (error as Error).message }
    }
  },
}
export type GainsApi = typeof api
expose(api)
