/** A moment of a dyno. SI. */
export interface DynoSample {
  /** ms */
  readonly at: number
  readonly running: boolean
  /** rad/s and N·m, at the engine */
  readonly speed: number
  readonly torque: number
  readonly boost: number | null
  readonly lambda: number | null
  readonly coolant: number | null
  readonly oilPressure: number | null
}

/** An engine to try the dyno with. */
interface TrialEngine {
  readonly name: string
  readonly idle: number
  readonly limiter: number
  readonly torque: number
  readonly torqueAt: number
  readonly width: number
  /** Gauge pressure at most, Pa, and where half of it has come; null without a turbo. */
  readonly boost: { readonly most: number; readonly halfAt: number } | null
}

export const TRIAL_ENGINES = {
  roadster: {
    name: '1.6 without boost',
    idle: 900,
    limiter: 7200,
    torque: 148,
    torqueAt: 5000,
    width: 4300,
    boost: null,
  },
  saloon: {
    name: '2.2 turbo',
    idle: 900,
    limiter: 7200,
    torque: 176,
    torqueAt: 4600,
    width: 4200,
    boost: { most: 135_000, halfAt: 3400 },
  },
  estate: {
    name: '2.3 four, large turbo',
    idle: 850,
    limiter: 6800,
    torque: 184,
    torqueAt: 4400,
    width: 3900,
    boost: { most: 160_000, halfAt: 4100 },
  },
} as const satisfies Record<string, TrialEngine>
export type TrialEngineId = keyof typeof TRIAL_ENGINES

export interface DynoOrders {
  engine?: TrialEngineId | undefined
  /** Starts a pull from low speed. */
  pull?: true | undefined
  stop?: true | undefined
  /** False cuts the line. */
  connected?: boolean | undefined
}

const RPM = Math.PI / 30
const FROM = 2000
/** The dyno lets the engine climb this fast, rpm a second. */
const CLIMB = 450
const AMBIENT = 293.15
const WARM = 361

/**
 * A dyno that doesn't exist, with an engine on it: a pull climbs to the limiter with the noise and the drift of a
 * real one, and no two pulls are quite alike. For trying and testing a dyno day without one.
 *
 * Time is handed in, so that a test needn't wait.
 */
export class SimulatedDyno {
  private engine: TrialEngineId = 'saloon'
  private startedAt: number | null = null
  private connected = true
  /** This pull's own strength: repeats lie apart by about one per cent. */
  private strength = 1
  private heat = 0.6
  private seed: number

  constructor(
    private readonly now: () => number,
    seed = 20261123,
  ) {
    this.seed = seed
  }

  order({ engine, pull, stop, connected }: DynoOrders): void {
    if (engine) this.engine = engine
    if (connected !== undefined) this.connected = connected
    if (pull) {
      this.startedAt = this.now()
      this.strength = 1 + 0.008 * this.normal()
      this.heat = Math.min(1, this.heat + 0.15)
    }
    if (stop || connected === false) this.startedAt = null
  }

  /** What the dyno shows now; null while the line is cut. */
  read(): DynoSample | null {
    if (!this.connected) return null
    const at = this.now()
    const engine: TrialEngine = TRIAL_ENGINES[this.engine]
    const climbed = this.startedAt === null ? null : FROM + (CLIMB * (at - this.startedAt)) / 1000
    if (climbed !== null && climbed >= engine.limiter) this.startedAt = null
    const running = this.startedAt !== null
    const rpm = running ? climbed! : engine.idle + 8 * this.normal()
    const arrived = engine.boost ? 1 / (1 + Math.exp(-(rpm - engine.boost.halfAt) / 280)) : 0
    const hump = Math.exp(-(((rpm - engine.torqueAt) / engine.width) ** 2))
    const boosted = 1 + (arrived * (engine.boost?.most ?? 0)) / 101_325
    const torque = running ? engine.torque * hump * boosted * this.strength * (1 + 0.006 * this.normal()) : 0
    return {
      at,
      running,
      speed: (rpm + 4 * this.normal()) * RPM,
      torque,
      boost: engine.boost ? (running ? arrived * engine.boost.most : -60_000) + 800 * this.normal() : null,
      lambda: running ? (engine.boost ? 0.8 : 0.88) + 0.008 * this.normal() : 1 + 0.01 * this.normal(),
      coolant: AMBIENT + (WARM - AMBIENT) * this.heat + 0.2 * this.normal(),
      oilPressure: (1.2 + 0.00058 * rpm) * 1e5 + 3000 * this.normal(),
    }
  }

  /** Repeatable noise: the sum of twelve uniforms less six, as normal as a sensor's. */
  private normal(): number {
    let sum = -6
    for (let i = 0; i < 12; i += 1) {
      this.seed = (Math.imul(this.seed, 1664525) + 1013904223) >>> 0
      sum += this.seed / 4294967296
    }
    return sum
  }
}
