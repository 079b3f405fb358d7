import type { AxleCar, LapCourse } from '@bold-ballast/core'
import { proxy, wrap } from 'comlink'
import { useEffect, useState } from 'react'
import type { RatesApi } from '../../../workers/rates.worker'

/** Cars to be driven on a course; the key tells them from the others. */
export interface TradeTask {
  readonly key: string
  readonly cars: readonly AxleCar[]
  readonly course: LapCourse
}
interface State {
  readonly laps: ReadonlyMap<string, readonly (number | null)[]>
  /** null once all is done. */
  readonly progress: number | null
  readonly problem: string | null
}

const HANDS = 2
/** Pieces of a course, m: fine enough that where it is shifted is no matter of where a piece ends. */
const STEP = 2
const START: State = { laps: new Map(), progress: 0, problem: null }
const start = () =>
  new Worker(new URL('../../../workers/rates.worker.ts', import.meta.url), { type: 'module' })

/** Laps of many cars on their courses, worked out by two workers task by task. */
export function useTradeLaps(tasks: readonly TradeTask[]): State {
  const [state, setState] = useState<State>(START)
  useEffect(() => {
    if (tasks.length === 0) return
    const workers = Array.from({ length: HANDS }, start)
    const hands = workers.map((worker) => wrap<RatesApi>(worker))
    const all = tasks.reduce((sum, t) => sum + t.cars.length, 0)
    let isOld = false
    let done = 0
    const more = proxy((count: number) => {
      done += count
      if (!isOld) setState((s) => (s.progress === null ? s : { ...s, progress: Math.min(1, done / all) }))
    })
    const rest = [...tasks]
    const work = async (hand: (typeof hands)[number]) => {
      for (let task = rest.shift(); task && !isOld; task = rest.shift()) {
        const { key } = task
        const found = await hand.laps(task.cars, task.course, STEP, more)
        if (!isOld) setState((s) => ({ ...s, laps: new Map([...s.laps, [key, found]]) }))
      }
    }
    const run = async () => {
      setState(START)
      await Promise.all(hands.map(work))
      if (!isOld) setState((s) => ({ ...s, progress: null }))
    }
    void run().catch(
      (error: unknown) =>
        !isOld && setState((s) => ({ ...s, progress: null, problem: (error as Error).message })),
    )
    return () => {
      isOld = true
      workers.forEach((worker) => worker.terminate())
    }
  }, [tasks])
  return state
}
