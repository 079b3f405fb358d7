import type { LogTable } from './logText'
import type { LogColumn } from './RunLog'

/** What a point of a track may say, in the order of the table's columns. */
const COLUMNS: readonly (readonly [title: string, column: LogColumn])[] = [
  ['time (s)', 'time'],
  ['latitude', 'latitude'],
  ['longitude', 'longitude'],
  ['height (m)', null],
  ['speed (m/s)', 'speed'],
]

const within = (point: string, name: string): string | undefined =>
  new RegExp(`<(?:\\w+:)?${name}>\\s*([^<]*?)\\s*</`).exec(point)?.[1]
const attribute = (point: string, name: string): number =>
  Number(new RegExp(`\\s${name}\\s*=\\s*["']([^"']*)["']`).exec(point)?.[1] || NaN)
const figure = (text: string | undefined): number => (text ? Number(text) : NaN)

/** Whether a file begins as GPX does. */
export const isGpx = (start: string): boolean =>
  /^\uFEFF?\s*(<\?xml[^>]*>\s*)?(<!--[\s\S]*?-->\s*)?<gpx[\s>]/.test(start)

/**
 * A track of a receiver as a logger's table: clock, place, and height and speed where its points say them.
 *
 * @returns points of all tracks and their pieces, one after the other
 * @throws {RangeError} for a file without a track, or one whose points say no time
 * @source GPX 1.1, the elements trkpt, ele and time; speed as GPX 1.0 and common extensions write it
 * @example gpxLog('<gpx><trk><trkseg><trkpt lat="0" lon="1"><time>2026-05-02T09:00:00Z</time></trkpt></trkseg></trk></gpx>').values[2][0] // 1
 */
export function gpxLog(text: string): LogTable {
  const points = text.match(/<trkpt\b[\s\S]*?(?:<\/trkpt>|\/>)/g) ?? []
  if (points.length === 0)
    throw new RangeError('that GPX has no track: waypoints and routes are no log of a run')
  const rows: number[][] = []
  let bad = 0
  for (const point of points) {
    const [latitude, longitude] = [attribute(point, 'lat'), attribute(point, 'lon')]
    const clock = Date.parse(within(point, 'time') ?? '') / 1000
    if (!Number.isFinite(latitude) || !Number.isFinite(longitude) || Number.isNaN(clock)) bad += 1
    else rows.push([clock, latitude, longitude, figure(within(point, 'ele')), figure(within(point, 'speed'))])
  }
  if (rows.length === 0)
    throw new RangeError('the points of that GPX say no time: no lap can be timed by them')
  const start = rows[0]![0]!
  const values = COLUMNS.map((_, i) => Float64Array.from(rows, (row) => row[i]! - (i === 0 ? start : 0)))
  const said = COLUMNS.map((_, i) => values[i]!.some((value) => !Number.isNaN(value)))
  const kept = <T>(all: readonly T[]) => all.filter((_, i) => said[i])
  return {
    titles: kept(COLUMNS.map(([title]) => title)),
    columns: kept(COLUMNS.map(([, column]) => column)),
    values: kept(values),
    bad,
    thinned: 0,
    cutOff: !/<\/gpx>\s*$/.test(text),
  }
}
