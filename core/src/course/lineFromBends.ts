/** What a logger without positions knows at a moment. */
export interface BendReading {
  /** Since the start, s. */
  readonly time: number
  /** m/s */
  readonly speed: number
  /** Sideways, to the left positive, m/s². */
  readonly sideways: number
}

export interface BentLine {
  /** A step apart, from the start on. */
  readonly points: readonly {
    readonly distance: number
    readonly x: number
    readonly y: number
    readonly heading: number
    readonly curvature: number
  }[]
  readonly step: number
  readonly length: number
  /** How far its end lay from its start before that was shared out, m; `null` for a line that doesn't come round. */
  readonly closingError: number | null
  /** What it turned too much or too little for whole turns before that was shared out, rad; `null` as above. */
  readonly turningError: number | null
}

/** Slower than that, sideways acceleration over speed squared says nothing, m/s. */
const SLOWEST = 3

/**
 * The line of a lap from speed and sideways acceleration alone: κ = a_y/v², heading and place by adding up.
 *
 * A lap that comes round has turned by whole turns, and ends where it began: what is missing of both is shared out by
 * distance and said, since an accelerometer that leans or a wheel that slips adds up over a lap.
 *
 * @param readings in order of time
 * @param round whether the last place is the first again
 * @throws {RangeError} for fewer than three readings, times that don't rise, a stop, or a number that is none
 * @source κ = a_y/v² (kinematics); Bowditch's rule for closing errors (surveying)
 * @example lineFromBends(circleReadings, { round: true }).points[5].curvature // 0.02
 */
export function lineFromBends(
  readings: readonly BendReading[],
  { round, step: wanted = 2 }: { readonly round: boolean; readonly step?: number },
): BentLine {
  if (readings.length < 3) throw new RangeError('a line wants at least three readings')
  if (readings.some((r) => ![r.time, r.speed, r.sideways].every(Number.isFinite)))
    throw new RangeError('a reading has a time, a speed and an acceleration')
  const along = [0]
  for (let i = 1; i < readings.length; i += 1) {
    const [before, after] = [readings[i - 1]!, readings[i]!]
    if (!(after.time > before.time))
      throw new RangeError(`the times of readings ${i} and ${i + 1} don’t rise`)
    along.push(along[i - 1]! + ((before.speed + after.speed) / 2) * (after.time - before.time))
  }
  const length = along.at(-1)!
  if (!(length > 0)) throw new RangeError('the log stands still')
  const stands = readings.findIndex((r) => r.speed < SLOWEST)
  if (stands >= 0)
    throw new RangeError(
      `at reading ${stands + 1} it is too slow to tell a bend: cut the log to where it drives`,
    )
  const count = Math.max(8, Math.round(length / wanted))
  const step = length / count
  const bends = bendsAt(readings, along, count, step)

  const turned = bends.reduce((sum, bend) => sum + bend * step, 0)
  const turns = Math.round(turned / (2 * Math.PI))
  const turningError = round ? turned - turns * 2 * Math.PI : null
  const right = (turningError ?? 0) / length
  let [x, y, heading] = [0, 0, 0]
  const walked = bends.map((bend) => {
    const curvature = bend - right
    const at = { x, y, heading, curvature }
    // Along the arc of this step, not along its start: ten thousand steps add up.
    const middle = heading + (curvature * step) / 2
    x += Math.cos(middle) * step
    y += Math.sin(middle) * step
    heading += curvature * step
    return at
  })
  const points = walked.map((at, i) => ({
    distance: i * step,
    x: round ? at.x - (x * i) / count : at.x,
    y: round ? at.y - (y * i) / count : at.y,
    heading: at.heading,
    curvature: at.curvature,
  }))
  return { points, step, length, closingError: round ? Math.hypot(x, y) : null, turningError }
}

/** The bend of each step: the mean of what was read on it, or what lies between two readings. */
function bendsAt(
  readings: readonly BendReading[],
  along: readonly number[],
  count: number,
  step: number,
): number[] {
  const of = ({ speed, sideways }: BendReading) => sideways / speed ** 2
  let at = 0
  return Array.from({ length: count }, (_, i) => {
    const middle = (i + 0.5) * step
    while (at < readings.length - 2 && along[at + 1]! < middle) at += 1
    const part = (middle - along[at]!) / Math.max(1e-9, along[at + 1]! - along[at]!)
    return of(readings[at]!) + (of(readings[at + 1]!) - of(readings[at]!)) * Math.min(1, Math.max(0, part))
  })
}
