import { bisect } from '../numeric/bisect'
import { motionRatioAt, type MotionRatio } from './motionRatio'
import { springPair } from './springsInSeries'

/** What carries one wheel, without its tyre: a spring, perhaps with a helper, and what stops it up and down. SI. */
export interface CornerSuspension {
  /** What of the body it carries where the car stands, at the wheel, N. */
  readonly standing: number
  /** N/m */
  readonly spring: number
  readonly helper: { readonly rate: number; readonly travel: number } | null
  /** Spring travel over wheel travel, and how it changes. */
  readonly ratio: Pick<MotionRatio, 'atRest' | 'change'>
  /** Damper travel over wheel travel. */
  readonly damperRatio: number
  /** A rubber on the damper's rod: the gap that is left where the car stands, and its force over how far it is pressed. */
  readonly rubber: BumpRubber | null
  /** Travel of the wheel until the damper is out, and until metal stops it, m; `null` for as far as it likes. */
  readonly droop: number | null
  readonly bump: number | null
}
export interface BumpRubber {
  /** At the damper, packers counted, m. */
  readonly gap: number
  /** From nothing on, both rising; m and N. */
  readonly points: readonly { readonly travel: number; readonly force: number }[]
}

/** What holds a wheel where it is: its spring alone, the rubber with it, metal, or the damper that is all the way out. */
export type CarriedBy = 'spring' | 'rubber' | 'metal' | 'droop'

export interface CornerTravel {
  /** Of the wheel against the body, up positive, m. */
  readonly travel: number
  /** What one more metre would take, N/m; `Infinity` at a stop. */
  readonly rate: number
  readonly carriedBy: CarriedBy
  /** The helper's coils have come apart. */
  readonly isHelperOpen: boolean
}

/** No wheel goes further than that. */
const FURTHEST = 0.4

/** Force of a rubber that is pressed: a line between its points, and as stiff beyond the last as before it. */
export function rubberForce(points: BumpRubber['points'], pressed: number): number {
  if (pressed <= 0) return 0
  let before = { travel: 0, force: 0 }
  let rate = 0
  for (const point of points) {
    if (!(point.travel > before.travel && point.force > before.force))
      throw new RangeError('a rubber’s points rise')
    rate = (point.force - before.force) / (point.travel - before.travel)
    if (pressed <= point.travel) break
    before = point
  }
  return before.force + rate * (pressed - before.travel)
}

/** What a spring, with or without a helper, carries when it is pressed by so much. */
function springForce({ spring, helper }: CornerSuspension, pressed: number): number {
  if (pressed <= 0) return 0
  if (!helper) return spring * pressed
  const { rate, blocksAt } = springPair({ main: spring, helper: helper.rate, helperTravel: helper.travel }, 0)
  const both = Math.min(pressed, blocksAt / rate)
  return rate * both + spring * (pressed - both)
}

/** How far its spring is pressed where the car stands, m. */
function pressedStanding({ standing, spring, helper, ratio }: CornerSuspension): number {
  const load = standing / ratio.atRest
  if (!helper) return load / spring
  return springPair({ main: spring, helper: helper.rate, helperTravel: helper.travel }, load).travel
}

/**
 * What a wheel pushes against the ground, without its own weight, when it has gone up by so much.
 *
 * Work that goes in comes out: the spring's force times how much it is pressed a metre of the wheel. Where that ratio
 * changes, the load that stands on it stiffens the wheel, or softens it.
 *
 * @param travel of the wheel, up positive, m
 * @returns N
 * @throws {RangeError} for a rate or a ratio that is not above zero, or a rubber whose points don't rise
 * @source virtual work; Milliken & Milliken, Race Car Vehicle Dynamics, chapter on ride and roll rates (from memory)
 * @example wheelForce(corner, 0.02) // 4105
 */
export const wheelForce = (corner: CornerSuspension, travel: number): number =>
  forceAt(corner, pressedStanding(corner), travel)

/** The same, told how far the spring is pressed where the car stands. */
function forceAt(corner: CornerSuspension, pressed: number, travel: number): number {
  const { spring, ratio, damperRatio, rubber } = corner
  if (!(spring > 0 && ratio.atRest > 0 && damperRatio > 0))
    throw new RangeError('a rate and a ratio are above zero')
  const along = ratio.atRest * travel + (ratio.change * travel * travel) / 2
  const bySpring = springForce(corner, pressed + along) * Math.max(0, motionRatioAt(ratio, travel))
  if (!rubber) return bySpring
  return bySpring + rubberForce(rubber.points, travel * damperRatio - Math.max(0, rubber.gap)) * damperRatio
}

/** Travel of the wheel from which the rubber carries, m; `null` without one. */
export const contactTravel = ({ rubber, damperRatio }: Pick<CornerSuspension, 'rubber' | 'damperRatio'>) =>
  rubber && Math.max(0, rubber.gap) / damperRatio

/**
 * How far a wheel goes under more load than it carries standing, or less, and what holds it there.
 *
 * @param load beyond what it carries standing, N; below zero where the body lifts
 * @throws {RangeError} as {@link wheelForce} does
 * @source equilibrium at the wheel
 * @example cornerTravel(corner, 1500).travel // 0.02146
 */
export function cornerTravel(corner: CornerSuspension, load: number): CornerTravel {
  const lowest = -(corner.droop ?? FURTHEST)
  const highest = corner.bump ?? FURTHEST
  const wanted = corner.standing + load
  const contact = contactTravel(corner)
  const pressed = pressedStanding(corner)
  const force = (travel: number) => forceAt(corner, pressed, travel)
  const at = (travel: number, stop: 'metal' | 'droop' | null): CornerTravel => ({
    travel,
    rate: stop ? Infinity : (force(travel + STEP) - force(travel - STEP)) / (2 * STEP),
    carriedBy: stop ?? (contact !== null && travel > contact ? 'rubber' : 'spring'),
    isHelperOpen: isOpen(corner, travel),
  })
  if (force(lowest) >= wanted) return at(lowest, 'droop')
  if (force(highest) <= wanted) return at(highest, 'metal')
  return at(bisect((travel) => force(travel) < wanted, lowest, highest, HALVINGS).high, null)
}
/** They leave a thousandth of a micrometre of the longest travel. */
const HALVINGS = 30
/** Over which a rate is taken, m. */
const STEP = 1e-5

function isOpen(corner: CornerSuspension, travel: number): boolean {
  const { helper, ratio } = corner
  if (!helper) return false
  const along = ratio.atRest * travel + (ratio.change * travel ** 2) / 2
  return springForce(corner, pressedStanding(corner) + along) < helper.rate * helper.travel
}
