import { latestStarts } from './priorities'
import { chanceBy, simulateWork, type WorkOutcome } from './simulateWork'
import type { WorkNetwork, WorkPlan } from './WorkNetwork'

const TRIED = 60

const meanFinish = ({ finishes }: WorkOutcome, target: number): number => {
  const all = finishes[target]!
  return all.reduce((sum, finish) => sum + finish, 0) / all.length
}

/** How many of the dates are made, on the average. */
const datesMade = ({ dues }: WorkNetwork, { finishes }: WorkOutcome): number =>
  dues.reduce((sum, due, target) => (due < Infinity ? sum + chanceBy(finishes[target]!, due) : sum), 0)

/** As good as each other, to the draws that they are told by. */
const ALIKE = 0.02

/**
 * The better plan of a few that are tried: the latest start first or as it is listed, and with or without waiting for what is
 * more urgent. Better is what makes more of the dates; of those alike, what is done sooner.
 *
 * @param target the one that alone counts, by when it is done; all dates where it is left out
 * @throws {RangeError} where jobs wait for each other in a ring
 * @source Kolisch, European Journal of Operational Research 90 (1996) 320: several rules tried, the best kept
 * @example planWork(fourJobs, 0).isPatient // false
 */
export const planWork = (network: WorkNetwork, target?: number): WorkPlan =>
  bestPlan(plansOf(network).map((plan) => tryPlan(network, plan, target)))

/**
 * The plans that are tried, the usual one first.
 *
 * @example plansOf({ ...fourJobs, hands: null }).length // 1
 */
export function plansOf(network: WorkNetwork): readonly WorkPlan[] {
  const urgency = latestStarts(network)
  if (!network.hands) return [{ urgency, isPatient: false }]
  return [
    { urgency, isPatient: false },
    { urgency, isPatient: true },
    { urgency: Float64Array.from(network.items, (_, at) => at), isPatient: false },
  ]
}

/** A plan and what came of it in a few draws. */
export interface TriedPlan {
  readonly plan: WorkPlan
  /** How many of the dates are made, on the average. */
  readonly made: number
  readonly finish: number
}

/**
 * Tries a plan with a few draws, always the same ones.
 *
 * @param target the one that alone counts, by when it is done; all dates where it is left out
 * @example tryPlan(fourJobs, plansOf(fourJobs)[0], 0).made // 0
 */
export function tryPlan(network: WorkNetwork, plan: WorkPlan, target?: number): TriedPlan {
  const outcome = simulateWork(network, { draws: TRIED, plan })
  return {
    plan,
    made: target === undefined ? datesMade(network, outcome) : 0,
    finish: meanFinish(outcome, target ?? 0),
  }
}

/**
 * The best of plans that were tried: what makes more of the dates; of those alike, what is done sooner.
 *
 * @throws {TypeError} for none
 * @example bestPlan([tryPlan(fourJobs, plansOf(fourJobs)[0])]).isPatient // false
 */
export const bestPlan = (tried: readonly TriedPlan[]): WorkPlan =>
  tried.reduce((best, one) => {
    const more = one.made - best.made
    return more > ALIKE || (more >= -ALIKE && one.finish < best.finish) ? one : best
  }).plan

/**
 * The better of two ways to go about the work. What eases it (more hands, a shorter job, one link fewer) can make a plan
 * later that has whoever is free begin what is ready; then it is done as before, as if nothing had been eased.
 *
 * @param before without what eases it
 * @param eased with it, by the same draws
 * @source Graham, “Bounds on multiprocessing timing anomalies”, SIAM J. Appl. Math. 17 (1969) 416
 * @example betterOutcome(outcome, outcome, 0) === outcome // true
 */
export const betterOutcome = (before: WorkOutcome, eased: WorkOutcome, target: number): WorkOutcome =>
  meanFinish(eased, target) <= meanFinish(before, target) ? eased : before
