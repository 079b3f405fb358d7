import { type Mark } from '@bold-ballast/contract'
import { forecastParts, powerOf } from '@bold-ballast/model'
import {
  USUAL_GROWTH,
  type ForecastInputs,
  type ForecastMark,
  type ForecastPart,
  type GrowthAllowance,
} from '@bold-ballast/core'
import { useEffect, useMemo, useState } from 'react'
import { useBuild, useLiveBuild } from '../../../store/useBuild'
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
  const [outcome, setOutcome] = useState<DrawnForecast | { problem: string } | null>(null)
  const api = useRemote<ForecastApi>(startWorker)
  const growth = useMemo<GrowthAllowance>(
    () => ({ ...USUAL_GROWTH, ...view.build.growth }),
    [view.build.growth],
  )
  const parts = useMemo(() => forecastParts(view, stage.id, ledger), [view, stage.id, ledger])
  const power = powerOf(summary)
  const inputs = useMemo<ForecastInputs>(
    () => ({
      parts,
      growth,
      ...(view.build.lean && { lean: view.build.lean }),
      wheelbase: built.wheelbase,
      power,
      marks: view.marks
        .filter((m) => m.stageId === stage.id)
        .flatMap((m): ForecastMark[] => {
          const measure = MEASURE[m.measure]
          return measure ? [{ id: m.id, measure, target: m }] : []
        }),
    }),
    [parts, growth, view.build.lean, built.wheelbase, power, view.marks, stage.id],
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
  return { parts, growth, forecast: drawn, problem: outcome && 'problem' in outcome ? outcome.problem : null }
}
