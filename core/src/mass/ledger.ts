import type { Grade } from '../evidence/grade'

/** Behind the front axle line (x), left of the centreline (y), above the ground (z), in metres. */
export interface Position {
  readonly x: number
  readonly y: number
  readonly z: number
}

export const LINE_KINDS = ['off', 'on', 'moved', 'carried'] as const
/**
 * What a line does to the car: a part taken **off**, put **on**, **moved** to another place, or
 * **carried over** from the part that came off to the one that replaces it.
 */
export type LineKind = (typeof LINE_KINDS)[number]

/** What the mass computations need to know of a ledger line. */
export interface LedgerLine {
  readonly kind: LineKind
  /** Mass of one piece, kg. */
  readonly mass: number
  /** Stated standard uncertainty of one piece, kg; `null` takes the grade's default. */
  readonly sigma: number | null
  readonly grade: Grade
  readonly quantity: number
  /** True once it is off the car, or fitted to it. */
  readonly fitted: boolean
  /** The day it came off or went on, as year-month-day; left out, or `null`, where nobody noted it. */
  readonly changedOn?: string | null
  /** Where it sits (or sat); `null` when nobody has said. */
  readonly position: Position | null
  /** Where a moved part goes. */
  readonly movedTo: Position | null
  /** An allowance stands for what nobody weighed yet, and shrinks as lines are added to its swap. */
  readonly role?: 'part' | 'allowance'
  /** Other places where more of the same are fitted. */
  readonly alsoAt?: readonly { readonly position: Position; readonly quantity: number }[]
  /**
   * An error shared with other lines: of one scale, of one weighing shared out, or what guesses lean by. `relative` to the
   * mass; below zero where this line's mass turns out smaller when the others' turn out larger.
   */
  readonly sharing?: { readonly with: string; readonly relative: number } | null
}
