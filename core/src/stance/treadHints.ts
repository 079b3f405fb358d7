/** Of one tyre straight after a run; all in one unit that counts in kelvins. */
export interface Tread {
  readonly inside: number
  readonly middle: number
  readonly outside: number
}

export type CamberHint = 'more' | 'less' | 'right'
export type PressureHint = 'less' | 'more' | 'right'
export interface TreadHints {
  /** Inside edge over outside edge, K. */
  readonly across: number
  /** Middle over the mean of both edges, K. */
  readonly middle: number
  /** Of negative camber. */
  readonly camber: CamberHint
  readonly pressure: PressureHint
}

/** The inside edge is wanted hotter than the outside by so much, K. */
const ACROSS = { least: 5, most: 10 } as const
/** A middle further off than that tells something, K. */
const MIDDLE = 3

/**
 * What three temperatures across a tread hint about camber and pressure. A hint, no measurement: a probe is late, and a
 * tyre cools while it rolls in.
 *
 * @source common practice: the inside edge 5 to 10 K hotter than the outside; a middle above both edges is too much pressure
 * @example treadHints({ inside: 90, middle: 80, outside: 72 }).camber // 'less'
 */
export function treadHints({ inside, middle, outside }: Tread): TreadHints {
  const across = inside - outside
  const over = middle - (inside + outside) / 2
  return {
    across,
    middle: over,
    camber: across > ACROSS.most ? 'less' : across < ACROSS.least ? 'more' : 'right',
    pressure: over > MIDDLE ? 'less' : over < -MIDDLE ? 'more' : 'right',
  }
}
