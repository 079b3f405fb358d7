import { type AeroElement } from '@bold-ballast/contract'
import { fittedAt } from '@bold-ballast/model'
import { aeroBalance, placedAreas, type AeroBalance } from '@bold-ballast/core'
import { useMemo } from 'react'
import { useBuild, useLiveBuild } from '../../store/useBuild'

export interface Aero {
  readonly elements: readonly AeroElement[]
  readonly balance: AeroBalance
  /** Of the stage before; null for the first. */
  readonly before: AeroBalance | null
  /** Front share of the mass, with the driver in. */
  readonly massFront: number
}

/** What is on the car at this stage, and what the axles get of it. */
export function useAero(moved: Pick<AeroElement, 'id' | 'x' | 'z'> | null = null): Aero {
  const { view, ledger, stage } = useBuild()
  const { summary } = useLiveBuild()
  const { wheelbase } = view.build
  const massFront = 1 - summary.asFitted.centre.x.value / wheelbase
  const { elements, before } = useMemo(() => {
    const at = ledger.stages.indexOf(stage)
    const own = fittedAt(view.aeroElements, ledger.stages, stage.id)
    const earlier = at > 0 ? fittedAt(view.aeroElements, ledger.stages, ledger.stages[at - 1]!.id) : null
    return {
      elements: own,
      before: earlier && earlier.length > 0 ? aeroBalance(placedAreas(earlier), wheelbase) : null,
    }
  }, [view.aeroElements, ledger.stages, stage, wheelbase])
  // While an element is dragged it counts from where it is held.
  const shown = useMemo(
    () => (moved ? elements.map((e) => (e.id === moved.id ? { ...e, ...moved } : e)) : elements),
    [elements, moved],
  )
  const balance = useMemo(() => aeroBalance(placedAreas(shown), wheelbase), [shown, wheelbase])
  return { elements: shown, balance, before, massFront }
}
