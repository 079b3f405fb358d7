import {
  simulateWork,
  tryPlan,
  type TriedPlan,
  type WorkNetwork,
  type WorkOutcome,
  type WorkPlan,
} from '@bold-ballast/core'
import {
  comparedOutcome,
  dropsToReach,
  whatEases,
  type Eased,
  type Easing,
  type WorkReckoned,
} from '@bold-ballast/model'
import { expose } from 'comlink'
import { warmUpWork } from './warmUpWork'

type Reckoned = Pick<WorkReckoned, 'network' | 'hands' | 'targets'>

const api = {
  /** Before anything is asked for. */
  warmUp: (): void => warmUpWork(),
  /** What comes of some plans. */
  tried: (network: WorkNetwork, plans: readonly WorkPlan[]): TriedPlan[] =>
    plans.map((plan) => tryPlan(network, plan)),
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
  /** A few draws, always the same ones: for what is moved. */
  someDraws: (network: WorkNetwork, plan: WorkPlan, draws: number): WorkOutcome =>
    simulateWork(network, { draws, plan }),
  /** The work as it is, to compare others with. */
  compared: (network: WorkNetwork): WorkOutcome => comparedOutcome(network),
  eases: (
    reckoned: Reckoned,
    before: WorkOutcome,
    target: number,
    easings: readonly Easing[],
    zone: string,
    onDone: () => void,
  ): Eased[] => whatEases(reckoned, before, target, easings, zone, onDone),
  drops: (
    reckoned: Reckoned,
    before: WorkOutcome,
    target: number,
    wanted: number,
    mayGo: readonly number[],
    zone: string,
  ): { readonly item: number; readonly chance: number }[] =>
    dropsToReach(reckoned, before, target, wanted, mayGo, zone),
}
export type WorkApi = typeof api
expose(api)
