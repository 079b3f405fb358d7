import {
  heldWithin,
  itemAt,
  type AxleCar,
  type LapCourse,
  type LapDoubts,
  type RateDraw,
  type RateKey,
} from '@bold-ballast/core'
import { COARSE_STEP } from '@bold-ballast/model'
import { proxy, wrap } from 'comlink'
import { useCallback, useEffect, useState } from 'react'
import type { RatesApi } from '../../../workers/rates.worker'

export interface RateCourse {
  readonly id: string
  readonly lap: LapCourse
  readonly coarse: LapCourse
}
export interface Rated {
  /** s for what each rate is quoted for, in the order of the keys. */
  readonly rates: readonly number[]
  /** How far off each may be in 95 of 100 cars; null for a course that is only beside. */
  readonly doubts: readonly number[] | null
}
interface State {
  readonly byCourse: ReadonlyMap<string, Rated>
  /** Of all there is to do; null once it is done. */
  readonly progress: number | null
  readonly problem: string | null
  readonly isStopped: boolean
}

const HANDS = 2
const DRAWS = 200
const START: State = { byCourse: new Map(), progress: 0, problem: null, isStopped: false }
const start = () =>
  new Worker(new URL('../../../workers/rates.worker.ts', import.meta.url), { type: 'module' })
const share = <T>(all: readonly T[], hand: number) => all.filter((_, i) => i % HANDS === hand)

/**
 * What changes of a car are worth on a course, with their doubt, and on others beside it: worked out by two workers, with
 * progress, and stopped where somebody wants.
 *
 * @param car and doubts: the same objects while nothing changes
 */
export function useRates(
  car: AxleCar | null,
  doubts: LapDoubts | null,
  keys: readonly RateKey[],
  courses: readonly RateCourse[],
) {
  const [state, setState] = useState<State>(START)
  const [asked, setAsked] = useState(0)
  const [stopped, setStopped] = useState(-1)
  const isStopped = stopped === asked
  useEffect(() => {
    const [main, ...others] = courses
    if (!car || !doubts || !main || isStopped) return
    const workers = Array.from({ length: HANDS }, start)
    const hands = workers.map((worker) => wrap<RatesApi>(worker))
    const all = keys.length * courses.length + DRAWS
    let done = 0
    let isOld = false
    const more = proxy(() => {
      done += 1
      if (!isOld) setState((s) => (s.progress === null ? s : { ...s, progress: done / all }))
    })
    const ratesOn = async (course: LapCourse): Promise<number[]> => {
      const parts = await Promise.all(hands.map((hand, i) => hand.rates(car, course, share(keys, i), more)))
      const lists = parts.map((part) => {
        if ('problem' in part) throw new RangeError(part.problem)
        return part
      })
      return keys.map((_, i) => itemAt(itemAt(lists, i % HANDS), Math.floor(i / HANDS)))
    }
    const run = async () => {
      setState(START)
      const rates = await ratesOn(main.lap)
      if (isOld) return
      // What they are worth stands there while how far off that may be is still drawn.
      setState((s) => ({ ...s, byCourse: new Map([[main.id, { rates, doubts: null }]]) }))
      const half = DRAWS / HANDS
      const drawn = await Promise.all(
        hands.map((hand, i) =>
          hand.draws(car, main.coarse, doubts, keys, [i * half, (i + 1) * half], COARSE_STEP, more),
        ),
      )
      const draws = drawn.flatMap((part): RateDraw[] => {
        if ('problem' in part) throw new RangeError(part.problem)
        return part
      })
      const found = new Map<string, Rated>([
        [
          main.id,
          {
            rates,
            doubts: keys.map((_, i) =>
              heldWithin(
                draws.map((d) => itemAt(d.rates, i)),
                itemAt(rates, i),
              ),
            ),
          },
        ],
      ])
      if (isOld) return
      setState((s) => ({ ...s, byCourse: found }))
      for (const other of others) {
        const beside = await ratesOn(other.lap)
        if (isOld) return
        setState((s) => ({
          ...s,
          byCourse: new Map([...s.byCourse, [other.id, { rates: beside, doubts: null }]]),
        }))
      }
      setState((s) => ({ ...s, progress: null }))
    }
    void run().catch((error: unknown) => {
      if (!isOld) setState((s) => ({ ...s, progress: null, problem: (error as Error).message }))
    })
    return () => {
      isOld = true
      workers.forEach((worker) => worker.terminate())
    }
  }, [car, doubts, keys, courses, asked, isStopped])
  return {
    ...state,
    isStopped,
    stop: useCallback(() => setStopped(asked), [asked]),
    again: useCallback(() => setAsked((n) => n + 1), []),
  }
}
