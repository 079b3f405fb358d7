import { EARTH, type Lap, type LapLimit, type LinePoint } from '@bold-ballast/core'
import { noise } from './noise'

/** What a simulated receiver is like. */
export interface LoggerData {
  /** Samples a second. */
  readonly rate: number
  /** How far its places wander, m, and its speeds, m/s: each one standard deviation. */
  readonly wanders: number
  readonly seed: number
  /** s a lap that this driver takes for the worked-out one's second: one lap after the other. */
  readonly paces: readonly number[]
  /** Pressure in both brake lines, Pa for each m/s² that it slows by; left out without such sensors. */
  readonly brakes?: { readonly front: number; readonly rear: number }
  /** A place at sea about which the metres of the line are. */
  readonly origin: { readonly latitude: number; readonly longitude: number }
}

/** Over how long a receiver's place wanders, s. */
const SLOWLY = 4
/** How far a driver opens the throttle, by what limits the car. */
const OPEN: Readonly<Record<LapLimit, number>> = {
  engine: 1,
  driven: 0.75,
  front: 0.35,
  rear: 0.35,
  brakes: 0,
}
const DEGREE = (EARTH * Math.PI) / 180

/**
 * What a simulated logger writes of laps that a driver takes after the worked-out one: a CSV with clock, place, speed, engine
 * speed, gear and acceleration sideways and along, throttle, and brake pressures where it has sensors for them.
 *
 * @param lap of the car on the course
 * @param line the course's line, at even distances
 * @returns the file, and the time of each lap as it was driven, s
 */
export function simulatedLog(
  lap: Lap,
  line: readonly LinePoint[],
  length: number,
  { rate, wanders, seed, paces, origin, brakes }: LoggerData,
): { readonly csv: string; readonly laps: readonly number[] } {
  const random = noise(seed)
  const off = () => (random() + random() + random() - 1.5) * 2
  // A receiver's place wanders slowly; from sample to sample it jumps by a tenth of that.
  const keeps = Math.exp(-1 / (SLOWLY * rate))
  const wander = () => {
    let slow = wanders * off()
    return () => {
      slow = keeps * slow + Math.sqrt(1 - keeps * keeps) * wanders * off()
      return slow + 0.1 * wanders * off()
    }
  }
  const [wanderNorth, wanderEast] = [wander(), wander()]
  const east = DEGREE * Math.cos((origin.latitude * Math.PI) / 180)
  const rows = [
    `time (s),latitude,longitude,speed (km/h),engine speed (rpm),gear,sideways (g),forward (g),throttle (%)${brakes ? ',brake front (bar),brake rear (bar)' : ''}`,
  ]
  // A little before the start line and a little beyond it, as a logger does.
  const lead = 1.5
  const total = paces.reduce((sum, pace) => sum + pace * lap.time, 0)
  const starts = paces.map((_, i) => paces.slice(0, i).reduce((sum, pace) => sum + pace * lap.time, 0))
  for (let t = -lead; t <= total + lead; t += 1 / rate) {
    const i = Math.max(
      0,
      starts.findLastIndex((start) => start <= t),
    )
    const pace = paces[i] ?? 1
    const within = ((((t - (starts[i] ?? 0)) / pace) % lap.time) + lap.time) % lap.time
    const { distance, speed, engineSpeed, gear, forward, sideways, limit } = momentOf(lap, within)
    const { x, y } = spotOf(line, length, distance)
    const slows = limit === 'brakes' ? Math.max(0, -forward) / pace ** 2 : 0
    const pressureFor = (each: number) => (slows * each) / 1e5
    rows.push(
      [
        (t + lead).toFixed(3),
        (origin.latitude + (y + wanderNorth()) / DEGREE).toFixed(8),
        (origin.longitude + (x + wanderEast()) / east).toFixed(8),
        ((speed / pace) * 3.6 + 0.2 * off()).toFixed(2),
        engineSpeed === null ? '' : ((engineSpeed * 30) / Math.PI / pace).toFixed(0),
        gear + 1,
        (sideways / pace ** 2 / 9.80665 + 0.02 * off()).toFixed(3),
        (forward / pace ** 2 / 9.80665 + 0.02 * off()).toFixed(3),
        (100 * OPEN[limit]).toFixed(0),
        ...(brakes ? [brakes.front, brakes.rear].map((each) => pressureFor(each).toFixed(2)) : []),
      ].join(','),
    )
  }
  return { csv: `${rows.join('\n')}\n`, laps: paces.map((pace) => pace * lap.time) }
}

function momentOf({ points }: Lap, time: number) {
  let i = points.findIndex((p) => p.time > time)
  if (i < 0) i = points.length - 1
  const [a, b] = [points[Math.max(0, i - 1)]!, points[i]!]
  const share = b.time > a.time ? Math.min(1, Math.max(0, (time - a.time) / (b.time - a.time))) : 0
  // Way under even acceleration, so that a sample between two points lies where the car was.
  const way =
    a.speed * (time - a.time) +
    ((b.speed - a.speed) / Math.max(1e-9, b.time - a.time)) * 0.5 * (time - a.time) ** 2
  return {
    ...a,
    distance: a.distance + Math.min(Math.max(0, way), Math.max(0, b.distance - a.distance)),
    speed: a.speed + share * (b.speed - a.speed),
  }
}

function spotOf(line: readonly LinePoint[], length: number, at: number) {
  const place = ((at % length) + length) % length
  let i = line.findIndex((p) => p.distance > place)
  if (i < 0) i = line.length
  const a = line[i - 1] ?? line[line.length - 1]!
  const b = line[i % line.length]!
  const end = i === line.length ? length : b.distance
  const share = end > a.distance ? (place - a.distance) / (end - a.distance) : 0
  return { x: a.x + share * (b.x - a.x), y: a.y + share * (b.y - a.y) }
}
