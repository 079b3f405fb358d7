import { planWork, simulateWork, type WorkNetwork, type WorkOutcome, type WorkPlan } from '@bold-ballast/core'
import { dropsToReach, whatEases, type Eased, type Easing, type WorkReckoned } from '@bold-ballast/model'
import { expose } from 'comlink'

type Reckoned = Pick<WorkReckoned, 'network' | 'hands' | 'targets'>

const api = {
  plan: (network: WorkNetwork): WorkPlan => planWork(network),
  /** Some of the draws; told now and then how many more are done. */
  draws(
    network: WorkNetwork,
    plan: WorkPlan,
    draws: number,
    seed: number,
    onDraws: (more: number) => void,
  ): WorkOutcome {
    return simulateWork(network, { draws, seed, plan, onDraws })
  },
  eases: (
    reckoned: Reckoned,
    target: number,
    easings: readonly Easing[],
    zone: string,
    onDone: () => void,
  ): Eased[] => whatEases(reckoned, target, easings, zone, onDone),
  drops: (
    reckoned: Reckoned,
    target: number,
    wanted: number,
    mayGo: readonly number[],
    zone: string,
  ): { readonly item: number; readonly chance: number }[] =>
    dropsToReach(reckoned, target, wanted, mayGo, zone),
}
export type WorkApi = typeof api
expose(api)
