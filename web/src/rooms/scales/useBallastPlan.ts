import type { BallastAnswer, BallastInputs } from '@bold-ballast/core'
import { wrap, type Remote } from 'comlink'
import { useEffect, useRef, useState } from 'react'
import type { PlanBallastApi } from '../../workers/planBallast.worker'

export type BallastOutcome = BallastAnswer | { readonly problem: string }

/** Plans in a worker, whenever the question changes; the last answer stands until the next one comes. */
export function useBallastPlan(inputs: BallastInputs | null): BallastOutcome | null {
  const [outcome, setOutcome] = useState<BallastOutcome | null>(null)
  const api = useRef<Remote<PlanBallastApi> | null>(null)
  useEffect(() => {
    const worker = new Worker(new URL('../../workers/planBallast.worker.ts', import.meta.url), {
      type: 'module',
    })
    api.current = wrap<PlanBallastApi>(worker)
    return () => worker.terminate()
  }, [])
  const question = JSON.stringify(inputs)
  useEffect(() => {
    let isOld = false
    const asked = JSON.parse(question) as BallastInputs | null
    if (asked)
      void api.current!.plan(asked).then((answer) => {
        if (!isOld) setOutcome(answer)
      })
    return () => {
      isOld = true
    }
  }, [question])
  return inputs ? outcome : null
}
