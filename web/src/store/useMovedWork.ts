import type { WorkOutcome, WorkPlan } from '@bold-ballast/core'
import { movedWork, type WorkReckoned } from '@bold-ballast/model'
import { useEffect, useMemo, useState } from 'react'
import { newestOnly } from './newestOnly'
import { ZONE } from './useReckonedFrom'
import { restWorkHand, takeWorkHand } from './workHands'

/** A job that is being moved, and how far. */
export interface Moved {
  readonly jobId: string
  readonly notBefore: string
}

/** What came of a move. */
export interface MovedWork {
  readonly moved: Moved
  readonly reckoned: WorkReckoned
  readonly outcome: WorkOutcome
}

/** As many as are drawn while something is dragged. */
const QUICK = 100

/** A look with few draws, by the plan that is known, while a job is moved: what came of the last move that is answered. */
export function useMovedWork(
  reckoned: WorkReckoned,
  plan: WorkPlan | null,
  moved: Moved | null,
): MovedWork | null {
  const [found, setFound] = useState<(MovedWork & { readonly of: WorkReckoned }) | null>(null)
  const ask = useMemo(() => {
    if (!plan) return null
    return newestOnly(
      async ({ jobId, notBefore }: Moved) => {
        const next = movedWork(reckoned, jobId, notBefore, ZONE)
        const hand = takeWorkHand()
        try {
          return { reckoned: next, outcome: await hand.asked.someDraws(next.network, plan, QUICK) }
        } finally {
          restWorkHand(hand)
        }
      },
      (asked, answer) => setFound({ ...answer, moved: asked, of: reckoned }),
    )
  }, [reckoned, plan])
  useEffect(() => {
    if (!moved || !ask) return
    // What can't be drawn was said when it was first drawn.
    void ask(moved).catch(() => undefined)
  }, [moved, ask])
  // What came of moving another job says nothing of this one.
  return moved && found?.of === reckoned && found.moved.jobId === moved.jobId ? found : null
}
