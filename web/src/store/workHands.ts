import { wrap, type Remote } from 'comlink'
import type { WorkApi } from '../workers/work.worker'

/** A worker that draws how work may go. */
export interface WorkHand {
  readonly worker: Worker
  readonly asked: Remote<WorkApi>
}

/** As many as draw beside each other. */
export const WORK_HANDS = 2

/** Those that have nothing to do just now: what they have run often is compiled, so they are quicker than new ones. */
const rested: WorkHand[] = []

/** One more, for what takes long and may be broken off. */
export function startWorkHand(): WorkHand {
  const worker = new Worker(new URL('../workers/work.worker.ts', import.meta.url), { type: 'module' })
  return { worker, asked: wrap<WorkApi>(worker) }
}

/** Workers are fetched, read and warmed up before they are asked for anything. */
export function readyWorkHands() {
  while (rested.length < WORK_HANDS) {
    const hand = startWorkHand()
    void hand.asked.warmUp()
    rested.push(hand)
  }
}

export const takeWorkHand = (): WorkHand => rested.pop() ?? startWorkHand()

/** A worker that has answered, for whoever asks next; more than draw beside each other aren’t kept. */
export function restWorkHand(hand: WorkHand) {
  if (rested.length < WORK_HANDS) rested.push(hand)
  else hand.worker.terminate()
}
