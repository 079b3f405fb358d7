import { CORNERS } from './fourPadWeighIn'
import { carriedBy } from './carriedBy'
import { settle, type CornerSprings } from './cornerSprings'
import { levelCost } from './levelCost'
import { STANDARD_GRAVITY } from '../units/constants'

/** What is done before a car is weighed for its cross weight. */
export const SETUP_CHECKS = ['level', 'pressures', 'barsOff', 'settled', 'straight', 'driverIn'] as const
export type SetupCheck = (typeof SETUP_CHECKS)[number]

export interface SetupFacts {
  readonly springs: CornerSprings
  /** Whole mass, kg. */
  readonly mass: number
  /** How far a pad may stand out of level, m; `null` when nobody looked. */
  readonly level: number | null
  readonly driver: {
    /** kg in full gear. */
    readonly mass: number
    /** Where the seat is: left of and forward of the centre of mass, m. */
    readonly left: number
    readonly forward: number
  }
}

/** A garage floor that nobody measured: 5 mm from wheel to wheel is usual. */
const FLOOR = 0.005
/** A tyre 0.2 bar off stands about 1 mm higher or lower. */
const TYRE = 0.001
/** Twist left in a bar's links, and the bar's share of the wheel rate. */
const LINK = 0.002
const BAR = 0.5
/** Dry friction in joints and dampers, as a share of what a corner carries. */
const STICTION = 0.01
/** Steering five degrees off straight jacks a wheel by about this much. */
const JACKING = 0.001

/**
 * What leaving out one step of the set-up could be worth, in kg of cross weight.
 *
 * Level, pressures and steering raise one wheel and cost what a perch change would. A connected bar holds the
 * twist of its links. Friction keeps a corner from settling. A driver who isn't in the seat is missing from
 * the diagonal that the seat loads.
 *
 * @returns kg, never negative
 * @source common practice for the sizes; statics for what they are worth
 * @example checklistCost('level', facts) // 2.8 kg
 */
export function checklistCost(check: SetupCheck, { springs, mass, level, driver }: SetupFacts): number {
  switch (check) {
    case 'level':
      return levelCost(springs, level ?? FLOOR)
    case 'pressures':
      return levelCost(springs, TYRE)
    case 'barsOff': {
      // A bar lifts one front wheel and presses the other: as if its half of the wheel rate stood on a shim.
      const { loads } = settle(springs, {
        frontLeft: LINK / 2,
        frontRight: -LINK / 2,
        rearLeft: 0,
        rearRight: 0,
      })
      return (BAR * Math.abs(loads.frontRight + loads.rearLeft)) / STANDARD_GRAVITY
    }
    case 'settled':
      return (STICTION * mass * 2) / CORNERS.length
    case 'straight':
      return levelCost(springs, JACKING)
    case 'driverIn': {
      const share = carriedBy(springs, driver)
      return Math.abs(driver.mass * (share.frontRight + share.rearLeft - 0.5))
    }
  }
}
