import type { AeroElement } from '@bold-ballast/contract'
import { aeroBalance, placedAreas, type AeroBalance } from '@bold-ballast/core'
import { useMemo } from 'react'
import { useCars, useLiveCar } from '../../store/useCar'

export interface Aero {
  readonly elements: readonly AeroElement[]
  readonly balance: AeroBalance
  /** Of the stage before; null for the first. */
  readonly before: AeroBalance | null
  /** Front share of the mass as it was fitted. */
  readonly massFront: number
}

/** What is on the car at this stage, and what the axles get of it. */
export function useAero(moved: Pick<AeroElement, 'id' | 'x' | 'z'> | null = null): Aero {
  const { build, summary, aero, stage } = useLiveCar()
  const cars = useCars()
  const earlier = cars[cars.findIndex((c) => c.stage.id === stage.id) - 1]
  const { wheelbase } = build
  // While an element is dragged it counts from where it is held.
  const elements = useMemo(
    () => (moved ? aero.elements.map((e) => (e.id === moved.id ? { ...e, ...moved } : e)) : aero.elements),
    [aero, moved],
  )
  const balance = useMemo(
    () => (moved ? aeroBalance(placedAreas(elements), wheelbase) : aero.balance),
    [aero, moved, elements, wheelbase],
  )
  return {
    elements,
    balance,
    before: earlier && earlier.aero.elements.length > 0 ? earlier.aero.balance : null,
    massFront: 1 - summary.asFitted.centre.x.value / wheelbase,
  }
}
