import type { Course } from '@bold-ballast/contract'
import {
  cornersOf,
  crossingsOf,
  lapCourseOf,
  lineFromPoints,
  lineFromSections,
  type CourseCorner,
  type LapCourse,
  type LinePoint,
} from '@bold-ballast/core'

/** A corner of a course, with the name that somebody gave it; counted where nobody did. */
export interface NamedCorner extends CourseCorner {
  readonly name: string
}

/** A course as it is drawn and driven. m along its line. */
export interface CourseDrawn {
  readonly points: readonly LinePoint[]
  readonly length: number
  readonly closed: boolean
  /** How far its end lies from its start where it should come round; `null` where it needn't. */
  readonly gap: number | null
  /** What it turns too much or too little for whole turns, rad; `null` as above, and for a line that is closed by drawing. */
  readonly turnsOff: number | null
  readonly crossings: readonly (readonly [number, number])[]
  readonly corners: readonly NamedCorner[]
  /** From and to of each. */
  readonly sectors: readonly (readonly [number, number])[]
  /** As a lap wants it, finely and coarsely cut. */
  readonly lap: LapCourse
  readonly coarse: LapCourse
}

/** A line is cut into pieces of that length, m. */
const STEP = 2
/** And for laps that are only compared with each other into longer ones, m. */
export const COARSE_STEP = 10
/** A name belongs to a corner that is no farther from where it was put, m. */
const NEAR = 40

const kept = new WeakMap<object, CourseDrawn>()
/** A build that is read anew after an edit has the same courses in other records: the latest lines, by what they say. */
const latest = new Map<string, CourseDrawn>()
const MOST_LATEST = 24

/**
 * The line of a course, drawn: what the map shows and the lap is driven along.
 *
 * @param course never changed afterwards
 * @returns the same for the same record
 * @throws {RangeError} for points that are no line
 * @example courseDrawn(document.courses[0]).length // 1177
 */
export function courseDrawn(course: Omit<Course, 'version'>): CourseDrawn {
  const before = kept.get(course)
  if (before) return before
  const { line, sections, stretches, closed, corners, sectors } = course
  const said = JSON.stringify([line, sections, stretches, closed, corners, sectors])
  const drawn = latest.get(said) ?? draw(course)
  // The one that was asked for last goes last.
  latest.delete(said)
  latest.set(said, drawn)
  const [oldest] = latest.keys()
  if (oldest !== undefined && latest.size > MOST_LATEST) latest.delete(oldest)
  kept.set(course, drawn)
  return drawn
}

function draw({ line, sections, stretches, closed, corners, sectors }: Omit<Course, 'version'>): CourseDrawn {
  const shape = line ? throughPoints(line.points, stretches, closed) : bySections()
  function bySections() {
    const { points, length, gap, turnsOff } = lineFromSections(sections, { closed })
    const crossings = crossingsOf(points, closed)
    const lap = lapCourseOf({ kind: 'sections', sections }, stretches, closed)
    return { points, length, gap, turnsOff, crossings, lap, coarse: lap }
  }
  const { points, length } = shape
  const found = cornersOf(points, length, closed)
  const named = found.map((corner, i): NamedCorner => ({
    ...corner,
    name: nameOf(corner, corners) || `Corner ${i + 1}`,
  }))
  const ends = [...new Set(sectors)].filter((at) => at > 0 && at < length).sort((a, b) => a - b)
  return {
    ...shape,
    closed,
    corners: named,
    sectors: [...ends, length].map((to, i) => [ends[i - 1] ?? 0, to]),
  }
}

function throughPoints(
  given: NonNullable<Course['line']>['points'],
  stretches: Course['stretches'],
  closed: boolean,
) {
  const cut = (step: number) => {
    const line = lineFromPoints(given, { round: closed ? 'drawn' : 'open', step })
    return { line, lap: lapCourseOf({ kind: 'points', ...line }, stretches, closed) }
  }
  const { line, lap } = cut(STEP)
  const { points, length, crossings } = line
  return {
    points,
    length,
    crossings,
    gap: closed ? 0 : null,
    turnsOff: null,
    lap,
    coarse: cut(COARSE_STEP).lap,
  }
}

function nameOf(corner: CourseCorner, names: Course['corners']): string {
  const off = (at: number) => (at < corner.from ? corner.from - at : at > corner.to ? at - corner.to : 0)
  const near = names.filter(({ at }) => off(at) <= NEAR)
  return near.length === 0 ? '' : near.reduce((a, b) => (off(b.at) < off(a.at) ? b : a)).name
}
