import type { Position } from '../mass/ledger'

/** A hard point of a body, measured left and right, before and after it was worked on; `null` where nobody measured. */
export interface HardPoint {
  readonly name: string
  readonly leftBefore: Position | null
  readonly rightBefore: Position | null
  readonly leftAfter: Position | null
  readonly rightAfter: Position | null
}

export interface PointCheck {
  readonly name: string
  /** Left against right mirrored: further back, further out from the middle, higher. m; `null` where one side is missing. */
  readonly sides: Position | null
  /** How far each side has come from where it was, m; `null` where one of both is missing. */
  readonly moved: { readonly left: Position | null; readonly right: Position | null }
  /** The largest of all that is off, m. */
  readonly worst: number
}

const minus = (a: Position, b: Position): Position => ({ x: a.x - b.x, y: a.y - b.y, z: a.z - b.z })
const largest = (of: Position | null): number =>
  of ? Math.max(Math.abs(of.x), Math.abs(of.y), Math.abs(of.z)) : 0

/**
 * What of a body is out of true: each pair of points held against its mirror, and against where it was.
 *
 * The newest measurement is compared; where only what was before is there, that is.
 *
 * @returns one a point, in their order
 * @source geometry; positions from one datum, the car's middle at y = 0
 * @example outOfTrue([{ name: 'Strut top', leftBefore: null, rightBefore: null, leftAfter: { x: 0.1, y: 0.55, z: 0.7 }, rightAfter: { x: 0.104, y: -0.55, z: 0.7 } }])[0].sides.x // -0.004
 */
export function outOfTrue(points: readonly HardPoint[]): PointCheck[] {
  return points.map(({ name, leftBefore, rightBefore, leftAfter, rightAfter }) => {
    const left = leftAfter ?? leftBefore
    const right = rightAfter ?? rightBefore
    const sides = left && right ? minus(left, { ...right, y: -right.y }) : null
    const moved = {
      left: leftBefore && leftAfter ? minus(leftAfter, leftBefore) : null,
      right: rightBefore && rightAfter ? minus(rightAfter, rightBefore) : null,
    }
    return { name, sides, moved, worst: Math.max(largest(sides), largest(moved.left), largest(moved.right)) }
  })
}
