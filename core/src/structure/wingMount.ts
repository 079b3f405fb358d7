/** Uprights of flat plate, standing fore and aft, that carry a wing. SI. */
export interface WingMount {
  readonly uprights: number
  /** From the fixing up to the wing, along the car, and of the plate, m. */
  readonly height: number
  readonly width: number
  readonly thickness: number
  readonly stiffness: number
  readonly strength: number
  /** Bolts at the foot of each upright, their diameter and how far apart the outer ones are along the car, m. */
  readonly bolts: number
  readonly boltDiameter: number
  readonly boltSpacing: number
  /** Bolts at the top of each upright, through the wing, and their diameter, m. */
  readonly topBolts: number
  readonly topBoltDiameter: number
}

/** Plate of a structural aluminium, and bolts of class 8.8: usual figures (common practice). */
export const PLATE_ALUMINIUM = { stiffness: 70e9, strength: 240e6 } as const
const BOLT_PROOF = 580e6
/** Share of its proof load that a bolt bears across (von Mises). */
const ACROSS = 0.577
/** The bolts at the top of an upright stand apart by this share of its width (common practice). */
const TOP_APART = 0.6
/** Share of a bolt's shank that its thread leaves. */
const THREAD = 0.78

/** What a wing asks of its uprights, with its factors. */
export interface WingLoad {
  /** N, pressing down; below zero it pulls. */
  readonly downforce: number
  readonly drag: number
  /** N·m about the top of the uprights, tipping them back where above zero; left out for none. */
  readonly pitching?: number
}

/**
 * The bending moment at the feet of a wing's uprights, N·m, all of them together.
 *
 * @source statics: drag at the uprights' height, with the wing's pitching moment beside it
 * @example footMoment({ drag: 400, pitching: 60 }, 0.3) // 180
 */
export const footMoment = ({ drag, pitching = 0 }: Pick<WingLoad, 'drag' | 'pitching'>, height: number) =>
  Math.abs(Math.abs(drag) * height + pitching)

export interface WingMountCheck {
  /** What each bears over what it is asked; Infinity where nothing is asked. */
  readonly bending: number
  readonly buckling: number
  readonly bolts: number
  readonly topBolts: number
  /** How far the wing tips back, rad: angle that the load itself takes off. */
  readonly tipsBack: number
}

/**
 * Whether the uprights of a wing hold it.
 *
 * The wing's pitching moment goes into the uprights at their top and runs down to their feet, beside what drag makes
 * there. A wing that stands on one row of bolts alone would turn: the moment is taken by the outer ones.
 *
 * @param load with its factors
 * @throws {RangeError} for sizes that are not above zero
 * @source cantilevers: σ = 6·M/(n·t·w²) with M = D·h + M_p, θ = (D·h²/2 + M_p·h)/(E·I·n); Euler with a free top, π²·E·I/(2h)²; the foot's moment
 * over the spacing of its bolts, at 0.78 of their shank and 580 MPa (statics; proof stress of class 8.8: ISO 898-1)
 * @example checkWingMount(mount, { downforce: 2000, drag: 400 }).bending
 */
export function checkWingMount(
  mount: WingMount,
  { downforce, drag, pitching = 0 }: WingLoad,
): WingMountCheck {
  const { uprights, height, width, thickness, stiffness, strength, bolts, boltDiameter, boltSpacing } = mount
  const { topBolts, topBoltDiameter } = mount
  const sizes = [uprights, height, width, thickness, bolts, boltDiameter, boltSpacing]
  if (![...sizes, topBolts, topBoltDiameter].every((n) => n > 0))
    throw new RangeError('uprights and bolts have sizes above zero')
  const moment = footMoment({ drag, pitching }, height) / uprights
  const along = (thickness * width ** 3) / 12
  const sideways = (width * thickness ** 3) / 12
  const push = Math.max(0, downforce) / uprights
  // One bolt row holds what the foot would lift, less what the wing presses down.
  const pull = Math.max(0, moment / boltSpacing - push / 2)
  const bears = (diameter: number) => THREAD * (Math.PI / 4) * diameter ** 2 * BOLT_PROOF
  const held = Math.max(1, bolts / 2) * bears(boltDiameter)
  const over = (limit: number, asked: number) => (asked > 0 ? limit / asked : Infinity)
  return {
    bending: over(strength, (6 * moment) / (thickness * width ** 2)),
    buckling: over((Math.PI ** 2 * stiffness * sideways) / (2 * height) ** 2, push),
    bolts: over(held, pull),
    topBolts: over(
      topBolts * ACROSS * bears(topBoltDiameter),
      Math.hypot(Math.abs(downforce) + (2 * Math.abs(pitching)) / (TOP_APART * width), drag) / uprights,
    ),
    tipsBack: ((Math.abs(drag) * height ** 2) / 2 + pitching * height) / (uprights * stiffness * along),
  }
}
