import type { LedgerLine, Position } from './ledger'

/** A shell that was made shorter behind a place, or longer where it is below zero. */
export interface ShellCut {
  /** Behind the front axle as it was before, m. */
  readonly at: number
  /** m */
  readonly by: number
  /** Of the car as bought, what sits behind it, kg; `null` for what the rear axle carried. */
  readonly behind: number | null
}

/**
 * Where something is after a shell was cut: what sits behind the cut comes forward. What sat in the piece that was taken
 * out ends at the cut, and never in front of what stood before it.
 *
 * @param x behind the front axle, m
 * @example movedByCut(1.95, { at: 1.6, by: 0.08 }) // 1.87
 */
export const movedByCut = (x: number, { at, by }: Pick<ShellCut, 'at' | 'by'>): number =>
  x > at ? Math.max(at, x - by) : x

/**
 * Where the centre of the car as bought is after its shell was cut.
 *
 * Where nobody weighed what sits behind the cut, the car counts as standing on its axles: what the rear one carried comes
 * forward with it, so its share of the mass stays.
 *
 * @param base mass in kg and centre behind the front axle, m
 * @param wheelbase before the cut, m
 * @throws {RangeError} for more behind the cut than the whole car
 * @source moments
 * @example centreAfterCut({ mass: 948, x: 1.08 }, 2.265, { at: 1.6, by: 0.08, behind: null }) // 1.0419
 */
export function centreAfterCut(
  base: { readonly mass: number; readonly x: number },
  wheelbase: number,
  { at, by, behind }: ShellCut,
): number {
  const onRear = at < wheelbase ? (base.mass * base.x) / wheelbase : 0
  const comes = behind ?? onRear
  if (comes > base.mass) throw new RangeError('no more is behind a cut than the whole car')
  return base.x - (by * comes) / base.mass
}

/**
 * A ledger line as it sits after cuts that came after it; the same line where none did.
 *
 * @param cuts in the order in which they were made
 * @example lineAfterCuts(line, [{ at: 1.6, by: 0.08 }]).position.x // 1.87
 */
export function lineAfterCuts<L extends Pick<LedgerLine, 'position' | 'movedTo' | 'alsoAt'>>(
  line: L,
  cuts: readonly Pick<ShellCut, 'at' | 'by'>[],
): L {
  if (cuts.length === 0) return line
  const moved = (position: Position): Position => ({ ...position, x: cuts.reduce(movedByCut, position.x) })
  return {
    ...line,
    position: line.position && moved(line.position),
    movedTo: line.movedTo && moved(line.movedTo),
    ...(line.alsoAt && {
      alsoAt: line.alsoAt.map((place) => ({ ...place, position: moved(place.position) })),
    }),
  }
}
