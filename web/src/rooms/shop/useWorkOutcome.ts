import { joinOutcomes, planWork, simulateWork, type WorkOutcome } from '@bold-ballast/core'
import { workNetworkOf, type WorkReckoned } from '@bold-ballast/model'
import { proxy, wrap } from 'comlink'
import { useEffect, useMemo, useState } from 'react'
import { useBuild } from '../../store/useBuild'
import type { WorkApi } from '../../workers/work.worker'
import { useLibrary } from './useLibrary'
import { useReckonedFrom } from './useReckonedFrom'
import { useTrustsRecord } from './useTrustsRecord'

const DRAWS = 5000
const HANDS = 2
/** As many as are drawn while something is dragged. */
const QUICK = 300

export const startWorkWorker = () =>
  new Worker(new URL('../../workers/work.worker.ts', import.meta.url), { type: 'module' })

/** The open jobs as a network. */
export function useReckoned(): WorkReckoned {
  const { view } = useBuild()
  const { from, zone } = useReckonedFrom()
  const [trusts] = useTrustsRecord()
  const library = useLibrary()
  return useMemo(
    () => workNetworkOf(view, { from, zone, library: trusts ? library : null }),
    [view, from, zone, trusts, library],
  )
}

interface State {
  readonly of: WorkReckoned | null
  readonly outcome: WorkOutcome | null
  /** Of all draws; null once they are done. */
  readonly progress: number | null
  readonly problem: string | null
}

/** What many ways that the work may go come to, drawn by two workers; the last outcome until the next is there. */
export function useWorkOutcome(reckoned: WorkReckoned) {
  const [state, setState] = useState<State>({ of: null, outcome: null, progress: 0, problem: null })
  useEffect(() => {
    const workers = Array.from({ length: HANDS }, startWorkWorker)
    let isOld = false
    let done = 0
    const more = proxy((count: number) => {
      done += count
      if (!isOld) setState((s) => (s.progress === null ? s : { ...s, progress: done / DRAWS }))
    })
    const run = async () => {
      const [first, ...rest] = workers.map((worker) => wrap<WorkApi>(worker))
      if (!first) return
      setState((s) => ({ ...s, progress: 0 }))
      const plan = await first.plan(reckoned.network)
      const parts = await Promise.all(
        [first, ...rest].map((hand, i) => hand.draws(reckoned.network, plan, DRAWS / HANDS, i + 1, more)),
      )
      if (!isOld) setState({ of: reckoned, outcome: joinOutcomes(parts), progress: null, problem: null })
    }
    void run().catch((error: unknown) => {
      if (!isOld) setState((s) => ({ ...s, progress: null, problem: (error as Error).message }))
    })
    return () => {
      isOld = true
      workers.forEach((worker) => worker.terminate())
    }
  }, [reckoned])
  // An outcome of another network names other items.
  return { ...state, outcome: state.of === reckoned ? state.outcome : null, last: state }
}

/** A first look with few draws, at once: for what is dragged, and for the Board. */
export const quickOutcome = (reckoned: WorkReckoned): WorkOutcome =>
  simulateWork(reckoned.network, { draws: QUICK, plan: planWork(reckoned.network) })
