import { beamOnTwoSupports } from './beamOnTwoSupports'

/** What carries a wing from end to end: a round tube through it. SI. */
export interface WingSpar {
  readonly metal: SparMetal
  readonly outside: number
  readonly wall: number
  /** Between the uprights. */
  readonly apart: number
  /** How far it lies behind the line on which the air presses. */
  readonly behind: number
}
export const SPAR_METALS = ['aluminium', 'steel', 'carbon'] as const
export type SparMetal = (typeof SPAR_METALS)[number]

/** Usual figures of tube (common practice): E, G and strength, Pa. */
const TUBES: Readonly<Record<SparMetal, { stiffness: number; shear: number; strength: number }>> = {
  aluminium: { stiffness: 70e9, shear: 26e9, strength: 240e6 },
  steel: { stiffness: 205e9, shear: 79e9, strength: 250e6 },
  carbon: { stiffness: 90e9, shear: 8e9, strength: 350e6 },
}

export interface SparCheck {
  /** Strength over stress in bending. */
  readonly bending: number
  /** How far the middle and the ends give way, m. */
  readonly middle: number
  readonly ends: number
  /** Angle that its ends lose to twist, rad. */
  readonly twist: number
}

/**
 * Whether the tube inside a wing holds it, and how much angle its load twists off. Its skin is left out: what it adds
 * is in hand.
 *
 * @param span of the wing, m
 * @param load pressing down, N
 * @throws {RangeError} for sizes that make no tube or no beam
 * @source I = π(D⁴ − d⁴)/64, σ = M·D/2I; twist of an overhang under an even moment, θ = t·o²/(2·G·J), J = 2I
 * @example checkSpar({ metal: 'aluminium', outside: 0.03, wall: 0.002, apart: 1, behind: 0.03 }, 1.6, 1500).bending
 */
export function checkSpar(spar: WingSpar, span: number, load: number): SparCheck {
  const { outside, wall, apart, behind } = spar
  if (!(outside > 0 && wall > 0)) throw new RangeError('a tube has sizes above zero')
  if (wall > outside / 2) throw new RangeError('a wall is no thicker than half of the tube')
  const { stiffness, shear, strength } = TUBES[spar.metal]
  const second = (Math.PI / 64) * (outside ** 4 - (outside - 2 * wall) ** 4)
  const { moment, middle, ends } = beamOnTwoSupports({ span, apart, load, rigidity: stiffness * second })
  const over = (span - apart) / 2
  return {
    middle,
    ends,
    bending: moment > 0 ? (strength * second) / ((moment * outside) / 2) : Infinity,
    twist: ((load / span) * behind * over ** 2) / (2 * shear * 2 * second),
  }
}
