import type { GainChanges } from '@bold-ballast/model'
import {
  MOST_EXACT,
  gainSplit,
  shapleyExact,
  type GainMeasure,
  type GainSplit,
  itemAt,
} from '@bold-ballast/core'
import { proxy, wrap, type Remote } from 'comlink'
import { useEffect, useState } from 'react'
import type { GainsApi } from '../../../workers/gains.worker'

type State = { readonly split: GainSplit } | { readonly problem: string } | { readonly progress: number }

const HANDS = 2
const ORDERS = { powerToWeight: 400, quarterMile: 16, lap: 60 } as const
const start = () =>
  new Worker(new URL('../../../workers/gains.worker.ts', import.meta.url), { type: 'module' })

/**
 * Where the gain between two stages came from, worked out by two workers; how far they are until then.
 *
 * @param runModel share that a worked-out run or lap is off by itself
 */
export function useGainSplit(found: GainChanges, measure: GainMeasure, runModel: number): State {
  const [state, setState] = useState<State>({ progress: 0 })
  useEffect(() => {
    const { before, changes } = found
    const count = changes.length
    const workers = Array.from({ length: HANDS }, start)
    const hands = workers.map((w): Remote<GainsApi> => wrap<GainsApi>(w))
    let isOld = false
    let isSettled = false
    const settle = (next: State) => {
      // A worker's last word on how far it is may come after its answer.
      if (isOld || (isSettled && 'progress' in next)) return
      isSettled = !('progress' in next)
      setState(next)
    }
    const whole = (drawn: readonly { value: number; sigma: number }[]) =>
      gainSplit(before, changes, measure, drawn, runModel)
    const run = async () => {
      setState({ progress: 0 })
      if (count > MOST_EXACT) {
        const answer = await itemAt(hands, 0).sample(before, changes, measure, ORDERS[measure])
        return settle('problem' in answer ? answer : { split: whole(answer) })
      }
      const sets = Array.from({ length: 2 ** count }, (_, i) => i)
      const done = hands.map(() => 0)
      const answers = await Promise.all(
        hands.map((hand, w) =>
          hand.worths(
            before,
            changes,
            measure,
            sets.filter((s) => s % HANDS === w),
            proxy((n: number) => {
              done[w] = n
              settle({ progress: done.reduce((a, b) => a + b, 0) / sets.length })
            }),
          ),
        ),
      )
      const wrong = answers.find((a): a is { problem: string } => 'problem' in a)
      if (wrong) return settle(wrong)
      const lists = answers as number[][]
      const worths = sets.map((s) => itemAt(itemAt(lists, s % HANDS), Math.floor(s / HANDS)))
      settle({ split: whole(shapleyExact(count, worths).map((value) => ({ value, sigma: 0 }))) })
    }
    void run().catch((error: unknown) => settle({ problem: (error as Error).message }))
    return () => {
      isOld = true
      workers.forEach((w) => w.terminate())
    }
  }, [found, measure, runModel])
  return state
}
