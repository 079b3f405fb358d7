import type { BallastAnswer, BallastInputs } from '@bold-ballast/core'
import { useEffect, useState } from 'react'
import type { PlanBallastApi } from '../../../workers/planBallast.worker'
import { useRemote } from '../../../store/useRemote'

const startWorker = () =>
  new Worker(new URL('../../../workers/planBallast.worker.ts', import.meta.url), { type: 'module' })

export type BallastOutcome = BallastAnswer | { readonly problem: string }

/** Plans in a worker, whenever the question changes; the last answer stands until the next one comes. */
export function useBallastPlan(inputs: BallastInputs | null): BallastOutcome | null {
  const [outcome, setOutcome] = useState<BallastOutcome | null>(null)
  const api = useRemote<PlanBallastApi>(startWorker)
  const question = JSON.stringify(inputs)
  useEffect(() => {
    let isOld = false
    const asked = JSON.parse(question) as BallastInputs | null
    if (asked)
      void api()
        .plan(asked)
        .then((answer) => {
          if (!isOld) setOutcome(answer)
        })
    return () => {
      isOld = true
    }
  }, [api, question])
  return inputs ? outcome : null
}
