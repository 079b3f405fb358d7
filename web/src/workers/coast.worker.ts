import { coastDown, type CoastCar, type CoastFit, type CoastRun } from '@bold-ballast/core'
import { expose } from 'comlink'
import { coastRows, type CoastRead } from '../rooms/aero/measured/coastRows'

const api = {
  read: (text: string): CoastRead => coastRows(text),
  /** A message instead where the runs make no sense. */
  fit(runs: readonly CoastRun[], car: CoastCar): CoastFit | { problem: string } {
    try {
      return coastDown(runs, car)
    } catch (error) {
      return { problem: (error as Error).message }
    }
  },
}
export type CoastApi = typeof api
expose(api)
