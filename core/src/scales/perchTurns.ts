import { STANDARD_GRAVITY } from '../units/constants'
import { CORNERS, type CornerWeights } from './fourPadWeighIn'
import { perCorner, settle, warpPattern, type CornerSprings, type PerCorner } from './cornerSprings'

export interface PerchInputs {
  readonly springs: CornerSprings
  /** Corner weights now, kg. */
  readonly corners: CornerWeights
  /** Wanted cross share, 0 to 1. */
  readonly target: number
  /** Spring travel over wheel travel, by corner. */
  readonly motionRatio: PerCorner
  /** Thread pitch of the perch, m a turn, by corner. */
  readonly pitch: PerCorner
  /** The smallest part of a turn a person can set, such as 0.25. */
  readonly step: number
}

export interface PerchPlan {
  /** Turns at each perch, up positive, exact. */
  readonly exact: PerCorner
  /** The same rounded to the step. */
  readonly turns: PerCorner
  /** Corner weights after the rounded turns, kg, by the forward model. */
  readonly after: CornerWeights
  readonly crossBefore: number
  readonly crossAfter: number
  /** How the body moves by the rounded turns: mean height, m. */
  readonly heave: number
}

const crossOf = (c: CornerWeights) =>
  (c.frontRight + c.rearLeft) / CORNERS.reduce((sum, corner) => sum + c[corner], 0)

/**
 * Turns at the spring perches for a wanted cross weight.
 *
 * Loads can only change in the warp pattern. Raising each wheel by that pattern's load over its rate changes
 * them without moving the body at all, so ride heights are kept; no smaller set of turns does the same. A
 * perch moves its wheel by 1/(motion ratio) of its own travel, so turns = wheel change × motion ratio ÷ pitch.
 * The front and left shares stay as they are: perches can't change them.
 *
 * @throws {RangeError} when the target is not a share, or would lift a wheel off its pad
 * @source statics of a rigid body on four springs; rounding is common practice
 * @example perchTurns({ ...car, target: 0.5 }).turns // { frontLeft: -1.25, frontRight: 1.25, … }
 */
export function perchTurns(inputs: PerchInputs): PerchPlan {
  const { springs, corners, target, motionRatio, pitch, step } = inputs
  if (!(target > 0 && target < 1)) throw new RangeError('a cross share lies between 0 and 100 %')
  const total = CORNERS.reduce((sum, c) => sum + corners[c], 0)
  const pattern = warpPattern(springs)
  // Cross is the front-right and the rear-left: a unit of the pattern changes it by −1 − rear.
  const perUnit = (pattern.frontRight + pattern.rearLeft) * (1 / total)
  const amount = (target - crossOf(corners)) / perUnit
  const wanted = perCorner((c) => corners[c] + amount * pattern[c])
  if (CORNERS.some((c) => wanted[c] < 0))
    throw new RangeError('that much cross would lift a wheel: the target can’t be reached with this car')
  const exact = perCorner((c) => {
    const wheel = (amount * pattern[c] * STANDARD_GRAVITY) / springs.rates[c]
    return (wheel * motionRatio[c]) / pitch[c]
  })
  const turns = perCorner((c) => Math.round(exact[c] / step) * step || 0)
  const after = weighAfter(inputs, turns)
  return {
    exact,
    turns,
    after: after.corners,
    crossBefore: crossOf(corners),
    crossAfter: crossOf(after.corners),
    heave: after.heave,
  }
}

/** The corner weights after turns at the perches, by the forward model. */
export function weighAfter(
  { springs, corners, motionRatio, pitch }: Omit<PerchInputs, 'target' | 'step'>,
  turns: PerCorner,
): { corners: CornerWeights; heave: number } {
  const { loads, heave } = settle(
    springs,
    perCorner((c) => (turns[c] * pitch[c]) / motionRatio[c]),
  )
  return { corners: perCorner((c) => corners[c] + loads[c] / STANDARD_GRAVITY), heave }
}
