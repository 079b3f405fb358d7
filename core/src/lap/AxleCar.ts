import type { PullPoint } from '../power/pull'
import type { SensitiveTyre } from './axleCapacity'

/** An engine and its gears, as the wheels feel them. SI. */
export interface GearedDrive {
  readonly kind: 'gears'
  /** Engine speed against torque as it arrives at the wheels, brought back to the engine by the gear. */
  readonly curve: readonly PullPoint[]
  /** First to last. */
  readonly ratios: readonly number[]
  readonly finalDrive: number
  readonly rollingRadius: number
  /** Engine speed at which it is shifted, and which the last gear doesn't pass. */
  readonly shiftSpeed: number
  /** Time without drive in a shift. */
  readonly shiftTime: number
  /** Engine speed that the clutch slips at below where the curve begins. */
  readonly launchSpeed: number
  /** Torque that the clutch passes while it slips, at the engine; `null` where it passes all. */
  readonly clutchTorque: number | null
  /** Of all four wheels, and of what turns with the crank, kg·m². */
  readonly wheelInertia: number
  readonly engineInertia: number
  /** The gear of a pull on a roller that measures by inertia; `null` for a curve that holds no such loss. */
  readonly inertiaPulledIn: number | null
}

/** The same power at the wheels at every speed: what an idea of a car is tried with. */
export interface ConstantDrive {
  readonly kind: 'power'
  /** W */
  readonly power: number
}

/** What an axle's halves are held together by. */
export type Differential =
  /** Both wheels get the same pull: the one that holds less says how much. */
  | { readonly kind: 'open' }
  /** The wheel that holds more gets up to (1 + lock)/(1 − lock) times as much. */
  | { readonly kind: 'limited'; readonly lock: number }
  /** Each wheel gets what it holds. */
  | { readonly kind: 'locked' }

/** A car with two axles and four tyres, as a course sees it. SI; plain figures, so that it can be written by hand. */
export interface AxleCar {
  /** With all that is in it. */
  readonly mass: number
  readonly wheelbase: number
  /** Of its mass: behind the front axle, and over the ground. */
  readonly centre: { readonly x: number; readonly z: number }
  readonly track: { readonly front: number; readonly rear: number }
  /** The front axle's share of what goes from the inside to the outside wheels, 0 to 1. */
  readonly transferShare: number
  readonly tyre: { readonly front: SensitiveTyre; readonly rear: SensitiveTyre }
  /** Downforce areas C_L·A on the axles, m². */
  readonly downforce: { readonly front: number; readonly rear: number }
  readonly dragArea: number
  /** Of the weight. */
  readonly rollingResistance: number
  readonly airDensity: number
  readonly driven: 'front' | 'rear' | 'all'
  /** Of a car driven by all wheels: the front axle's share of the pull; `null` where each axle gets what it holds. */
  readonly driveFront: number | null
  readonly differential: Differential
  readonly drive: GearedDrive | ConstantDrive
  readonly brakes: {
    /** The front axle's share of the braking, 0 to 1. */
    readonly front: number
    /** What the driver uses of the braking that is possible, 0 to 1. */
    readonly used: number
  }
}
