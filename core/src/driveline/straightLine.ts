import type { PullPoint } from '../power/pull'
import { torqueTable } from '../power/torqueTable'
import { STANDARD_GRAVITY } from '../units/quantities'

/** A car as the straight-line run sees it. SI. */
export interface StraightLineCar {
  /** Engine speed against torque as it arrives at the wheels, brought back to the engine by the gear. */
  readonly curve: readonly PullPoint[]
  /** Of the gears, first to last. */
  readonly ratios: readonly number[]
  readonly finalDrive: number
  readonly rollingRadius: number
  /** Engine speed at which it is shifted. */
  readonly shiftSpeed: number
  /** Time without drive in a shift. */
  readonly shiftTime: number
  /** Engine speed that the clutch slips at from standing; the curve's lowest where that is higher. */
  readonly launchSpeed: number
  readonly mass: number
  readonly driven: 'front' | 'rear' | 'all'
  readonly frontShare: number
  readonly wheelbase: number
  readonly massHeight: number
  /** Coefficient of friction of the driven tyres. */
  readonly grip: number
  readonly dragArea: number
  readonly rollingResistance: number
  readonly airDensity: number
  /** Of all four wheels together, kg·m². */
  readonly wheelInertia: number
  /** Of what turns with the crank, kg·m². */
  readonly engineInertia: number
}

export interface Run {
  /** Time from the start to each speed asked for, s; `null` where the car never gets there. */
  readonly toSpeed: readonly (number | null)[]
  /** Time and speed at each distance asked for. */
  readonly toDistance: readonly ({ readonly time: number; readonly speed: number } | null)[]
  readonly shifts: number
  /** Time during which grip, not power, was the limit, s. */
  readonly gripLimited: number
  readonly energy: RunEnergy
  /** Time, speed and distance every tenth of a second. */
  readonly trace: readonly { readonly time: number; readonly speed: number; readonly distance: number }[]
}

/** Where the work went, J: driven = kinetic + drag + rolling + shifts, as far as the integration is right. */
export interface RunEnergy {
  /** Work at the tyres, with what goes into all that turns. */
  readonly driven: number
  /** Gained by the car and all that turns with it. */
  readonly kinetic: number
  readonly drag: number
  readonly rolling: number
  /** Given up by the engine as its speed falls from gear to gear. */
  readonly shifts: number
}

/** A quarter of a mile, m: what a standing run is timed over. */
export const QUARTER_MILE = 402.336

const STEP = 0.002
const LONGEST = 120

/**
 * Runs a car in a straight line by numerical integration of m·dv/dt = tractive force − road load: traction
 * limit with load transfer, clutch slip from standing, shifts without drive, rotating inertia by gear.
 *
 * @param car what runs
 * @param targets speeds in m/s and distances in m that are timed
 * @param options from: speed at the start, 0 for standing; gear: held throughout, counted from 0
 * @returns times and speeds at the targets
 * @throws {RangeError} for a car without two points of a curve, gears, mass, radius or grip
 * @source road load ½ρC_DA·v² + C_rr·m·g; Heun's method, 2 ms steps; load transfer m·a·h/L
 * (Milliken & Milliken, Race Car Vehicle Dynamics, from memory)
 * @example straightLine(car, { speeds: [100 / 3.6], distances: [402.336] }).toSpeed[0]
 */
export function straightLine(
  car: StraightLineCar,
  targets: { readonly speeds: readonly number[]; readonly distances: readonly number[] },
  options: { readonly from?: number; readonly gear?: number } = {},
): Run {
  const { ratios, finalDrive, rollingRadius: r, mass, grip } = car
  if (car.curve.length < 2 || !(car.curve.at(-1)!.speed > car.curve[0]!.speed))
    throw new RangeError('a run needs a curve with two or more points')
  if (ratios.length === 0 || ratios.some((ratio) => !(ratio > 0)) || !(finalDrive > 0))
    throw new RangeError('a run needs gears and a final drive')
  if (!(mass > 0) || !(r > 0) || !(grip > 0)) throw new RangeError('a run needs mass, tyre radius and grip')
  const torque = torqueTable(car.curve)
  const overalls = ratios.map((ratio) => ratio * finalDrive)
  const masses = overalls.map((o) => mass + (car.wheelInertia + car.engineInertia * o * o) / (r * r))
  const lever = car.massHeight / car.wheelbase
  const drag = 0.5 * car.airDensity * car.dragArea
  const rolling = car.rollingResistance * mass * STANDARD_GRAVITY
  const slip = Math.max(car.launchSpeed, car.curve[0]!.speed)
  const weight = mass * STANDARD_GRAVITY
  const share = car.driven === 'front' ? car.frontShare : 1 - car.frontShare

  /** The most that grip allows, with the load that accelerating itself moves. */
  const gripLimit = (load: number, inert: number): number => {
    const all = (grip * weight - load) / inert
    if (car.driven === 'all') return all
    const moved = car.driven === 'rear' ? -grip * mass * lever : grip * mass * lever
    const own = (grip * weight * share - load) / Math.max(1e-6, inert + moved)
    return Math.min(all, own)
  }
  let isGripLimited = false
  const acceleration = (v: number, gear: number, driving: boolean): number => {
    const load = drag * v * v + (v > 0 || driving ? rolling : 0)
    const inert = masses[gear]!
    if (!driving) return -load / (mass + car.wheelInertia / (r * r))
    const overall = overalls[gear]!
    const geared = (v / r) * overall
    const atLimiter = geared >= car.shiftSpeed
    const force = atLimiter ? 0 : (torque(Math.max(geared, slip)) * overall) / r
    const byEngine = (force - load) / inert
    const byGrip = gripLimit(load, inert)
    isGripLimited = byGrip < byEngine
    return Math.min(byEngine, byGrip)
  }

  const gearFor = (v: number) => {
    const found = overalls.findIndex((o) => (v / r) * o < car.shiftSpeed * 0.999)
    return found < 0 ? ratios.length - 1 : found
  }
  const held = options.gear
  let v = options.from ?? 0
  let s = 0
  let t = 0
  let gear = held ?? gearFor(v)
  let shiftUntil = -1
  let shifts = 0
  let gripLimited = 0
  const toSpeed: (number | null)[] = targets.speeds.map((target) => (target <= v ? 0 : null))
  const toDistance: ({ time: number; speed: number } | null)[] = targets.distances.map(() => null)
  const trace = [{ time: 0, speed: v, distance: 0 }]
  let open = toSpeed.filter((x) => x === null).length + toDistance.length
  let slowest = 0
  const turning = (at: number) => 0.5 * (mass + car.wheelInertia / (r * r)) * at * at
  const engineAt = (at: number, which: number) => 0.5 * car.engineInertia * ((at / r) * overalls[which]!) ** 2
  const kineticFirst = turning(v) + engineAt(v, gear)
  // Plain numbers, not fields of an object: this loop is the one that everything waits for.
  let [work, againstDrag, againstRolling, lostInShifts] = [0, 0, 0, 0]
  let isShifting = false
  while (t < LONGEST && open > 0) {
    if (
      held === undefined &&
      t >= shiftUntil &&
      gear < ratios.length - 1 &&
      (v / r) * overalls[gear]! >= car.shiftSpeed
    ) {
      lostInShifts += engineAt(v, gear)
      isShifting = true
      gear += 1
      shifts += 1
      shiftUntil = t + car.shiftTime
    }
    const driving = t >= shiftUntil
    if (isShifting && driving) {
      lostInShifts -= engineAt(v, gear)
      isShifting = false
    }
    const a1 = acceleration(v, gear, driving)
    if (driving && isGripLimited) gripLimited += STEP
    const a2 = acceleration(Math.max(0, v + a1 * STEP), gear, driving)
    const next = Math.max(0, v + ((a1 + a2) / 2) * STEP)
    const far = s + ((v + next) / 2) * STEP
    if (driving) {
      const inert = masses[gear]!
      const driven =
        (a1 * inert + drag * v * v + rolling) * v + (a2 * inert + drag * next * next + rolling) * next
      work += (STEP * driven) / 2
    }
    againstDrag += (STEP * drag * (v * v * v + next * next * next)) / 2
    againstRolling += (STEP * rolling * (v + next)) / 2
    for (let i = 0; i < toSpeed.length; i += 1) {
      const target = targets.speeds[i]!
      if (toSpeed[i] === null && next >= target) {
        toSpeed[i] = t + (STEP * (target - v)) / Math.max(1e-12, next - v)
        open -= 1
      }
    }
    for (let i = 0; i < toDistance.length; i += 1) {
      const target = targets.distances[i]!
      if (toDistance[i] === null && far >= target) {
        const part = (target - s) / Math.max(1e-12, far - s)
        toDistance[i] = { time: t + STEP * part, speed: v + (next - v) * part }
        open -= 1
      }
    }
    // A car at its top speed still covers ground; one that stands or waits for a speed it can't reach doesn't end.
    slowest = driving && next - v < 1e-7 ? slowest + STEP : 0
    v = next
    s = far
    t += STEP
    if (t >= trace.length * 0.1) trace.push({ time: t, speed: v, distance: s })
    if (slowest > 1 && (v < 0.1 || toDistance.every((d) => d !== null))) break
  }
  const kinetic = turning(v) + (isShifting ? 0 : engineAt(v, gear)) - kineticFirst
  const energy = { driven: work, kinetic, drag: againstDrag, rolling: againstRolling, shifts: lostInShifts }
  return { toSpeed, toDistance, shifts, gripLimited, energy, trace }
}
