import type { PromiseRatio } from './promiseRatio'
import type { Triangle } from './triangle'
import type { WorkingTime } from './workingTime'

/**
 * How long the whole of something lasts, s: by three guesses, or by what was promised and what such promises came to. What is
 * begun or ordered isn't done yet, and that is evidence: what has gone of it rules out that it lasts less.
 */
export type Lasts = {
  /** s worked on it, or passed since it was ordered; nothing where it is left out. */
  readonly gone?: number
} & (
  | ({ readonly by: 'guesses' } & Triangle)
  | {
      readonly by: 'promise'
      readonly promised: number
      /** Which of the network's records it goes by. */
      readonly record: number
    }
)

/** A job, or something that is waited for. */
export interface WorkItem {
  /** Of a job, s of work; of a wait, s by the clock. */
  readonly lasts: Lasts
  /** How many hands it takes at once; none for what passes by itself. */
  readonly hands: number
  /** Which hands have to be among them. */
  readonly named: readonly number[]
  /** Which hands the others may be. */
  readonly able: readonly number[]
  /** Items that come before it. */
  readonly after: readonly number[]
  /** What passes by the clock before anything that comes after it can begin, s: paint, resin, sealer. */
  readonly cure: number
  /** It can't begin before that moment, s; `-Infinity` where nothing keeps it. */
  readonly notBefore: number
}

/** All that is to be done, and who there is to do it. */
export interface WorkNetwork {
  readonly items: readonly WorkItem[]
  /** When each hand is at work; `null` for as many as are needed, at any time. */
  readonly hands: readonly WorkingTime[] | null
  readonly records: readonly PromiseRatio[]
  /** Log-deviation by which all that is open slips together, taken out of each one's own; none where it is left out. */
  readonly slip?: number
  /** What is done already, and what it took, s: as much evidence of how all slips as what is still open. */
  readonly done?: readonly { readonly lasts: Lasts; readonly took: number }[]
  /** Hours that aren't on the list, as a share of those that are, in the middle; none where it is left out. */
  readonly forgotten?: number
  /** The moment it is reckoned from, s. */
  readonly from: number
  /** What each date needs done: places of items. */
  readonly targets: readonly (readonly number[])[]
  /** By when each target has to be done, s; `Infinity` where no date stands. */
  readonly dues: readonly number[]
}

/** In what order jobs are begun that could begin at the same time. */
export interface WorkPlan {
  /** Of each item: the lower, the earlier. */
  readonly urgency: Float64Array
  /** Whoever is free waits for a more urgent job that can begin before the one at hand would be done. */
  readonly isPatient: boolean
}
