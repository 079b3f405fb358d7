import {
  balanceEffects,
  type BalanceChange,
  type BalanceEffects,
  type RollCar,
  type RollCarSigma,
} from '@bold-ballast/core'
import { expose } from 'comlink'

const api = {
  /** What changes do to the balance in roll, with their doubt; a message where no spring holds the body. */
  effects(
    car: RollCar,
    sigma: RollCarSigma,
    changes: readonly BalanceChange[],
  ): BalanceEffects | { readonly problem: string } {
    try {
      return balanceEffects(car, sigma, changes)
    } catch (error) {
      return { problem: (error as Error).message }
    }
  },
}
export type StanceApi = typeof api
expose(api)
