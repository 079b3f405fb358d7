import { itemAt, type WorkOutcome } from '@bold-ballast/core'
import { freeEvening, type Eased, type Easing, type WorkReckoned } from '@bold-ballast/model'
import { proxy } from 'comlink'
import { useEffect, useState } from 'react'
import { ZONE } from '../../../store/useReckonedFrom'
import { startWorkHand } from '../../../store/workHands'

/** Jobs that are tried by themselves: those that decide most often. */
const TRIED = 6
const WANTED = 0.8

export interface EasingsFound {
  readonly of: WorkReckoned
  readonly target: number
  readonly eased: readonly Eased[]
  readonly drops: readonly { readonly item: number; readonly chance: number }[]
}

/** What would help a date, worked out by a worker of its own once the outcome is there; with progress. */
export function useEasings(reckoned: WorkReckoned, outcome: WorkOutcome | null, target: number) {
  const [found, setFound] = useState<EasingsFound | null>(null)
  const [progress, setProgress] = useState<number | null>(null)
  useEffect(() => {
    if (!outcome) return
    const critical = itemAt(outcome.critical, target)
    const deciding = [...critical]
      .map((share, at) => ({ share, at }))
      .filter(({ share, at }) => share > 0.05 && itemAt(reckoned.sources, at).kind === 'job')
      .sort((a, b) => b.share - a.share)
      .slice(0, TRIED)
      .map(({ at }) => at)
    const easings: Easing[] = [
      ...reckoned.hands.flatMap(({ week }, hand): Easing[] => {
        const hours = freeEvening(week)
        return hours ? [{ kind: 'evening', hand, hours }] : []
      }),
      { kind: 'hands' },
      ...deciding.map((at): Easing => ({ kind: 'without', items: [at] })),
    ]
    const mayGo = reckoned.sources.flatMap((source, at) => (source.kind === 'job' ? [at] : []))
    const { network, hands, targets } = reckoned
    const work = { network, hands, targets }
    const hand = startWorkHand()
    let isOld = false
    let done = 0
    const more = proxy(() => {
      done += 1
      if (!isOld) setProgress(done / (easings.length + 1))
    })
    const run = async () => {
      setProgress(0)
      const before = await hand.asked.compared(network)
      const eased = await hand.asked.eases(work, before, target, easings, ZONE, more)
      const drops = await hand.asked.drops(work, before, target, WANTED, mayGo, ZONE)
      if (isOld) return
      setFound({ of: reckoned, target, eased, drops })
      setProgress(null)
    }
    void run().catch(() => {
      if (!isOld) setProgress(null)
    })
    return () => {
      isOld = true
      hand.worker.terminate()
    }
  }, [reckoned, outcome, target])
  return { found: found?.of === reckoned && found.target === target ? found : null, progress }
}
