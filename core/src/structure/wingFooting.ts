import type { PanelUnderLoad } from './panelUnderLoad'
import { pressedSpot } from './pressedSpot'
import { POISSON } from './sheetMaterials'
import { footMoment, type WingLoad } from './wingMount'

/** What the foot of an upright stands on: a thin field of sheet, and a plate that spreads the load. m. */
export interface WingFooting {
  readonly sheet: 'steel' | 'aluminium' | 'carbon'
  readonly thickness: number
  readonly spanAlong: number
  readonly spanAcross: number
  readonly plateRadius: number
}

/** Body sheet: usual figures (common practice). */
const SHEET = {
  steel: { stiffness: 205e9, strength: 180e6 },
  aluminium: { stiffness: 70e9, strength: 130e6 },
  carbon: { stiffness: 50e9, strength: 350e6 },
} as const

/**
 * Whether the sheet under a wing's foot holds it, where it presses hardest.
 *
 * Drag and the wing's own pitching moment bend the upright: its bolts press with that moment over their spacing, and with half of what presses
 * straight down.
 *
 * @param load on the whole wing with its factors, N
 * @throws {RangeError} as `pressedSpot`
 * @source statics, then Roark's load on a small spot
 * @example checkFooting(footing, { uprights: 2, height: 0.3, boltSpacing: 0.06 }, { downforce: 1500, drag: 400 }).safety
 */
export function checkFooting(
  { sheet, thickness, spanAlong, spanAcross, plateRadius }: WingFooting,
  mount: { readonly uprights: number; readonly height: number; readonly boltSpacing: number },
  { downforce, drag, pitching = 0 }: WingLoad,
): PanelUnderLoad {
  if (!(thickness > 0)) throw new RangeError('a thickness is above zero')
  const { stiffness, strength } = SHEET[sheet]
  const moment = footMoment({ drag, pitching }, mount.height) / mount.uprights
  const press = Math.max(0, downforce) / mount.uprights / 2 + moment / mount.boltSpacing
  const plate = {
    rigidity: (stiffness * thickness ** 3) / (12 * (1 - POISSON ** 2)),
    moment: (strength * thickness ** 2) / 6,
    shear: Infinity,
    areaDensity: 0,
  }
  return pressedSpot(plate, [spanAlong, spanAcross], plateRadius, press)
}
