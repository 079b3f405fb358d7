import { longestTail } from './priorities'
import { simulateWork, type WorkOutcome } from './simulateWork'
import type { WorkNetwork, WorkPlan } from './WorkNetwork'

const TRIED = 60

const meanFinish = ({ finishes }: WorkOutcome, target: number): number => {
  const all = finishes[target]!
  return all.reduce((sum, finish) => sum + finish, 0) / all.length
}

/**
 * The plan that is done soonest on the average, of a few that are tried: the longest tail first or as it is listed, and with
 * or without waiting for what is more urgent.
 *
 * @param target which target it is for
 * @throws {RangeError} where jobs wait for each other in a ring
 * @source Kolisch, European Journal of Operational Research 90 (1996) 320: several rules tried, the best kept
 * @example planWork(fourJobs, 0).isPatient // false
 */
export function planWork(network: WorkNetwork, target: number): WorkPlan {
  const tails = longestTail(network)
  const listed = Float64Array.from(network.items, (_, at) => -at)
  const plans: readonly WorkPlan[] = network.hands
    ? [
        { priorities: tails, isPatient: false },
        { priorities: listed, isPatient: false },
        // Waiting pays only where somebody would be missing from a job of several.
        ...(network.items.some((item) => item.hands > 1 || item.named.length > 1)
          ? [{ priorities: tails, isPatient: true }]
          : []),
      ]
    : [{ priorities: tails, isPatient: false }]
  if (plans.length === 1) return plans[0]!
  const means = plans.map((plan) => meanFinish(simulateWork(network, { draws: TRIED, plan }), target))
  return plans[means.indexOf(Math.min(...means))]!
}

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
