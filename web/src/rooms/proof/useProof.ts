import { type Mark } from '@bold-ballast/contract'
import {
  fittedAt,
  gearedCar,
  readMark,
  stageLadder,
  type GearedCar,
  type Rung,
  type SwapWithLines,
} from '@bold-ballast/model'
import {
  aeroBalance,
  aeroSigma,
  placedAreas,
  roadSpeedAt,
  totalsOfStage,
  type AeroBalance,
  type MarkReading,
  type StageSummary,
} from '@bold-ballast/core'
import { useMemo } from 'react'
import { marksOf } from '../../store/marksOf'
import { useBuild } from '../../store/useBuild'
import { useCarried } from '../../store/useCarried'
import { useStageFigures } from '../../store/useReadings'
import { useSettledSummaries } from '../../store/useSettledSummaries'

export interface Proof {
  readonly summary: StageSummary
  readonly marks: readonly { readonly mark: Mark; readonly reading: MarkReading }[]
  readonly car: GearedCar | null
  /** Road speed at the limiter, gear by gear, m/s. */
  readonly gears: readonly { readonly ratio: number; readonly speed: number }[]
  readonly rungs: readonly Rung[]
  readonly aero: { readonly balance: AeroBalance; readonly sigma: number | null } | null
  readonly changed: readonly { readonly entry: SwapWithLines; readonly mass: number }[]
  readonly className: string | null
}

/** Everything that a proof sheet of the open stage says, as far as it is saved. */
export function useProof(): Proof {
  const { view, ledger, stage } = useBuild()
  const summaries = useSettledSummaries()
  const figures = useStageFigures()
  const { record: scrutiny } = useCarried('scrutiny')
  const at = ledger.stages.indexOf(stage)
  return useMemo((): Proof => {
    const summary = summaries[at]!
    const { car } = gearedCar(view, ledger.stages, summaries, at)
    const elements = fittedAt(view.aeroElements, ledger.stages, stage.id)
    const { wheelbase } = view.build
    return {
      summary,
      car,
      marks: marksOf(view, stage.id).map((mark) => ({ mark, reading: readMark(figures[at]!, mark) })),
      gears: car
        ? car.drive.ratios.map((ratio, g) => ({
            ratio,
            speed: roadSpeedAt(car.gearing, g, car.gearing.limiter),
          }))
        : [],
      rungs: stageLadder(view, ledger.stages, summaries, at, car),
      aero:
        elements.length > 1
          ? {
              balance: aeroBalance(placedAreas(elements), wheelbase),
              sigma: aeroSigma(elements, wheelbase).frontShare,
            }
          : null,
      changed: ledger
        .swapsOf(stage.id)
        .map((entry) => ({ entry, mass: totalsOfStage([entry.counted]).net.value })),
      className: view.rulebooks.find((b) => b.id === scrutiny?.rulebookId)?.name ?? null,
    }
  }, [view, ledger, stage, summaries, figures, at, scrutiny])
}
