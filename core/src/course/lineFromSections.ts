import type { LinePoint } from './lineFromPoints'

/** A straight, or a corner of one radius, along the line that is driven. m; left above zero, right below. */
export interface CourseSection {
  readonly length: number
  readonly radius: number | null
}

export interface SectionLine {
  readonly points: readonly LinePoint[]
  readonly step: number
  readonly length: number
  /** How far its end lies from its start, m; `null` for a line that doesn't come round. */
  readonly gap: number | null
  /** What it turns too much or too little for whole turns, rad; `null` as above. */
  readonly turnsOff: number | null
}

/** Longest between two points of it, m. */
const STEP = 2

/**
 * The line that sections draw when they are laid one after the other, from the origin along the x axis.
 *
 * Lengths and angles that are typed close as badly as they were read off: what is missing is said, and nothing is moved.
 *
 * @throws {RangeError} for no sections, a length that isn't above zero or a radius of nothing
 * @source an arc turns by its length over its radius (definition)
 * @example lineFromSections([{ length: 100, radius: null }, { length: 78.54, radius: 50 }], { closed: false }).points.at(-1).y // 50
 */
export function lineFromSections(
  sections: readonly CourseSection[],
  { closed, step: longest = STEP }: { readonly closed: boolean; readonly step?: number },
): SectionLine {
  if (sections.length === 0) throw new RangeError('a course has at least one section')
  const length = sections.reduce((sum, s) => sum + s.length, 0)
  const points: LinePoint[] = []
  let [x, y, heading, from] = [0, 0, 0, 0]
  for (const { length: long, radius } of sections) {
    if (!(long > 0) || radius === 0) throw new RangeError('a section has a length, and a corner a radius')
    const curvature = radius === null ? 0 : 1 / radius
    const count = Math.max(1, Math.ceil(long / longest))
    const step = long / count
    for (let i = 0; i < count; i += 1) {
      points.push({ distance: from + i * step, x, y, heading, curvature, gradient: 0 })
      // The chord of the arc: what it draws ends where the arc does.
      const turn = curvature * step
      const chord = turn === 0 ? step : (2 * Math.sin(turn / 2)) / curvature
      x += Math.cos(heading + turn / 2) * chord
      y += Math.sin(heading + turn / 2) * chord
      heading += turn
    }
    from += long
  }
  const last = points.at(-1)!
  points.push({ ...last, distance: length, x, y, heading })
  const turns = Math.round(heading / (2 * Math.PI))
  return {
    points,
    step: longest,
    length,
    gap: closed ? Math.hypot(x, y) : null,
    turnsOff: closed ? heading - turns * 2 * Math.PI : null,
  }
}
