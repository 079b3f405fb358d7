import { chooseFuse, chooseWire, wireCapacity, wireResistance } from './wire'

/** A class of outputs of a power module: what one of them switches. */
export interface ChannelClass {
  readonly name: string
  readonly count: number
  /** A, for good and at the start. */
  readonly limit: number
  readonly inrushLimit: number
}

export const USES = ['always', 'running', 'sometimes'] as const
/** When a load draws: with the key on, with the engine running, or now and then. */
export type Use = (typeof USES)[number]

/** One load of the loom. SI. */
export interface Circuit {
  readonly id: string
  readonly name: string
  /** A, running, and at the start. */
  readonly current: number
  readonly inrush: number
  /** Share of the time that it draws. */
  readonly duty: number
  readonly use: Use
  /** One way, m; the return is the shell unless it is a wire as well. */
  readonly length: number
  readonly returnWire: boolean
  /** Of the loom as built, m²; null to be advised. */
  readonly wireArea: number | null
  /** A; null to be advised. */
  readonly fuse: number | null
  /** Name of its class of the power module; null for a fuse and relay of its own. */
  readonly channel: string | null
}

export interface Supply {
  /** V, running. */
  readonly voltage: number
  /** Share of it that a wire may lose. */
  readonly allowedDrop: number
  /** A that the alternator gives at idle and at speed. */
  readonly alternatorIdle: number
  readonly alternatorSpeed: number
  /** A·s */
  readonly batteryCharge: number
  readonly batteryMass: number
  readonly classes: readonly ChannelClass[]
}

export interface CircuitCheck {
  readonly circuit: Circuit
  /** The wire that is advised, m²; null when none will do. */
  readonly areaAdvised: number | null
  /** With the wire as built, or the one advised, V. */
  readonly drop: number
  readonly fuseAdvised: number | null
  /** kg of copper with its insulation. */
  readonly mass: number
  readonly faults: readonly string[]
}

export interface ElectricsTotals {
  /** Mean draw, A: everything always on, and with the engine running. */
  readonly keyOn: number
  readonly running: number
  /** Everything at once, A. */
  readonly peak: number
  /** What the alternator has left, A; below zero the battery pays. */
  readonly leftAtIdle: number
  readonly leftAtSpeed: number
  /** Time until half of the battery is gone, s, with the engine off; null when nothing draws. */
  readonly engineOff: number | null
  /** The same idling, s; null when the alternator keeps up. */
  readonly idling: number | null
  readonly channels: readonly {
    readonly class: ChannelClass
    readonly used: number
    readonly isShort: boolean
  }[]
  readonly loomMass: number
}

/** Copper, and insulation at about a third more (common practice). */
const WIRE_DENSITY = 8960 * 1.35

/**
 * Checks one circuit: wire against current and drop, fuse between load and wire, its class of the power module.
 *
 * @source {@link chooseWire}, {@link chooseFuse}
 * @example checkCircuit(fuelPump, supply).faults // ['The class “Medium” switches 8 A; this draws 12 A.']
 */
export function checkCircuit(circuit: Circuit, supply: Supply): CircuitCheck {
  const faults: string[] = []
  const length = circuit.length * (circuit.returnWire ? 2 : 1)
  const allowed = supply.voltage * supply.allowedDrop
  const advised =
    circuit.current > 0 && length > 0
      ? chooseWire(circuit.current, length, allowed)
      : { area: circuit.wireArea, drop: 0 }
  const area = circuit.wireArea ?? advised.area
  const drop = area === null || length === 0 ? 0 : circuit.current * wireResistance(length, area)
  if (advised.area === null)
    faults.push('No wire that is sold carries this so far. Split the load or move its supply.')
  if (circuit.wireArea !== null) {
    if (wireCapacity(circuit.wireArea) < circuit.current)
      faults.push(
        `The wire carries ${wireCapacity(circuit.wireArea).toFixed(0)} A for good; this draws ${show(circuit.current)} A.`,
      )
    if (drop > allowed)
      faults.push(`The wire loses ${drop.toFixed(2)} V; ${allowed.toFixed(2)} V is allowed.`)
  }
  const fuseAdvised = area === null ? null : chooseFuse(circuit.current, area)
  if (circuit.fuse !== null) {
    if (circuit.fuse < circuit.current * 1.25)
      faults.push(
        `A fuse of ${show(circuit.fuse)} A blows in time at ${show(circuit.current)} A; ${show(circuit.current * 1.25)} A or more is wanted.`,
      )
    if (area !== null && circuit.fuse > wireCapacity(area) * 1.25)
      faults.push(
        `A fuse of ${show(circuit.fuse)} A doesn’t protect this wire, which stands ${(wireCapacity(area) * 1.25).toFixed(0)} A.`,
      )
  }
  if (circuit.channel !== null) {
    const found = supply.classes.find((c) => c.name === circuit.channel)
    if (!found) faults.push(`The power module has no class “${circuit.channel}”.`)
    else {
      if (circuit.current > found.limit)
        faults.push(
          `The class “${found.name}” switches ${show(found.limit)} A; this draws ${show(circuit.current)} A.`,
        )
      if (circuit.inrush > found.inrushLimit)
        faults.push(
          `The class “${found.name}” stands ${show(found.inrushLimit)} A at the start; this takes ${show(circuit.inrush)} A.`,
        )
    }
  }
  return {
    circuit,
    areaAdvised: advised.area,
    drop,
    fuseAdvised,
    mass: (area ?? 0) * length * WIRE_DENSITY,
    faults,
  }
}

const show = (amps: number) => Number(amps.toFixed(1)).toString()

/**
 * What all circuits draw, what the alternator has left, how long the battery lasts, which outputs are used.
 *
 * @source Kirchhoff's current law; half of a starter battery's charge is what may be used (common practice)
 * @example electricsTotals(circuits, supply).leftAtIdle
 */
export function electricsTotals(circuits: readonly Circuit[], supply: Supply): ElectricsTotals {
  const mean = (uses: readonly Use[]) =>
    circuits.filter((c) => uses.includes(c.use)).reduce((sum, c) => sum + c.current * c.duty, 0)
  const keyOn = mean(['always'])
  const running = mean(USES)
  const half = supply.batteryCharge / 2
  const leftAtIdle = supply.alternatorIdle - running
  return {
    keyOn,
    running,
    peak: circuits.reduce((sum, c) => sum + c.current, 0),
    leftAtIdle,
    leftAtSpeed: supply.alternatorSpeed - running,
    engineOff: keyOn > 0 ? half / keyOn : null,
    idling: leftAtIdle < 0 ? half / -leftAtIdle : null,
    channels: supply.classes.map((c) => {
      const used = circuits.filter((x) => x.channel === c.name).length
      return { class: c, used, isShort: used > c.count }
    }),
    loomMass: circuits.reduce((sum, c) => sum + checkCircuit(c, supply).mass, 0),
  }
}
