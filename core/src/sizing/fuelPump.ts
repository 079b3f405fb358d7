import { pchip } from '../numeric/pchip'

/** A pump's sheet: flow against pressure at the voltage it was measured at. */
export interface PumpCurve {
  /** Pa, rising, with m³/s at each. */
  readonly points: readonly { readonly pressure: number; readonly flow: number }[]
  readonly voltage: number
}

/**
 * What a pump gives at a pressure and a voltage.
 *
 * Speed follows voltage, so the curve is scaled like a positive-displacement pump's: flow with voltage,
 * leakage unchanged. Beyond the sheet's last pressure nothing is promised.
 *
 * @param pump its sheet, two points or more
 * @param pressure it works against, Pa
 * @param voltage at its terminals, V
 * @returns m³/s; 0 beyond the sheet
 * @throws {RangeError} for a sheet with fewer than two points or pressures that don't rise
 * @source {@link pchip} through the sheet; flow with voltage less leakage is common practice
 * @example pumpFlow(pump, 4e5, 13.5) * 3.6e6 // litres an hour
 */
export function pumpFlow({ points, voltage: rated }: PumpCurve, pressure: number, voltage: number): number {
  const curve = pchip(
    points.map((p) => p.pressure),
    points.map((p) => p.flow),
  )
  const first = points[0]!
  if (pressure > points.at(-1)!.pressure) return 0
  const free = first.flow
  const leaked = free - curve(Math.max(first.pressure, pressure))
  return Math.max(0, free * (voltage / rated) - leaked)
}

/**
 * Pressure that a line loses to friction.
 *
 * @param flow m³/s
 * @param bore inner diameter, m
 * @param length m
 * @param density kg/m³
 * @param viscosity dynamic, Pa·s; petrol has about 0.0006, ethanol 0.0012
 * @throws {RangeError} for no bore
 * @source Darcy and Weisbach; laminar 64/Re, else Blasius 0.3164/Re^¼ for smooth pipes (White, Fluid Mechanics, chapter 6)
 * @example lineLoss(50e-6, 0.006, 4, 745, 0.0006) // about 26 kPa
 */
export function lineLoss(
  flow: number,
  bore: number,
  length: number,
  density: number,
  viscosity = 0.0006,
): number {
  if (!(bore > 0)) throw new RangeError('a line needs a bore')
  if (!(flow > 0)) return 0
  const speed = flow / ((Math.PI * bore ** 2) / 4)
  const reynolds = (density * speed * bore) / viscosity
  const friction = reynolds < 2300 ? 64 / reynolds : 0.3164 / reynolds ** 0.25
  return (friction * length * density * speed ** 2) / (2 * bore)
}
