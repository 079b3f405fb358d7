/** Cross-sections that automotive wire is sold in, m². */
export const WIRE_AREAS = [0.35, 0.5, 0.75, 1, 1.5, 2, 2.5, 3, 4, 6, 10, 16, 25, 35, 50, 70].map(
  (mm2) => mm2 * 1e-6,
)

/** Fuse sizes of the blade kind, A. */
export const FUSES = [2, 3, 5, 7.5, 10, 15, 20, 25, 30, 40, 50, 60, 70, 80, 100, 125, 150, 175, 200, 250, 300]

/** Of annealed copper at 20 °C, Ω·m: 100 % IACS, IEC 60028; and how it rises with each kelvin. */
const RESISTIVITY = 1.7241e-8
const RISE = 0.00393

/**
 * Resistance of a wire.
 *
 * @param length of the wire, m; there and back where the return is a wire as well
 * @param area of the copper, m²
 * @param temperature of the copper, K
 * @throws {RangeError} for a wire without copper
 * @source IEC 60028: 1.7241e-8 Ω·m at 20 °C, 0.00393 a kelvin
 * @example wireResistance(1, 1e-6, 293.15) // 0.01724
 */
export function wireResistance(length: number, area: number, temperature = 333.15): number {
  if (!(area > 0)) throw new RangeError('a wire has an area above zero')
  return (RESISTIVITY * (1 + RISE * (temperature - 293.15)) * length) / area
}

/**
 * Current that a wire in a loom carries for good in a warm car, A.
 *
 * @param area of the copper, m²
 * @source common practice: about 10 A for 1 mm² at 60 °C in a bundle, growing with area to the power 0.7
 * @example wireCapacity(2.5e-6) // 19
 */
export const wireCapacity = (area: number): number => 10 * (area * 1e6) ** 0.7

export interface WireChoice {
  /** m²; `null` when none that is sold will do. */
  readonly area: number | null
  readonly because: 'current' | 'drop'
  /** V, with that wire. */
  readonly drop: number
}

/**
 * The thinnest wire that carries a current for good and loses no more voltage than allowed.
 *
 * @param current A, running
 * @param length there and back, m
 * @param allowed drop, V
 * @throws {RangeError} for a current, length or drop that is not above zero
 * @source Ohm's law; {@link wireCapacity}
 * @example chooseWire(12, 6, 0.4).area // 4e-6
 */
export function chooseWire(current: number, length: number, allowed: number): WireChoice {
  if (!(current > 0 && length > 0 && allowed > 0))
    throw new RangeError('a wire needs a current, a length and a drop above zero')
  const carries = WIRE_AREAS.find((a) => wireCapacity(a) >= current)
  const drops = WIRE_AREAS.find((a) => current * wireResistance(length, a) <= allowed)
  const area = carries === undefined || drops === undefined ? null : Math.max(carries, drops)
  const because = carries !== undefined && drops !== undefined && drops > carries ? 'drop' : 'current'
  return { area, because, drop: area === null ? NaN : current * wireResistance(length, area) }
}

/**
 * The fuse for a load: above what runs for good with a quarter in hand, below what the wire stands.
 *
 * @param current A, running
 * @param area of the wire, m²
 * @returns `null` when no fuse lies between the two: the wire is too thin for the load
 * @source common practice: a fuse carries 80 % of its rating for good, and protects the wire
 * @example chooseFuse(8, 1.5e-6) // 10
 */
export function chooseFuse(current: number, area: number): number | null {
  return FUSES.find((f) => f >= current * 1.25 && f <= wireCapacity(area) * 1.25) ?? null
}
