import { readNumber, toSi, unitOf, type CoastRun, itemAt } from '@bold-ballast/core'
import Papa from 'papaparse'

export type CoastRead =
  | {
      readonly points: CoastRun['points']
      readonly rows: number
      readonly unit: string
      readonly says: string
    }
  | { readonly problem: string }

const MOST = 2000
const FEWEST = 10
const UNITS = [
  ['mph', /mph|mi\/h/i],
  ['m/s', /m\/s|mps/i],
  ['km/h', /km|kph/i],
] as const

/** Means of neighbours, so that a long log stays a short one; its noise shrinks with it. */
function thinned(points: CoastRun['points']): CoastRun['points'] {
  const by = Math.ceil(points.length / MOST)
  if (by <= 1) return points
  return Array.from({ length: Math.floor(points.length / by) }, (_, i) => {
    const some = points.slice(i * by, (i + 1) * by)
    const mean = (of: (p: CoastRun['points'][number]) => number) => some.reduce((s, p) => s + of(p), 0) / by
    return { time: mean((p) => p.time), speed: mean((p) => p.speed) }
  })
}

/**
 * Reads a log of time and speed and takes the part in which the car rolls out: from its highest speed to the lowest
 * that comes after it.
 *
 * @returns the points, SI, thinned to 2,000 at most; or what is wrong and what would be right
 */
export function coastRows(text: string): CoastRead {
  const rows = Papa.parse<string[]>(text.trim(), { skipEmptyLines: true }).data
  const header = (rows[0] ?? []).map((t) => t.trim())
  const hasHeader = header.some((t) => readNumber(t) === null)
  const find = (words: RegExp, otherwise: number) => {
    const at = hasHeader ? header.findIndex((t) => words.test(t)) : -1
    return at < 0 ? otherwise : at
  }
  const timeAt = find(/^time|seconds|\bs\b/i, 0)
  const speedAt = find(/speed|velocity|km\/h|mph|kph/i, 1)
  const [symbol] = UNITS.find(([, words]) => words.test(header[speedAt] ?? '')) ?? UNITS[2]
  const unit = unitOf('velocity', symbol)
  const all = rows.slice(hasHeader ? 1 : 0).flatMap((cells) => {
    const [time, speed] = [readNumber(cells[timeAt] ?? ''), readNumber(cells[speedAt] ?? '')]
    return time === null || speed === null ? [] : [{ time, speed: toSi(speed, unit) }]
  })
  if (all.length < FEWEST)
    return {
      problem: 'Too few rows with a time and a speed: a first line such as time (s), speed (km/h) is wanted.',
    }
  const points = thinned(
    all.sort((a, b) => a.time - b.time).filter((p, i) => i === 0 || p.time > itemAt(all, i - 1).time),
  )
  const top = points.reduce((best, p, i) => (p.speed > itemAt(points, best).speed ? i : best), 0)
  const after = points.slice(top)
  const low = after.reduce((best, p, i) => (p.speed < itemAt(after, best).speed ? i : best), 0)
  const rolling = after.slice(0, low + 1)
  if (rolling.length < FEWEST)
    return {
      problem: `It doesn’t slow down: its highest speed comes at the end. A run starts fast and rolls out, out of gear.`,
    }
  const from = itemAt(rolling, 0).time
  const shown = (v: number) => (v * 3.6).toFixed(0)
  return {
    points: rolling.map((p) => ({
      time: Number((p.time - from).toFixed(4)),
      speed: Number(p.speed.toFixed(4)),
    })),
    rows: all.length,
    unit: symbol,
    says: `${all.length.toLocaleString('en-GB')} rows, rolling out from ${shown(itemAt(rolling, 0).speed)} to ${shown(itemAt(rolling, -1).speed)} km/h in ${(itemAt(rolling, -1).time - from).toFixed(0)} s`,
  }
}
