import type { Course } from '@bold-ballast/contract'
import {
  itemAt,
  closedUp,
  firstLap,
  lineFromBends,
  metresFrom,
  orWhy,
  readNumber,
  STANDARD_GRAVITY,
  toSi,
  unitOf,
} from '@bold-ballast/core'
import Papa from 'papaparse'

type Origin = NonNullable<NonNullable<Course['line']>['origin']>
interface LinePointRead {
  readonly x: number
  readonly y: number
  readonly z: number | null
}
export type CourseRead =
  | {
      readonly points: readonly LinePointRead[]
      readonly from: 'logged' | 'file'
      /** m; null where it wasn’t made to come round. */
      readonly closingError: number | null
      /** Where x and y are nought on the earth; null where nobody knows. */
      readonly origin: Origin | null
      readonly says: string
    }
  | { readonly problem: string }

/** A line is kept by no more points. */
const MOST = 4000
/** Points nearer than that to the one before are left out, m: a log at 100 Hz says nothing more. */
const APART = 2
/** A log that jumps farther than that from one row to the next has lost its way, m. */
const JUMP = 500

/**
 * Reads the line of a course from a file: GeoJSON; a table of metres (x, y and, if known, z), of degrees (latitude,
 * longitude, height), or of time, speed and sideways acceleration.
 *
 * @param closed whether it comes round: then the first whole lap is taken, and what is missing at its end shared out
 * @returns points in metres, or what is wrong and what would be right
 */
export const courseRows = (text: string, closed: boolean): CourseRead =>
  orWhy(
    () => (text.trimStart().startsWith('{') ? fromGeoJson(text, closed) : fromTable(text, closed)),
    (why) => ({ problem: `${why.replace(/^./, (c) => c.toUpperCase())}.` }),
  )

type Spot = { readonly x: number; readonly y: number; readonly z: number | null }

function fromGeoJson(text: string, closed: boolean): CourseRead {
  let read: unknown
  try {
    read = JSON.parse(text)
  } catch {
    return { problem: 'This begins like GeoJSON and can’t be read as JSON: it may have been cut off.' }
  }
  const line = coordinatesIn(read)
  if (!line)
    return { problem: 'No line in it: a LineString, or a Polygon, with at least three positions is wanted.' }
  const places = line.map(([longitude = NaN, latitude = NaN]) => ({ latitude, longitude }))
  const metres = metresFrom(places)
  return whole(
    metres.map(({ x, y }, i) => ({
      x,
      y,
      z: Number.isFinite(itemAt(line, i)[2]) ? itemAt(itemAt(line, i), 2) : null,
    })),
    closed,
    'file',
    { origin: places[0] },
  )
}

/** The first line in an object of GeoJSON, however deep. */
function coordinatesIn(value: unknown): number[][] | null {
  if (typeof value !== 'object' || value === null) return null
  const { type, coordinates, geometry, features, geometries } = value as Record<string, unknown>
  if (type === 'LineString' && Array.isArray(coordinates)) return asPositions(coordinates)
  if ((type === 'Polygon' || type === 'MultiLineString') && Array.isArray(coordinates))
    return asPositions(coordinates[0])
  for (const inner of [
    geometry,
    ...(Array.isArray(features) ? features : []),
    ...(Array.isArray(geometries) ? geometries : []),
  ]) {
    const found = coordinatesIn(inner)
    if (found) return found
  }
  return null
}
const asPositions = (list: unknown): number[][] | null =>
  Array.isArray(list) &&
  list.length >= 3 &&
  list.every((p) => Array.isArray(p) && p.length >= 2 && p.every((n) => typeof n === 'number'))
    ? (list as number[][])
    : null

const SPEEDS = [
  ['mph', /mph|mi\/h/i],
  ['m/s', /m\/s(?!²|2)|mps/i],
  ['km/h', /km|kph/i],
] as const

function fromTable(text: string, closed: boolean): CourseRead {
  const rows = Papa.parse<string[]>(text.trim(), { skipEmptyLines: true }).data
  const header = (rows[0] ?? []).map((t) => t.trim())
  const hasHeader = header.some((t) => t !== '' && readNumber(t) === null)
  const find = (words: RegExp) => (hasHeader ? header.findIndex((t) => words.test(t)) : -1)
  const body = rows.slice(hasHeader ? 1 : 0)
  const column = (at: number) => body.map((cells) => (at < 0 ? null : readNumber(cells[at] ?? '')))
  const [latitude, longitude] = [find(/^lat(itude)?\b(?!.*(acc|g\b))/i), find(/^(lon|lng)/i)]
  const height = column(find(/^(z\b|alt|height|elev|up\b)/i))
  if (latitude >= 0 && longitude >= 0) {
    const [lats, longs] = [column(latitude), column(longitude)]
    const rowsRead = body.flatMap((_, i) => {
      const [lat, long] = [lats[i] ?? null, longs[i] ?? null]
      return lat === null || long === null ? [] : [{ latitude: lat, longitude: long, z: height[i] ?? null }]
    })
    // A receiver without a fix writes nought.
    const fixed = rowsRead.filter((r) => r.latitude !== 0 || r.longitude !== 0)
    const metres = metresFrom(fixed)
    return whole(
      metres.map(({ x, y }, i) => ({ x, y, z: itemAt(fixed, i).z })),
      closed,
      'logged',
      { lost: body.length - fixed.length, origin: fixed[0] },
    )
  }
  const [time, speed, sideways] = [
    find(/^time|seconds/i),
    find(/speed|velocity/i),
    find(/sideways|lateral|lat.*acc|^ay\b|^g_?lat/i),
  ]
  if (time >= 0 && speed >= 0 && sideways >= 0)
    return fromBends(
      column(time),
      column(speed),
      column(sideways),
      itemAt(header, speed),
      itemAt(header, sideways),
      closed,
    )
  const [x, y] = hasHeader ? [find(/^(x|east)/i), find(/^(y|north)/i)] : [0, 1]
  if (x < 0 || y < 0)
    return {
      problem:
        'Which columns are they? A first line with x (m), y (m); or latitude, longitude; or time (s), speed (km/h), sideways (g) is wanted.',
    }
  const [xs, ys] = [column(x), column(y)]
  const heights = hasHeader ? height : column(2)
  const points = body.flatMap((_, i) => {
    const [east, north] = [xs[i] ?? null, ys[i] ?? null]
    return east === null || north === null ? [] : [{ x: east, y: north, z: heights[i] ?? null }]
  })
  return whole(points, closed, 'file')
}

function fromBends(
  times: readonly (number | null)[],
  speeds: readonly (number | null)[],
  sideways: readonly (number | null)[],
  speedTitle: string,
  sidewaysTitle: string,
  closed: boolean,
): CourseRead {
  const [symbol] = SPEEDS.find(([, words]) => words.test(speedTitle)) ?? SPEEDS[2]
  const unit = unitOf('velocity', symbol)
  const by = /m\/s/i.test(sidewaysTitle) ? 1 : STANDARD_GRAVITY
  const readings = times.flatMap((time, i) => {
    const [speed, side] = [speeds[i] ?? null, sideways[i] ?? null]
    return time === null || speed === null || side === null
      ? []
      : [{ time, speed: toSi(speed, unit), sideways: side * by }]
  })
  const { points, closingError, turningError } = lineFromBends(readings, { round: closed, step: 3 })
  if (points.length > MOST)
    return { problem: `That is over ${(MOST * 3) / 1000} km: cut the log to one lap.` }
  return {
    points: points.map(({ x, y }) => ({ x, y, z: null })),
    from: 'logged',
    closingError,
    origin: null,
    says: `From speed in ${symbol} and sideways acceleration in ${by === 1 ? 'm/s²' : 'g'}${
      turningError === null
        ? ''
        : `; it turned ${Math.abs((turningError * 180) / Math.PI).toFixed(0)}° too ${turningError > 0 ? 'far' : 'little'}, which is shared out`
    }.`,
  }
}

/** Points of a line made one: thinned, one lap of it, its end on its start. */
function whole(
  given: readonly Spot[],
  closed: boolean,
  from: 'logged' | 'file',
  { lost = 0, origin }: { readonly lost?: number; readonly origin?: Origin | undefined } = {},
): CourseRead {
  if (given.length < 3) return { problem: 'Fewer than three rows have a place.' }
  const jump = given.findIndex(
    (p, i) => i > 0 && Math.hypot(p.x - itemAt(given, i - 1).x, p.y - itemAt(given, i - 1).y) > JUMP,
  )
  if (jump > 0)
    return {
      problem: `From row ${jump} to the next the line jumps ${Math.hypot(itemAt(given, jump).x - itemAt(given, jump - 1).x, itemAt(given, jump).y - itemAt(given, jump - 1).y).toFixed(0)} m: cut the log before or after it.`,
    }
  const spread = Math.max(...['x', 'y'].map((axis) => spreadOf(given.map((p) => p[axis as 'x' | 'y']))))
  if (spread < 20) return { problem: 'It stands still: all of its places lie within 20 m.' }
  const lap = closed ? firstLap(given) : given
  const apart: Spot[] = []
  for (const point of lap) {
    const last = apart.at(-1)
    if (!last || Math.hypot(point.x - last.x, point.y - last.y) >= APART) apart.push(point)
  }
  if (closed) apart.push(itemAt(lap, -1))
  const kept = thinned(apart)
  const { points, closingError } = closed ? closedUp(kept) : { points: kept, closingError: null }
  const round = (n: number) => Math.round(n * 100) / 100
  return {
    points: points.map(({ x, y, z }) => ({ x: round(x), y: round(y), z: z === null ? null : round(z) })),
    from,
    closingError: closingError === null ? null : round(closingError),
    origin: origin ? { latitude: origin.latitude, longitude: origin.longitude } : null,
    says: [
      `${points.length} points`,
      lap.length < given.length && 'the first whole lap of it',
      lost > 0 && `${lost} rows without a place left out`,
    ]
      .filter(Boolean)
      .join(', ')
      .concat('.'),
  }
}
const spreadOf = (values: readonly number[]) =>
  values.reduce((a, b) => Math.max(a, b), -Infinity) - values.reduce((a, b) => Math.min(a, b), Infinity)

function thinned(points: readonly Spot[]): readonly Spot[] {
  const by = Math.ceil(points.length / (MOST - 1))
  return by <= 1 ? points : points.filter((_, i) => i % by === 0 || i === points.length - 1)
}
