import type { LoggedLap } from './lapsAlong'
import type { LogLaps } from './logLaps'
import { channelOf, type RunLog } from './RunLog'

/** Without a speed for longer than that a lap has a hole, s. */
const GAP = 1

/**
 * Laps of a log without places, from the lap number that its logger counts; where along the lap the car was comes from its
 * speed, stretched so that each lap is as long as the line.
 *
 * A lap is known to half a step of the logger at either end.
 *
 * @param length of a lap, m; `null` for what the middle one of the laps comes to by its speed
 * @returns null for a log without lap numbers or without speed, or where none is whole
 * @source definition
 * @example lapsByCounter(log, null)?.laps.length // 1
 */
export function lapsByCounter(
  log: Pick<RunLog, 'time' | 'channels'>,
  length: number | null,
): (LogLaps & { readonly length: number }) | null {
  const [counter, speed] = [channelOf(log, 'lap'), channelOf(log, 'speed')]
  if (!counter || !speed) return null
  const { time } = log
  const way = new Float64Array(time.length)
  const changes: number[] = []
  for (let i = 1; i < time.length; i += 1) {
    const [a, b] = [speed[i - 1]!, speed[i]!]
    const mean = Number.isNaN(a) ? b : Number.isNaN(b) ? a : (a + b) / 2
    way[i] = way[i - 1]! + (Number.isNaN(mean) ? 0 : Math.max(0, mean * (time[i]! - time[i - 1]!)))
    if (counter[i]! > counter[i - 1]!) changes.push(i)
  }
  // What comes before the first change and after the last is an out-lap and an in-lap.
  const whole = changes.slice(1).map((to, k) => [changes[k]!, to] as const)
  if (whole.length === 0) return null
  const lengths = whole.map(([from, to]) => way[to]! - way[from]!).sort((a, b) => a - b)
  const own = length ?? lengths[Math.floor(lengths.length / 2)]!
  if (!(own > 0)) return null
  const first = changes[0]!
  const last = changes[changes.length - 1]!
  const distance = way.map((at, i) => {
    if (i <= first) return at - way[first]!
    if (i >= last) return whole.length * own + at - way[last]!
    const k = whole.findIndex(([, to]) => i < to)
    const [from, to] = whole[k]!
    return (k + (at - way[from]!) / Math.max(1e-9, way[to]! - way[from]!)) * own
  })
  return {
    distance,
    length: own,
    beside: 0,
    laps: whole.map(([from, to]): LoggedLap => ({
      from: time[from]!,
      to: time[to]!,
      sectors: [time[to]! - time[from]!],
      torn: hasHole(time, speed, from, to),
    })),
  }
}

function hasHole(time: ArrayLike<number>, speed: ArrayLike<number>, from: number, to: number): boolean {
  let known = time[from]!
  for (let i = from; i <= to; i += 1) {
    if (time[i]! - known > GAP) return true
    if (!Number.isNaN(speed[i]!)) known = time[i]!
  }
  return false
}
