import { itemAt, type Gearing, type GearingFigures, type GearingTrial } from '@bold-ballast/core'
import { proxy, wrap, type Remote } from 'comlink'
import { useCallback, useEffect, useRef } from 'react'
import type { GearingApi } from '../../workers/gearing.worker'

interface Hand {
  readonly own: Worker
  readonly api: Remote<GearingApi>
}
const start = (): Hand => {
  const own = new Worker(new URL('../../workers/gearing.worker.ts', import.meta.url), { type: 'module' })
  return { own, api: wrap<GearingApi>(own) }
}

/** Workers for gearings: one to ask, or several that share out a long list; what runs can be stopped. */
export function useGearingWorkers(count: number) {
  const hands = useRef<Hand[]>([])
  useEffect(() => {
    hands.current = Array.from({ length: count }, start)
    return () => hands.current.forEach((hand) => hand.own.terminate())
  }, [count])
  /** The first of them. */
  const ask = useCallback(() => itemAt(hands.current, 0).api, [])
  const compareAll = useCallback(
    async (
      trial: GearingTrial,
      gearings: readonly Gearing[],
      onProgress: (share: number) => void,
    ): Promise<GearingFigures[] | { problem: string }> => {
      const done = hands.current.map(() => 0)
      // Every second to each, so that long and short ones are shared alike.
      const shares = hands.current.map((_, w) => gearings.filter((_, i) => i % hands.current.length === w))
      const answers = await Promise.all(
        hands.current.map((hand, w) =>
          hand.api.compare(
            trial,
            itemAt(shares, w),
            proxy((n: number) => {
              done[w] = n
              onProgress(done.reduce((a, b) => a + b, 0) / gearings.length)
            }),
          ),
        ),
      )
      const wrong = answers.find((a) => 'problem' in a)
      if (wrong) return wrong as { problem: string }
      const lists = answers as GearingFigures[][]
      return gearings.map((_, i) => itemAt(itemAt(lists, i % lists.length), Math.floor(i / lists.length)))
    },
    [],
  )
  /** Ends what runs; those who wait for it hear nothing more. */
  const stop = useCallback(() => {
    hands.current.forEach((hand) => hand.own.terminate())
    hands.current = Array.from({ length: count }, start)
  }, [count])
  return { ask, compareAll, stop }
}
