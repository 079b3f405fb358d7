import { channelOf, type RunLog } from './RunLog'

/** A stretch of a log that another room can use. Moments in s of its clock. */
export interface LogStretch {
  readonly from: number
  readonly to: number
  /** m/s, at its start and end. */
  readonly starts: number
  readonly ends: number
}

/** A stretch is straight as long as less than that pushes sideways, m/s². */
const STRAIGHT = 0.6
/** Nobody brakes who slows by less than that, m/s²; air and tyres of a quick car do up to there at 200 km/h. */
const ROLLS = 2.5
/** It rolls out for at least so long, from at least so fast, and comes down by so much: s, m/s, m/s. */
const COAST = { lasts: 5, from: 15, by: 5 }
/** A speed is held that stays within so much of where it began, for so long: m/s, s; from so fast on. */
const HELD = { within: 0.8, lasts: 3, from: 12 }
/** Open by less a throttle is shut; under less no brake is on: share, Pa. */
const SHUT = 0.03
const OFF = 1.5e5
/** A speed that goes up and down by less still falls, m/s. */
const FLICKERS = 0.3

interface Channels {
  readonly speed: Float32Array
  readonly sideways: Float32Array | undefined
}
const channelsOf = (log: RunLog): Channels | null => {
  const speed = channelOf(log, 'speed')
  return speed ? { speed, sideways: channelOf(log, 'sideways') } : null
}

/**
 * Stretches over which the car rolled out: straight, no throttle, no brakes. What Aero makes drag and rolling of.
 *
 * Where the log has neither throttle nor pressures, it is a car that slows gently for seconds without speeding up: it may
 * still be in gear, which whoever takes it over has to know.
 *
 * @source common practice
 * @example coastStretches(log).length // 0
 */
export function coastStretches(log: RunLog): LogStretch[] {
  const found = channelsOf(log)
  if (!found) return []
  const { speed, sideways } = found
  const throttle = channelOf(log, 'throttle')
  const pressures = (['brakeFront', 'brakeRear'] as const).map((role) => channelOf(log, role))
  const isFree = (i: number) =>
    !((throttle?.[i] ?? 0) > SHUT) &&
    !pressures.some((p) => (p?.[i] ?? 0) > OFF) &&
    !(Math.abs(sideways?.[i] ?? 0) > STRAIGHT)
  const goesOn = (from: number, i: number) => {
    const step = log.time[i]! - log.time[i - 1]!
    return (
      isFree(i) &&
      step > 0 &&
      step < 1 &&
      speed[i]! <= speed[i - 1]! + FLICKERS &&
      (i - from < AVERAGED ||
        (speed[i - AVERAGED]! - speed[i]!) / (log.time[i]! - log.time[i - AVERAGED]!) < ROLLS)
    )
  }
  return stretches(log, speed, (i) => isFree(i) && speed[i]! >= COAST.from, goesOn).filter(
    ({ from, to, starts, ends }) => to - from >= COAST.lasts && starts - ends >= COAST.by,
  )
}
/** Slowing is looked at over so many samples: from one to the next a receiver's speed jumps. */
const AVERAGED = 8

/**
 * Stretches over which a speed was held on a straight: what Aero reads downforce from, where ride heights or damper travel
 * were logged beside it.
 *
 * @source common practice
 * @example heldStretches(log).length // 0
 */
export function heldStretches(log: RunLog): LogStretch[] {
  const found = channelsOf(log)
  if (!found) return []
  const { speed, sideways } = found
  const isStraight = (i: number) => !(Math.abs(sideways?.[i] ?? 0) > STRAIGHT)
  return stretches(
    log,
    speed,
    (i) => isStraight(i) && speed[i]! >= HELD.from,
    (from, i) => isStraight(i) && Math.abs(speed[i]! - speed[from]!) <= HELD.within,
  ).filter(({ from, to }) => to - from >= HELD.lasts)
}

function stretches(
  log: RunLog,
  speed: Float32Array,
  begins: (i: number) => boolean,
  goesOn: (from: number, i: number) => boolean,
): LogStretch[] {
  const found: LogStretch[] = []
  for (let from = 0; from < speed.length; from += 1) {
    if (!begins(from)) continue
    let to = from
    while (to + 1 < speed.length && goesOn(from, to + 1)) to += 1
    if (to > from)
      found.push({ from: log.time[from]!, to: log.time[to]!, starts: speed[from]!, ends: speed[to]! })
    from = to
  }
  return found
}

/** What was logged of a speed between two moments, from nought on, at most so many points. */
export function speedsWithin(
  log: RunLog,
  { from, to }: Pick<LogStretch, 'from' | 'to'>,
  most: number,
): { readonly time: number; readonly speed: number }[] {
  const speed = channelOf(log, 'speed')
  if (!speed) return []
  const points: { time: number; speed: number }[] = []
  log.time.forEach((t, i) => {
    const v = speed[i]!
    if (t >= from && t <= to && !Number.isNaN(v) && t - from > (points.at(-1)?.time ?? -1))
      points.push({ time: Math.round((t - from) * 1000) / 1000, speed: Math.max(0, v) })
  })
  const every = Math.ceil(points.length / most)
  return points.filter((_, i) => i % every === 0)
}
