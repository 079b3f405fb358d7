import {
  exchangeRate,
  lapSeconds,
  orWhy,
  rateDraws,
  type AxleCar,
  type LapCourse,
  type LapDoubts,
  type RateDraw,
  type RateKey,
} from '@bold-ballast/core'
import { expose } from 'comlink'

const api = {
  /** What some changes of a car are worth on a course, one after the other. */
  rates(
    car: AxleCar,
    course: LapCourse,
    keys: readonly RateKey[],
    onDone: () => void,
  ): number[] | { problem: string } {
    try {
      return keys.map((key) => {
        const rate = exchangeRate(car, course, key)
        onDone()
        return rate
      })
    } catch (error) {
      return { problem: (error as Error).message }
    }
  },
  /** Some of the draws that say how far off rates and lap are. */
  draws(
    car: AxleCar,
    course: LapCourse,
    doubts: LapDoubts,
    keys: readonly RateKey[],
    which: readonly [number, number],
    step: number,
    onDone: () => void,
  ): RateDraw[] | { problem: string } {
    try {
      const found: RateDraw[] = []
      for (const draw of rateDraws(car, course, doubts, keys, which, step)) {
        found.push(draw)
        onDone()
      }
      return found
    } catch (error) {
      return { problem: (error as Error).message }
    }
  },
  /** Laps of many cars on one course, s; null where one makes no sense. */
  laps(
    cars: readonly AxleCar[],
    course: LapCourse,
    step: number,
    onDone: (count: number) => void,
  ): (number | null)[] {
    return cars.map((car, i) => {
      if (i % 10 === 9) onDone(10)
      return orWhy(
        () => lapSeconds(car, course, { step }),
        () => null,
      )
    })
  },
}
export type RatesApi = typeof api
expose(api)
