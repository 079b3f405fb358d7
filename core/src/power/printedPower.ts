import { correctionFactor, type Correction } from './correctionFactor'
import type { Ambient } from './humidAir'

/**
 * A power or torque figure of a sheet, brought from the sheet's correction to another one through what
 * was observed.
 *
 * @param figure W or N·m, as the sheet gives it
 * @param from the sheet's correction
 * @param to the wanted one
 * @param ambient the air of that pull, or `null` when unknown
 * @returns `null` when the two differ and the air isn't known
 * @example printedPower(200e3, 'observed', 'j1349', air) // 214e3 at 35 °C and 95 kPa, dry
 */
export function printedPower(
  figure: number,
  from: Correction,
  to: Correction,
  ambient: Ambient | null,
): number | null {
  if (from === to) return figure
  if (!ambient) return null
  return (figure / correctionFactor(from, ambient).factor) * correctionFactor(to, ambient).factor
}
