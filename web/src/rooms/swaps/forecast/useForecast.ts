import { type Mark } from '@bold-ballast/contract'
import { conditionShift, forecastInputs } from '@bold-ballast/model'
import {
  type ForecastInputs,
  type ForecastMark,
  type ForecastPart,
  type GrowthAllowance,
} from '@bold-ballast/core'
import { useEffect, useMemo, useState } from 'react'
import { useBuild, useLiveBuild } from '../../../store/useBuild'
import { useLiveCar } from '../../../store/useCar'
import type { DrawnForecast, ForecastApi } from '../../../workers/forecast.worker'
import { useRemote } from '../../../store/useRemote'

const startWorker = () =>
  new Worker(new URL('../../../workers/forecast.worker.ts', import.meta.url), { type: 'module' })

const MEASURE: Partial<Record<Mark['measure'], ForecastMark['measure']>> = {
  mass: 'mass',
  powerToWeight: 'powerToWeight',
}

/** The stage's forecast, drawn in a worker, and what it was drawn from. */
export function useForecast(): {
  parts: readonly ForecastPart[]
  growth: GrowthAllowance
  forecast: DrawnForecast | null
  problem: string | null
} {
  const { view, stage, ledger, built } = useBuild()
  const { summary } = useLiveBuild()
  const car = useLiveCar()
  const [outcome, setOutcome] = useState<DrawnForecast | { problem: string } | null>(null)
  const api = useRemote<ForecastApi>(startWorker)
  const from = useMemo(
    () => forecastInputs(view, { stage, build: built, summary }, ledger),
    [view, stage, built, summary, ledger],
  )
  const inputs = useMemo<ForecastInputs>(
    () => ({
      ...from,
      marks: view.marks
        .filter((m) => m.stageId === stage.id)
        .flatMap((m): ForecastMark[] => {
          const measure = MEASURE[m.measure]
          // In another condition the car is heavier by what is aboard there.
          const target = {
            ...m,
            value: m.value - (measure === 'mass' ? conditionShift(car, m.conditionId) : 0),
          }
          return measure ? [{ id: m.id, measure, target }] : []
        }),
    }),
    [from, view.marks, stage.id, car],
  )
  useEffect(() => {
    let isOld = false
    void api()
      .forecast(inputs)
      .then((drawn) => {
        if (!isOld) setOutcome(drawn)
      })
    return () => {
      isOld = true
    }
  }, [api, inputs])
  const drawn = outcome && 'curve' in outcome ? outcome : null
  return {
    parts: from.parts,
    growth: from.growth,
    forecast: drawn,
    problem: outcome && 'problem' in outcome ? outcome.problem : null,
  }
}
