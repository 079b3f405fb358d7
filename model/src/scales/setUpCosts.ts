import {
  checklistCost,
  SETUP_CHECKS,
  springsOf,
  type Position,
  type SetupCheck,
  type SetupFacts,
} from '@bold-ballast/core'
import type { Build, WeighIn } from '@bold-ballast/contract'

/** What a step of the set-up is worth on this car, kg of cross weight, by step. */
export function setUpCosts(
  build: Build,
  at: { mass: number; centre: Pick<Position, 'x' | 'y'>; level: number | null },
): Record<SetupCheck, number> {
  const facts: SetupFacts = {
    springs: springsOf(build, at.centre.x, at.mass),
    mass: at.mass,
    level: at.level,
    driver: {
      mass: build.driverMass,
      left: build.seat.y - at.centre.y,
      forward: at.centre.x - build.seat.x,
    },
  }
  return Object.fromEntries(SETUP_CHECKS.map((check) => [check, checklistCost(check, facts)])) as Record<
    SetupCheck,
    number
  >
}

/**
 * Steps that were left out. A known levelness still costs what it costs; a driver whose mass was aboard sat in the seat,
 * whether or not that was ticked.
 */
export const leftOut = (
  checklist: Record<Exclude<SetupCheck, 'level'>, boolean> & { level: number | null },
  { driver }: Pick<WeighIn['condition'], 'driver'>,
) => {
  const isDone = (check: SetupCheck) =>
    check === 'level' ? checklist.level !== null : checklist[check] || (check === 'driverIn' && driver > 0)
  return SETUP_CHECKS.filter((check) => !isDone(check))
}

/** kg of cross weight that what was left out, and a floor that isn't level, may come to together. */
export const leftOutTogether = (
  costs: Record<SetupCheck, number>,
  missing: readonly SetupCheck[],
  isLevelKnown: boolean,
): number => Math.hypot(isLevelKnown ? costs.level : 0, ...missing.map((check) => costs[check]))
