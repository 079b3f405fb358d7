import { EARTH, STANDARD_GRAVITY } from '@bold-ballast/core'
import { noise } from './noise'

/** A moment of a logger in a car. SI, but for degrees. */
export interface LoggerSample {
  /** s of its own clock */
  readonly at: number
  /** Degrees; null without a fix. */
  readonly latitude: number | null
  readonly longitude: number | null
  readonly speed: number
  readonly engineSpeed: number
  /** 0 to 1 */
  readonly throttle: number
  /** Pa */
  readonly brakeFront: number
  readonly brakeRear: number
  /** To the left, and forward, m/s². */
  readonly sideways: number
  readonly forward: number
}

export interface LoggerOrders {
  /** The car drives, or stands. */
  running?: boolean | undefined
  /** False cuts the line. */
  connected?: boolean | undefined
  /** False loses the satellites: places are missing then. */
  fix?: boolean | undefined
  /** How many times as quick as it would be, for trying it. */
  times?: number | undefined
}

/** Two straights and two bends to the left, m, driven with so much grip, pull and braking, m/s². */
const STRAIGHT = 180
const RADIUS = 42
const ARC = Math.PI * RADIUS
/** m */
export const LOOP = 2 * STRAIGHT + 2 * ARC
const CORNERING = 1.05 * STANDARD_GRAVITY
const PULLS = 3.6
const BRAKES = 8.5
const CORNER_SPEED = Math.sqrt(CORNERING * RADIUS)
/** Pressure in each line for each m/s², Pa, and engine speed for each m/s. */
const FRONT = 4.4e5
const REAR = 2.6e5
const TURNS = 11
const DEGREE = (EARTH * Math.PI) / 180
/** A receiver wanders by so much from sample to sample, m and m/s. */
const WANDERS = 0.05
const SPEED_OFF = 0.05
/** Steps in which it drives, s. */
const STEP = 0.02
/** Steps from sample to sample: ten a second, as receivers in cars give. */
const EACH = 5
/** Who asks later than this, s, finds that it stood still meanwhile: nobody waits for days to be driven. */
const LONGEST = 10

/**
 * A logger that doesn't exist, in a car that goes round a loop at sea: for trying and testing a day without one.
 *
 * Time is handed in, so that a test needn't wait.
 */
export class LiveLogger {
  private readonly random: () => number
  private last: number
  private distance = 0
  private speed = CORNER_SPEED
  private forward = 0
  private isRunning = false
  private isConnected = true
  private hasFix = true
  private times = 1
  private pace = 1
  /** Time of its own clock, s, and the steps of it that are driven. */
  private clock = 0
  private steps = 0
  private due: LoggerSample[] = []

  constructor(
    private readonly now: () => number,
    seed: number,
  ) {
    this.random = noise(seed)
    this.last = now()
  }

  order({ running, connected, fix, times }: LoggerOrders): void {
    this.drive()
    if (running !== undefined) this.isRunning = running
    if (connected !== undefined) this.isConnected = connected
    if (fix !== undefined) this.hasFix = fix
    if (times !== undefined) this.times = Math.min(50, Math.max(1, times))
  }

  /**
   * What it recorded since it was read last; null while its line is cut.
   *
   * Ten samples a second of its own clock, however seldom it is asked: a machine with too much to do asks late, and
   * a car that goes round many times as quick as it would has done half a lap between two looks at it.
   */
  read(): readonly LoggerSample[] | null {
    this.drive()
    const samples = this.due
    this.due = []
    return this.isConnected ? samples : null
  }

  private sample(): LoggerSample {
    const { x, y } = this.place()
    const bends = this.isBending()
    const moves = this.isRunning ? 1 : 0
    const off = () => this.random() + this.random() - 1
    const north = y + WANDERS * off()
    const east = x + WANDERS * off()
    return {
      at: Math.round(this.steps * STEP * 1000) / 1000,
      latitude: this.hasFix ? north / DEGREE : null,
      longitude: this.hasFix ? east / DEGREE : null,
      speed: moves * Math.max(0, this.speed + SPEED_OFF * off()),
      engineSpeed: this.isRunning ? this.speed * TURNS : 90,
      throttle: this.isRunning && this.forward >= 0 ? (bends ? 0.4 : 1) : 0,
      brakeFront: moves * Math.max(0, -this.forward) * FRONT,
      brakeRear: moves * Math.max(0, -this.forward) * REAR,
      sideways: bends ? (moves * this.speed ** 2) / RADIUS : 0,
      forward: moves * this.forward,
    }
  }

  private drive(): void {
    const now = this.now()
    this.clock += Math.min(LONGEST, (now - this.last) / 1000) * this.times
    this.last = now
    // A clock that is a sum of hundredths is a digit off.
    for (const until = Math.floor(this.clock / STEP + 1e-6); this.steps < until;) {
      if (this.isRunning) this.go(STEP)
      this.steps += 1
      if (this.isConnected && this.steps % EACH === 0) this.due.push(this.sample())
    }
  }

  private go(step: number): void {
    const limit = this.limitAt(this.distance) * this.pace
    const wanted = this.speed < limit ? PULLS * this.pace : -BRAKES
    const speed = Math.min(
      Math.max(this.speed + wanted * step, 1),
      Math.max(limit, this.speed - BRAKES * step),
    )
    this.forward = (speed - this.speed) / step
    this.speed = speed
    this.distance += speed * step
    if (this.distance < LOOP) return
    this.distance -= LOOP
    // No driver goes round twice alike.
    this.pace = 1 + 0.012 * (this.random() + this.random() - 1)
  }

  private isBending(): boolean {
    const at = this.distance % (LOOP / 2)
    return at >= STRAIGHT
  }

  /** The fastest that still makes the next bend, m/s. */
  private limitAt(distance: number): number {
    const at = distance % (LOOP / 2)
    return at >= STRAIGHT ? CORNER_SPEED : Math.sqrt(CORNER_SPEED ** 2 + 2 * BRAKES * 0.95 * (STRAIGHT - at))
  }

  private place(): { readonly x: number; readonly y: number } {
    const isBack = this.distance >= LOOP / 2
    const at = this.distance % (LOOP / 2)
    const side = isBack ? -1 : 1
    if (at < STRAIGHT) return { x: side * (at - STRAIGHT / 2), y: -side * RADIUS }
    const turned = (at - STRAIGHT) / RADIUS
    return { x: side * (STRAIGHT / 2 + RADIUS * Math.sin(turned)), y: -side * RADIUS * Math.cos(turned) }
  }
}
