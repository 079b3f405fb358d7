import type { AeroElement } from './elementAreas'
import { elementAreas } from './elementAreas'
import { usualSection } from './finiteWing'

/** Where the lift of a wing acts, behind its leading edge, as a share of the chord (thin aerofoils). */
const LIFT_AT = 0.25

/**
 * The pitching moment of a wing about where its uprights hold it, N·m; above zero it tips them back.
 *
 * A cambered section turns its leading edge away from its lift: on a wing that presses down, up. Lift ahead of the
 * uprights turns it down again. Both are carried by the uprights.
 *
 * @param pressure dynamic pressure, Pa
 * @param behind how far the uprights hold it behind the line of its lift, m; left out for the middle of its chord
 * @returns 0 for what is no wing
 * @source thin aerofoils: C_m at a quarter of the chord = (π/2)·α₀ for a parabolic camber (Katz & Plotkin, Low-Speed
 * Aerodynamics, chapter 5); statics
 * @example pitchingMoment(wing, 1500)
 */
export function pitchingMoment(
  element: AeroElement,
  pressure: number,
  behind: number = (0.5 - LIFT_AT) * element.chord,
): number {
  const { kind, wing, span, chord } = element
  if (kind !== 'wing' || !wing) return 0
  const camber = (Math.PI / 2) * Math.abs(usualSection(wing.foils).zeroLift)
  return pressure * (camber * span * chord ** 2 - elementAreas(element).downforceArea * behind)
}
