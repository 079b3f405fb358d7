import type { LapCourse, LapSection } from '../lap/lapTime'
import type { LinePoint } from './lineFromPoints'
import type { CourseSection } from './lineFromSections'

/** What a stretch of a course is like, beside its line. m from the start. */
export interface CourseStretch {
  readonly from: number
  readonly to: number
  /** Rise over length; `null` where it climbs as the line does. */
  readonly gradient: number | null
  /** Towards the inside of the corner, rad. */
  readonly banking: number
  /** Times the tyres’ grip. */
  readonly grip: number
}

/** A line that is driven: sections one after the other, or points with their bends. */
export type CourseLine =
  | { readonly kind: 'sections'; readonly sections: readonly CourseSection[] }
  | {
      readonly kind: 'points'
      readonly points: readonly Pick<LinePoint, 'distance' | 'curvature' | 'gradient'>[]
      readonly length: number
    }

/** Straighter than a bend of 5 km it is straight, 1/m. */
const STRAIGHT = 1 / 5000
/** Shorter pieces than that are none, m. */
const LEAST = 1e-6

/**
 * A course as a lap wants it: the bends of its line, with slopes, banking and surface where somebody said them.
 *
 * @throws {RangeError} for a stretch that doesn't end after it begins
 * @source definition
 * @example lapCourseOf({ kind: 'sections', sections: [{ length: 100, radius: null }] }, [], false).sections.length // 1
 */
export function lapCourseOf(
  line: CourseLine,
  stretches: readonly CourseStretch[],
  closed: boolean,
): LapCourse {
  if (stretches.some((s) => !(s.to > s.from))) throw new RangeError('a stretch ends after it begins')
  const pieces: (LapSection & { readonly from: number })[] = []
  if (line.kind === 'sections') {
    let from = 0
    for (const { length, radius } of line.sections) {
      pieces.push({ from, length, radius })
      from += length
    }
  } else
    line.points.forEach(({ distance, curvature, gradient }, i) => {
      const length = (line.points[i + 1]?.distance ?? line.length) - distance
      if (length < LEAST) return
      const radius = Math.abs(curvature) < STRAIGHT ? null : 1 / curvature
      pieces.push({ from: distance, length, radius, gradient })
    })
  if (stretches.length === 0) return { sections: pieces.map(({ from: _, ...piece }) => piece), closed }
  const cuts = [...new Set(stretches.flatMap((s) => [s.from, s.to]))].sort((a, b) => a - b)
  const sections = pieces.flatMap(({ from, length, radius, gradient }): LapSection[] => {
    const to = from + length
    const ends = [...cuts.filter((c) => c > from + LEAST && c < to - LEAST), to]
    return ends.map((end, i) => {
      const start = ends[i - 1] ?? from
      const middle = (start + end) / 2
      const over = stretches.findLast((s) => s.from <= middle && middle < s.to)
      return {
        length: end - start,
        radius,
        gradient: over?.gradient ?? gradient ?? 0,
        banking: over?.banking ?? 0,
        grip: over?.grip ?? 1,
      }
    })
  })
  return { sections, closed }
}
