import {
  worthOfPower,
  type RollOn,
  type StraightLineCar,
  type Worth,
  type WorthDoubts,
} from '@bold-ballast/core'
import { expose } from 'comlink'

const api = {
  /** What each car's power is worth; a message instead where one makes no sense. */
  worth(
    cars: readonly { car: StraightLineCar; doubts: WorthDoubts }[],
    rollOns: readonly RollOn[],
  ): Worth[] | { problem: string } {
    try {
      return cars.map(({ car, doubts }) => worthOfPower(car, doubts, rollOns))
    } catch (error) {
      return { problem: (error as Error).message }
    }
  },
}
export type WorthApi = typeof api
expose(api)
