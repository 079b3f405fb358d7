import { CORNERS, type Corner, type PadReading } from '@bold-ballast/core'

/** What the simulated pads are told to do. */
export interface PadOrders {
  /** What stands on the pads, kg. */
  load?: Readonly<Record<Corner, number>> | undefined
  /** A pad that gives no reading any more, or null for all of them alive. */
  dead?: Corner | null | undefined
  /** False cuts the line: nothing comes until it is plugged in again. */
  connected?: boolean | undefined
  /** Sets all zeros, drift included. */
  zero?: true | undefined
}

const SPRING = 2 * Math.PI * 1.8
const DAMPING = 0.25
const NOISE = 0.08
/** kg an hour that each pad creeps, of its own. */
const DRIFT: Readonly<Record<Corner, number>> = {
  frontLeft: 0.3,
  frontRight: -0.2,
  rearLeft: 0.1,
  rearRight: 0.4,
}

/**
 * Four scale pads that don't exist: a car rolls on and bounces on its springs until it has settled, every pad has
 * noise and creeps, one can die, the line can be cut. For trying and testing the way a real set is read.
 *
 * Time is handed in, so that a test needn't wait.
 */
export class SimulatedPads {
  private load: Readonly<Record<Corner, number>> = { frontLeft: 0, frontRight: 0, rearLeft: 0, rearRight: 0 }
  private before = this.load
  private loadedAt = -Infinity
  private zeroedAt: number
  private dead: Corner | null = null
  private connected = true
  private seed = 20261123

  constructor(
    private readonly now: () => number,
    readonly resolution = 0.5,
  ) {
    this.zeroedAt = now()
  }

  order({ load, dead, connected, zero }: PadOrders): void {
    if (load) {
      this.before = this.load
      this.load = load
      this.loadedAt = this.now()
    }
    if (dead !== undefined) this.dead = dead
    if (connected !== undefined) this.connected = connected
    if (zero) this.zeroedAt = this.now()
  }

  /** What the pads show now; null while the line is cut. */
  read(): PadReading | null {
    if (!this.connected) return null
    const at = this.now()
    const corners = Object.fromEntries(CORNERS.map((c) => [c, c === this.dead ? null : this.shown(c, at)]))
    return { at, corners: corners as PadReading['corners'] }
  }

  private shown(corner: Corner, at: number): number {
    const since = (at - this.loadedAt) / 1000
    const step = this.load[corner] - this.before[corner]
    const bounce = Number.isFinite(since)
      ? -step * Math.exp(-DAMPING * SPRING * since) * Math.cos(SPRING * Math.sqrt(1 - DAMPING ** 2) * since)
      : 0
    const drift = (DRIFT[corner] * (at - this.zeroedAt)) / 3_600_000
    const kg = this.load[corner] + bounce + drift + NOISE * this.normal()
    return Math.round(kg / this.resolution) * this.resolution || 0
  }

  /** Repeatable noise: the mean of twelve uniforms, as normal as a pad's. */
  private normal(): number {
    let sum = -6
    for (let i = 0; i < 12; i += 1) {
      this.seed = (Math.imul(this.seed, 1664525) + 1013904223) >>> 0
      sum += this.seed / 4294967296
    }
    return sum
  }
}
