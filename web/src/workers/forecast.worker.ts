import { forecastMass, quantileOf, type ForecastInputs, type MassForecast } from '@bold-ballast/core'
import { expose } from 'comlink'

/** Points of the curve that is drawn: enough for a smooth line. */
const POINTS = 101

export interface DrawnForecast extends Omit<MassForecast, 'masses'> {
  /** The mass that a share of the draws stays below, at even shares from 0 to 1. */
  readonly curve: readonly number[]
}

const api = {
  /** Draws the finished car; a message instead where the ledger makes no sense. */
  forecast(inputs: ForecastInputs): DrawnForecast | { problem: string } {
    try {
      const { masses, ...forecast } = forecastMass(inputs)
      const curve = Array.from({ length: POINTS }, (_, i) => quantileOf(masses, i / (POINTS - 1)))
      return { ...forecast, curve }
    } catch (error) {
      return { problem: (error as Error).message }
    }
  },
}
export type ForecastApi = typeof api
expose(api)
