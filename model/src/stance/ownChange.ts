import type { AxleEnd, Quantity } from '@bold-ballast/core'
import type { AskedChange } from './balanceChanges'
import type { CarStance } from './carStance'

/** What may be given another figure for its balance: of an axle, or of the car. */
export type OwnFigure = 'spring' | 'bar' | 'tyre' | 'track' | 'rollCentre' | 'height' | 'back'
export interface OwnChange {
  readonly figure: OwnFigure
  /** Of the figure's axle; null for the car's own. */
  readonly end: AxleEnd | null
  /** The figure itself, SI. */
  readonly to: number
}

interface Own {
  readonly quantity: Quantity
  /** The figure as it is. */
  readonly now: (stance: CarStance, end: AxleEnd) => number
  /** What it has to lie between, SI: beyond it is a slip of the unit. */
  readonly from: number
  readonly upTo: number
}

/** Each figure that may be tried, with what it is now. */
export const OWN_FIGURES: Readonly<Record<OwnFigure, Own>> = {
  spring: { quantity: 'stiffness', now: (s, end) => s[end].spring.value, from: 1000, upTo: 1e6 },
  bar: { quantity: 'rollStiffness', now: (s, end) => s[end].bar.value, from: 0, upTo: 1e6 },
  tyre: { quantity: 'stiffness', now: (s, end) => s.rollCar[end].tyreRate, from: 20_000, upTo: 1e6 },
  track: { quantity: 'length', now: (s, end) => s.rollCar[end].track, from: 0.8, upTo: 2.5 },
  rollCentre: { quantity: 'length', now: (s, end) => s.rollCar[end].rollCentre, from: -0.3, upTo: 0.6 },
  height: { quantity: 'length', now: (s) => s.rollCar.centre.z, from: 0.1, upTo: 1.2 },
  back: { quantity: 'length', now: (s) => s.rollCar.centre.x, from: 0.3, upTo: 4 },
}

/**
 * A change of one's own to the balance in roll, beside what may be turned anyway.
 *
 * @returns null for a figure that no car has
 * @example ownChange(car.stance, { figure: 'track', end: 'rear', to: 1.6 })?.change // { axle: 'rear', figure: 'track', to: 1.6 }
 */
export function ownChange(stance: CarStance, own: OwnChange): AskedChange | null {
  const { figure, to } = own
  const { from, upTo, now } = OWN_FIGURES[figure]
  if (!(to >= from && to <= upTo)) return null
  const key = 'own'
  if (figure === 'height' || figure === 'back') {
    if (figure === 'back' && to >= stance.rollCar.wheelbase) return null
    return {
      key,
      change: { axle: null, figure, to },
      what: { kind: figure, by: to - now(stance, 'front') },
    }
  }
  const { end } = own
  if (end === null) return null
  switch (figure) {
    case 'spring': {
      // At the wheel as the one that is on is: by the same ratio.
      const rate = (stance.rollCar[end].wheelRate * to) / now(stance, end)
      return {
        key,
        change: { axle: end, figure: 'wheelRate', to: rate },
        what: { kind: 'spring', end, rate: to },
      }
    }
    case 'bar':
      return { key, change: { axle: end, figure, to }, what: { kind: 'bar', end, stiffness: to } }
    case 'tyre':
      return {
        key,
        change: { axle: end, figure: 'tyreRate', to },
        what: { kind: 'tyre', end, by: to / now(stance, end) - 1 },
      }
    case 'track':
    case 'rollCentre':
      return {
        key,
        change: { axle: end, figure, to },
        what: { kind: figure, end, by: to - now(stance, end) },
      }
  }
}
