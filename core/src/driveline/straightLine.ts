import type { PullPoint } from '../power/pull'
import { torqueTable } from '../power/torqueTable'
import { STANDARD_GRAVITY } from '../units/constants'
import { axleGripOf } from './axleGrip'
import { drivenAxle } from './drivenAxle'
import { movedMass, type TurningCar } from './movedMass'

/** A car as the straight-line run sees it. SI. */
export interface StraightLineCar extends TurningCar {
  /** Engine speed against torque as it arrives at the wheels, brought back to the engine by the gear. */
  readonly curve: readonly PullPoint[]
  /** Engine speed at which it is shifted. */
  readonly shiftSpeed: number
  /** Time without drive in a shift. */
  readonly shiftTime: number
  /** Engine speed that the clutch slips at from standing; the curve's lowest where that is higher. */
  readonly launchSpeed: number
  /** Torque that the clutch passes while it slips, at the engine; left out, or null, where it passes all. */
  readonly clutchTorque?: number | null
  readonly frontShare: number
  readonly wheelbase: number
  readonly massHeight: number
  /** Coefficient of friction of the driven tyres. */
  readonly grip: number
  /** What of it is lost where a tyre’s load doubles, and the load on one tyre that it is stated at, N; left out for none. */
  readonly tyreSensitivity?: number
  readonly tyreLoad?: number
  readonly dragArea: number
  readonly rollingResistance: number
  readonly airDensity: number
  /** Downforce areas C_L·A on the axles, m²; left out for none. */
  readonly downforceFront?: number
  readonly downforceRear?: number
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
  /** Work at the wheels, with what goes into all that turns; a clutch that slips has had its heat before. */
  readonly driven: number
  /** Gained by the car and all that turns with it. */
  readonly kinetic: number
  readonly drag: number
  readonly rolling: number
  /** Given up by the engine as its speed falls from gear to gear. */
  readonly shifts: number
}

/** What gaining or losing engine speed stores and gives back, gear by gear, J at a road speed. */
function engineStore(slipping: number, inGear: readonly number[], lockSpeeds: readonly number[]) {
  // An engine that its clutch lets slip turns at a held speed, whatever the car does.
  return (v: number, gear: number) => 0.5 * (inGear[gear]! - slipping) * Math.max(v, lockSpeeds[gear]!) ** 2
}

/** A quarter of a mile, m: what a standing run is timed over. */
export const QUARTER_MILE = 402.336

const FINE = 0.002
const LONGEST = 120

/**
 * Runs a car in a straight line by numerical integration of m·dv/dt = tractive force − road load: traction
 * limit with load transfer and downforce, clutch slip from standing, shifts without drive, and what turns.
 *
 * What grip limits moves the car and the wheels that roll along; what the engine limits has driven wheels and engine
 * to speed up as well ({@link movedMass}).
 *
 * @param car what runs
 * @param targets speeds in m/s and distances in m that are timed
 * @param options from: speed at the start, 0 for standing; gear: held throughout, counted from 0; step: of time, s, for
 *   runs that are only compared
 * @returns times and speeds at the targets
 * @throws {RangeError} for a car without two points of a curve, gears, mass, radius or grip
 * @source road load ½ρC_DA·v² + C_rr·m·g; Heun's method, 2 ms steps; load transfer m·a·h/L
 * (Milliken & Milliken, Race Car Vehicle Dynamics, chapter 18, Wheel Loads)
 * @example straightLine(car, { speeds: [100 / 3.6], distances: [402.336] }).toSpeed[0]
 */
export function straightLine(
  car: StraightLineCar,
  targets: { readonly speeds: readonly number[]; readonly distances: readonly number[] },
  options: { readonly from?: number; readonly gear?: number; readonly step?: number } = {},
): Run {
  const { ratios, finalDrive, rollingRadius: r, mass, grip } = car
  if (car.curve.length < 2 || !(car.curve.at(-1)!.speed > car.curve[0]!.speed))
    throw new RangeError('a run needs a curve with two or more points')
  if (ratios.length === 0 || ratios.some((ratio) => !(ratio > 0)) || !(finalDrive > 0))
    throw new RangeError('a run needs gears and a final drive')
  if (!(mass > 0) || !(r > 0) || !(grip > 0)) throw new RangeError('a run needs mass, tyre radius and grip')
  const torque = torqueTable(car.curve)
  const overalls = ratios.map((ratio) => ratio * finalDrive)
  const { atGrip, slipping, inGear } = movedMass(car)
  const gripAt = axleGripOf(drivenAxle(car))
  const drag = 0.5 * car.airDensity * car.dragArea
  const rolling = car.rollingResistance * mass * STANDARD_GRAVITY
  const gearFor = (v: number) => {
    const found = overalls.findIndex((overall) => (v / r) * overall < car.shiftSpeed * 0.999)
    return found < 0 ? ratios.length - 1 : found
  }
  const step = options.step ?? FINE
  const held = options.gear
  const from = options.from ?? 0
  const firstGear = held ?? gearFor(from)
  // The clutch is let slip to get going; once the car rolls it is closed, down to where the curve begins.
  const slip = Math.min(Math.max(car.launchSpeed, car.curve[0]!.speed), car.curve.at(-1)!.speed)
  const heldAt = (gear: number) => (from === 0 && gear === firstGear ? slip : car.curve[0]!.speed)
  const lockSpeeds = overalls.map((overall, gear) => (heldAt(gear) * r) / overall)
  const slipTorques = overalls.map((_, gear) => Math.min(torque(heldAt(gear)), car.clutchTorque ?? Infinity))

  let isGripLimited = false
  const acceleration = (v: number, gear: number, driving: boolean): number => {
    const load = drag * v * v + (v > 0 || driving ? rolling : 0)
    if (!driving) return -load / slipping
    const overall = overalls[gear]!
    const geared = (v / r) * overall
    const isSlipping = v < lockSpeeds[gear]!
    // On the step that ends at a shift the engine still pulls; only where no gear is left does it stand at the limiter.
    const isLast = held !== undefined || gear === ratios.length - 1
    const atEngine = isLast && geared >= car.shiftSpeed ? 0 : isSlipping ? slipTorques[gear]! : torque(geared)
    const byEngine = ((atEngine * overall) / r - load) / (isSlipping ? slipping : inGear[gear]!)
    const byGrip = (gripAt(v, load) - load) / atGrip
    isGripLimited = byGrip < byEngine
    return Math.min(byEngine, byGrip)
  }

  let v = from
  let s = 0
  let t = 0
  let gear = firstGear
  let shiftUntil = -1
  let shifts = 0
  let gripLimited = 0
  const toSpeed: (number | null)[] = targets.speeds.map((target) => (target <= v ? 0 : null))
  const toDistance: ({ time: number; speed: number } | null)[] = targets.distances.map(() => null)
  const trace = [{ time: 0, speed: v, distance: 0 }]
  let open = toSpeed.filter((x) => x === null).length + toDistance.length
  let slowest = 0
  const turning = (at: number) => 0.5 * slipping * at * at
  const engineAt = engineStore(slipping, inGear, lockSpeeds)
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
    if (driving && isGripLimited) gripLimited += step
    const a2 = acceleration(Math.max(0, v + a1 * step), gear, driving)
    const next = Math.max(0, v + ((a1 + a2) / 2) * step)
    const far = s + ((v + next) / 2) * step
    if (driving) {
      const inert = v < lockSpeeds[gear]! ? slipping : inGear[gear]!
      const driven =
        (a1 * inert + drag * v * v + rolling) * v + (a2 * inert + drag * next * next + rolling) * next
      work += (step * driven) / 2
    }
    againstDrag += (step * drag * (v * v * v + next * next * next)) / 2
    againstRolling += (step * rolling * (v + next)) / 2
    for (let i = 0; i < toSpeed.length; i += 1) {
      const target = targets.speeds[i]!
      if (toSpeed[i] === null && next >= target) {
        toSpeed[i] = t + (step * (target - v)) / Math.max(1e-12, next - v)
        open -= 1
      }
    }
    for (let i = 0; i < toDistance.length; i += 1) {
      const target = targets.distances[i]!
      if (toDistance[i] === null && far >= target) {
        const part = (target - s) / Math.max(1e-12, far - s)
        toDistance[i] = { time: t + step * part, speed: v + (next - v) * part }
        open -= 1
      }
    }
    // A car at its top speed still covers ground; one that stands or waits for a speed it can't reach doesn't end.
    slowest = driving && next - v < 1e-7 ? slowest + step : 0
    v = next
    s = far
    t += step
    if (t >= trace.length * 0.1) trace.push({ time: t, speed: v, distance: s })
    if (slowest > 1 && (v < 0.1 || toDistance.every((d) => d !== null))) break
  }
  const kinetic = turning(v) + (isShifting ? 0 : engineAt(v, gear)) - kineticFirst
  const energy = { driven: work, kinetic, drag: againstDrag, rolling: againstRolling, shifts: lostInShifts }
  return { toSpeed, toDistance, shifts, gripLimited, energy, trace }
}
