import { bestPlan, joinOutcomes, plansOf, type WorkOutcome, type WorkPlan } from '@bold-ballast/core'
import { workNetworkOf, type WorkReckoned } from '@bold-ballast/model'
import { proxy } from 'comlink'
import { useEffect, useMemo, useState } from 'react'
import { useWorkQuery } from './api'
import { useBuild } from './useBuild'
import { useWorkLibrary } from './useWorkLibrary'
import { useReckonedFrom } from './useReckonedFrom'
import { useSame } from './useSame'
import { useTrustsRecord } from './useTrustsRecord'
import { readyWorkHands, restWorkHand, takeWorkHand, WORK_HANDS, type WorkHand } from './workHands'

/** As many ways as are looked at before a chance is said, and for a first look. */
export const ALL_DRAWS = 5000
export const SOME_DRAWS = 1000
/** What the browser’s own clock calls a drawing, from its plan until its outcome. */
const DRAWING = 'work drawing'
const DRAWN = 'work drawn'
/** Until what is typed or fetched has settled, ms. */
const SETTLED = 60

/** The open jobs as a network. */
export function useReckoned(): WorkReckoned {
  const { view } = useBuild()
  const { from, zone } = useReckonedFrom()
  const [trusts] = useTrustsRecord()
  const library = useWorkLibrary()
  return useSame(
    useMemo(
      () => workNetworkOf(view, { from, zone, library: trusts ? library : null }),
      [view, from, zone, trusts, library],
    ),
  )
}

interface State {
  readonly of: WorkReckoned | null
  readonly outcome: WorkOutcome | null
  /** By which it was drawn. */
  readonly plan: WorkPlan | null
  /** Of all draws; null once they are done. */
  readonly progress: number | null
  readonly problem: string | null
}

const START: State = { of: null, outcome: null, plan: null, progress: 0, problem: null }

/** What many ways that the work may go come to, drawn by two workers. */
export function useWorkOutcome(reckoned: WorkReckoned, draws = ALL_DRAWS) {
  const [state, setState] = useState<State>(START)
  // Before the workshop's record is there everything would be drawn twice.
  const { isLoading } = useWorkQuery()
  // They are fetched and read meanwhile.
  useEffect(readyWorkHands, [])
  useEffect(() => {
    if (isLoading) return
    let hands: WorkHand[] = []
    let isOld = false
    let done = 0
    const more = proxy((count: number) => {
      done += count
      if (!isOld) setState((s) => (s.progress === null ? s : { ...s, progress: done / draws }))
    })
    const run = async () => {
      hands = Array.from({ length: WORK_HANDS }, takeWorkHand)
      const { network } = reckoned
      setState((s) => ({ ...s, progress: 0 }))
      performance.mark(DRAWING)
      // Each tries some of the plans, so that all of them have warmed up when it is drawn.
      const plans = plansOf(network)
      const tried = await Promise.all(
        hands.map(({ asked }, i) =>
          asked.tried(
            network,
            plans.filter((_, at) => at % WORK_HANDS === i),
          ),
        ),
      )
      const plan = bestPlan(tried.flat())
      const parts = await Promise.all(
        hands.map(({ asked }, i) => asked.draws(network, plan, draws / WORK_HANDS, i + 1, more)),
      )
      if (isOld) return
      hands.splice(0).forEach(restWorkHand)
      setState({ of: reckoned, outcome: joinOutcomes(parts), plan, progress: null, problem: null })
      performance.measure(DRAWN, DRAWING)
    }
    // What changes several times in a moment is drawn once.
    const begins = setTimeout(
      () =>
        void run().catch((error: unknown) => {
          if (!isOld) setState((s) => ({ ...s, progress: null, problem: (error as Error).message }))
        }),
      SETTLED,
    )
    return () => {
      isOld = true
      clearTimeout(begins)
      hands.forEach(({ worker }) => worker.terminate())
    }
  }, [reckoned, draws, isLoading])
  // An outcome of another network names other items.
  const isNew = state.of === reckoned
  return { ...state, outcome: isNew ? state.outcome : null, plan: isNew ? state.plan : null }
}
