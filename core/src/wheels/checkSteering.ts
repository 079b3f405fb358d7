/** What was measured on the car at full lock and at the ends of the rear travel. SI; `null` where nobody measured. */
export interface SteeringMeasures {
  readonly lockInside: number | null
  readonly lockOutside: number | null
  /** Lock of the inside wheel that is wanted, rad. */
  readonly lockWanted: number | null
  /** From the middle to lock, and what the rack could go, m. */
  readonly rackTravel: number | null
  readonly rackAvailable: number | null
  /** Of the joint at the rod's end at full lock, and where it binds, rad. */
  readonly tieRodAngle: number | null
  readonly tieRodBinds: number | null
  /** Between tie rod and steering arm at full lock, rad: at 0 or 180° it goes over centre. */
  readonly rodToArm: number | null
  /** Least gap between wheel and arm at full lock, and what is wanted, m. */
  readonly wheelToArm: number | null
  readonly wheelToArmWanted: number | null
  /** Rear toe in of one wheel at droop, ride height and bump, rad. */
  readonly rearToe: { readonly droop: number; readonly ride: number; readonly bump: number } | null
  readonly rearToeAllowed: number | null
  /** Of the worst half-shaft joint over the travel, and where it binds, rad. */
  readonly halfshaftAngle: number | null
  readonly halfshaftBinds: number | null
  /** Least gap between rear wheel and arm over the travel, m. */
  readonly rearWheelToArm: number | null
}

export const STEERING_CHECKS = [
  'lock',
  'rack',
  'tieRod',
  'overCentre',
  'wheelToArm',
  'rearToe',
  'halfshaft',
  'rearWheelToArm',
] as const
export type SteeringCheckName = (typeof STEERING_CHECKS)[number]

export interface SteeringCheck {
  readonly check: SteeringCheckName
  readonly value: number
  /** What it has to reach, or to stay below. */
  readonly limit: number
  readonly side: 'atLeast' | 'atMost'
  readonly passes: boolean
}

/** A joint is kept this far from where it binds: two degrees (common practice). */
export const JOINT_IN_HAND = (2 * Math.PI) / 180
/** A tie rod is kept this far from lying along its arm: fifteen degrees (common practice). */
export const FROM_OVER_CENTRE = (15 * Math.PI) / 180

/**
 * Measured steering and rear-end geometry against its limits, each with pass or not; what wasn't measured is left out.
 *
 * @source limits as typed; 2° before a joint binds and 15° before a rod goes over centre are common practice
 * @example checkSteering({ ...nothing, tieRodAngle: 0.4, tieRodBinds: 0.45 })[0].passes
 */
export function checkSteering(m: SteeringMeasures): SteeringCheck[] {
  const one = (
    check: SteeringCheckName,
    value: number | null,
    side: SteeringCheck['side'],
    limit: number | null,
  ): SteeringCheck[] =>
    value === null || limit === null
      ? []
      : [{ check, value, limit, side, passes: side === 'atLeast' ? value >= limit : value <= limit }]
  const toe = m.rearToe && [m.rearToe.droop, m.rearToe.ride, m.rearToe.bump]
  const beforeBinding = (binds: number | null) => (binds === null ? null : binds - JOINT_IN_HAND)
  return [
    ...one('lock', m.lockInside, 'atLeast', m.lockWanted),
    ...one('rack', m.rackTravel, 'atMost', m.rackAvailable),
    ...one('tieRod', m.tieRodAngle, 'atMost', beforeBinding(m.tieRodBinds)),
    // It goes over centre folded as well as stretched: what counts is how far it is from the nearer.
    ...one(
      'overCentre',
      m.rodToArm === null ? null : Math.min(m.rodToArm, Math.PI - m.rodToArm),
      'atLeast',
      FROM_OVER_CENTRE,
    ),
    ...one('wheelToArm', m.wheelToArm, 'atLeast', m.wheelToArmWanted),
    ...one('rearToe', toe ? Math.max(...toe) - Math.min(...toe) : null, 'atMost', m.rearToeAllowed),
    ...one('halfshaft', m.halfshaftAngle, 'atMost', beforeBinding(m.halfshaftBinds)),
    ...one('rearWheelToArm', m.rearWheelToArm, 'atLeast', m.wheelToArmWanted),
  ]
}
