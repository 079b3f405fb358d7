import { movedMass } from '../driveline/movedMass'
import { torqueTable } from '../power/torqueTable'
import type { AxleCar } from './AxleCar'

/** What the engine gives at the tyres, by gear. */
export interface GearPulls {
  /** The gear that pulls most at a speed, counted from 0. */
  readonly best: (speed: number) => number
  /** Force at the tyres in a gear, N; nothing where the engine would turn too fast. */
  readonly pull: (speed: number, gear: number) => number
  /** What that pull has to speed up, kg. */
  readonly inert: (speed: number, gear: number) => number
  /** rad/s; `null` for an idea of a car that has no engine yet. */
  readonly engineSpeed: (speed: number, gear: number) => number | null
  /** m/s */
  readonly fastest: number
  /** s */
  readonly shiftTime: number
  /** What wheels that aren't driven are felt as, kg. */
  readonly undriven: number
}

/** Slower than this a constant power pulls no more: it would pull without end, m/s. */
const WALKING = 1

/**
 * An engine and its gears, or a constant power, as a course asks for them.
 *
 * Below where its curve begins the clutch slips in the first gear. A gear is left where the next pulls more, or at the
 * speed at which it is shifted.
 *
 * @throws {RangeError} for fewer than two points of a curve, no gears, or a power that isn't above zero
 * @source F = T·overall/r; {@link movedMass}
 * @example gearPulls({ ...axleCar, drive: { kind: 'power', power: 180_000 } }).pull(20, 0) // 9000
 */
export function gearPulls(car: AxleCar): GearPulls {
  const { drive, mass, driven } = car
  if (drive.kind === 'power') {
    if (!(drive.power > 0)) throw new RangeError('a power is above zero')
    return {
      best: () => 0,
      pull: (speed) => drive.power / Math.max(WALKING, speed),
      inert: () => mass,
      engineSpeed: () => null,
      fastest: Infinity,
      shiftTime: 0,
      undriven: 0,
    }
  }
  const { curve, ratios, finalDrive, rollingRadius: r, shiftSpeed, clutchTorque } = drive
  if (curve.length < 2) throw new RangeError('a pull needs a curve with two or more points')
  if (ratios.length === 0 || ratios.some((ratio) => !(ratio > 0)) || !(finalDrive > 0) || !(r > 0))
    throw new RangeError('a pull needs gears and tyres')
  const first = curve[0]!.speed
  const torque = torqueTable(curve)
  const slip = Math.min(Math.max(drive.launchSpeed, first), curve.at(-1)!.speed)
  const slipTorque = Math.min(torque(slip), clutchTorque ?? Infinity)
  const overalls = ratios.map((ratio) => ratio * finalDrive)
  const { atGrip, slipping, inGear } = movedMass({ ...drive, mass, driven })
  const isSlipping = (speed: number, gear: number) => gear === 0 && (speed / r) * overalls[0]! < slip
  const pull = (speed: number, gear: number) => {
    const overall = overalls[gear]!
    const turning = (speed / r) * overall
    if (turning > shiftSpeed * (1 + 1e-9)) return 0
    if (isSlipping(speed, gear)) return (slipTorque * overall) / r
    return turning < first ? 0 : (torque(turning) * overall) / r
  }
  return {
    best: (speed) => {
      let best = 0
      let most = 0
      for (let gear = 0; gear < overalls.length; gear += 1) {
        const force = pull(speed, gear)
        if (force > most) [best, most] = [gear, force]
      }
      // Faster than the last gear goes it stays in it.
      return most > 0 ? best : overalls.length - 1
    },
    pull,
    inert: (speed, gear) => (isSlipping(speed, gear) ? slipping : inGear[gear]!),
    engineSpeed: (speed, gear) =>
      isSlipping(speed, gear) ? slip : Math.min(shiftSpeed, (speed / r) * overalls[gear]!),
    fastest: (shiftSpeed * r) / Math.min(...overalls),
    shiftTime: drive.shiftTime,
    undriven: atGrip - mass,
  }
}
