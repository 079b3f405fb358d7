/** How a car stands at speed. SI. */
export interface Attitude {
  /** How far the springs go down at each axle under the air's load, m; below zero where it lifts. */
  readonly sinkFront: number
  readonly sinkRear: number
  /** Nose down under braking, and to the side in a corner, rad. */
  readonly pitch: number
  readonly roll: number
  /** What bumps and kerbs take besides, m. */
  readonly bump: number
}
/** A flat thing under the car: middle and size as of an element, and how far it gives way itself, m. */
export interface LowPart {
  readonly x: number
  readonly z: number
  readonly span: number
  readonly chord: number
  readonly gives: number
}

export interface GroundGap {
  /** What is left at its lowest edge, m; below zero it touches. */
  readonly gap: number
  /** Where that edge is, behind the front axle. */
  readonly x: number
  /** What each takes away, m. */
  readonly taken: Readonly<Record<'sink' | 'pitch' | 'roll' | 'bump' | 'gives', number>>
}

/**
 * The gap that a low part keeps to the ground at speed, at whichever of its edges comes lowest.
 *
 * The body is stiff: it sinks at the axles, turns about the middle of the wheelbase and about the middle of the car.
 *
 * @param wheelbase m
 * @throws {RangeError} for a wheelbase that is not above zero
 * @source geometry of small angles
 * @example groundGap({ x: -0.6, z: 0.08, span: 1.6, chord: 0.3, gives: 0.004 }, 2.5, attitude).gap
 */
export function groundGap(part: LowPart, wheelbase: number, attitude: Attitude): GroundGap {
  if (!(wheelbase > 0)) throw new RangeError('a wheelbase is above zero')
  const { sinkFront, sinkRear, pitch, roll, bump } = attitude
  const at = (x: number): GroundGap => {
    const taken = {
      sink: sinkFront + ((sinkRear - sinkFront) * x) / wheelbase,
      pitch: pitch * (wheelbase / 2 - x),
      roll: (Math.abs(roll) * part.span) / 2,
      bump,
      gives: part.gives,
    }
    return { gap: part.z - Object.values(taken).reduce((s, t) => s + t, 0), x, taken }
  }
  const [front, rear] = [at(part.x - part.chord / 2), at(part.x + part.chord / 2)]
  return front.gap <= rear.gap ? front : rear
}
