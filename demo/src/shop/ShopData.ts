import type {
  Budget,
  FirstGuess,
  FixedDate,
  Hand,
  Job,
  JobKind,
  PartToCome,
  Wait,
} from '@bold-ballast/contract'

type Own<T, Left extends string = never> = Partial<Omit<T, 'id' | 'version' | 'stageId' | 'order' | Left>>

/**
 * A job as a row: what, kind, who promised, hours promised, hours taken (of all hands together, null while it is open), and
 * the day it was done.
 */
export type JobRow = readonly [
  name: string,
  kind: JobKind,
  by: string,
  promised: number | null,
  taken: number | null,
  doneOn: string | null,
  more?: Own<Job, 'after' | 'waits' | 'parts' | 'swapId'> & {
    readonly after?: readonly string[]
    readonly waits?: readonly string[]
    readonly parts?: readonly string[]
    /** Hours worked so far, of what is begun. */
    readonly soFar?: number
    /** Days by the clock. */
    readonly standsFor?: number
    /** The least and the most it takes, h. */
    readonly between?: readonly [number, number]
  },
]
export type WaitRow = readonly [
  name: string,
  kind: Wait['kind'],
  supplier: string,
  more: Own<Wait, 'after' | 'lasts'> & { readonly after?: readonly string[]; readonly days?: number },
]
export type PartRow = readonly [
  name: string,
  system: PartToCome['system'],
  supplier: string,
  price: number | null,
  state: PartToCome['state'],
  more?: Own<PartToCome, 'lead'> & { readonly days?: number },
]
export type GuessRow = readonly [of: FirstGuess['of'], who: string, value: number, date: string]

export interface StageShop {
  readonly jobs?: readonly JobRow[]
  readonly waits?: readonly WaitRow[]
  readonly parts?: readonly PartRow[]
  readonly budgets?: readonly (readonly [system: Budget['system'], amount: number])[]
  readonly guesses?: readonly GuessRow[]
}
export interface ShopData {
  readonly hands: readonly (Pick<Hand, 'name' | 'week' | 'can'> & Partial<Hand>)[]
  readonly dates: readonly (Pick<FixedDate, 'name' | 'date' | 'kind'> & {
    readonly time?: string
    /** All jobs up to that stage. */
    readonly upTo?: string
    readonly jobs?: readonly string[]
    /** What the day is called in Days. */
    readonly outing?: string
    readonly note?: string
  })[]
  /** Pictures of jobs: what each shows, and when it was taken; all are the one sketch that there is. */
  readonly pictures?: readonly (readonly [job: string, what: string, date: string])[]
  /** What would make it quicker: hours with it, hours to make it. */
  readonly quickReleases?: readonly (readonly [
    operation: string,
    takes: number,
    making: number,
    note: string,
  ])[]
  /** What became of what came off, by its name: where it lies, or what one of it was sold for. */
  readonly store?: Readonly<
    Record<
      string,
      | readonly [fate: 'stored', liesAt: string]
      | readonly [fate: 'sold', soldFor: number]
      | readonly [fate: 'scrapped']
    >
  >
  readonly stages: Readonly<Record<string, StageShop>>
}
