import { readMark, stageFigures, type Asked, type Mark } from '@bold-ballast/contract'
import { headlineFigures, judgeFigures, type MarkFigures, type MarkReading } from '@bold-ballast/core'
import { useMemo } from 'react'
import { isHeadline } from './marksOf'
import { useBuild, useLiveBuild } from './useBuild'
import { useSettledSummaries } from './useSettledSummaries'

/** The figures of every stage, in order, worked out as they are asked for. What is being typed doesn't count yet. */
export function useStageFigures(): readonly ((asked: Asked) => MarkFigures)[] {
  const { view, ledger } = useBuild()
  const summaries = useSettledSummaries()
  return useMemo(
    () => ledger.stages.map((_, at) => stageFigures(view, ledger.stages, summaries, at)),
    [view, ledger.stages, summaries],
  )
}

/** Reads marks of the open stage; mass, power and power to weight move with every key, the rest with what is saved. */
export function useReadMark(): (mark: Mark) => MarkReading {
  const { stage, ledger } = useBuild()
  const { summary } = useLiveBuild()
  const all = useStageFigures()
  const figures = all[ledger.stages.indexOf(stage)]!
  return (mark) => {
    return isHeadline(mark)
      ? judgeFigures(headlineFigures(mark.measure, summary), mark)
      : readMark(figures, mark)
  }
}
