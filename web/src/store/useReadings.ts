import { type BuildDocument, type Mark } from '@bold-ballast/contract'
import { readMark, stageFigures, type Asked, type LedgerIndex } from '@bold-ballast/model'
import { headlineFigures, judgeFigures, type MarkFigures, type MarkReading } from '@bold-ballast/core'
import { isHeadline } from './marksOf'
import { useBuild, useLiveBuild } from './useBuild'
import { settledSummaries } from './useSettledSummaries'

type StageFigures = (asked: Asked) => MarkFigures
/** Once for each state of a build: the Board, the tally and the proof sheet ask the same. */
const kept = new WeakMap<BuildDocument, readonly StageFigures[]>()

function figuresOf(view: BuildDocument, ledger: LedgerIndex): readonly StageFigures[] {
  const before = kept.get(view)
  if (before) return before
  const { stages } = ledger
  const summaries = settledSummaries(view, ledger)
  const figures = stages.map((_, at) => stageFigures(view, stages, summaries, at))
  kept.set(view, figures)
  return figures
}

/** The figures of every stage, in order, worked out as they are asked for. What is being typed doesn't count yet. */
export function useStageFigures(): readonly StageFigures[] {
  const { view, ledger } = useBuild()
  return figuresOf(view, ledger)
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
