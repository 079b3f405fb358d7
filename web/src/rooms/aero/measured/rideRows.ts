import {
  pitotFactor,
  readNumber,
  steadyStretches,
  unitOf,
  type RidePoint,
  type RideRow,
  itemAt,
} from '@bold-ballast/core'
import Papa from 'papaparse'

export type RideRead =
  | {
      readonly points: readonly RidePoint[]
      /** Of an airspeed tube: true speed over what it said; null without one. */
      readonly factor: number | null
      readonly says: string
    }
  | { readonly problem: string }

const COLUMNS = {
  time: /^time|seconds|\bt\s*\(s\)/i,
  tube: /pitot|air ?speed|tube/i,
  speed: /speed|velocity|km\/h|mph/i,
  frontLeft: /(front|\bf).*left|left.*front|\bfl\b/i,
  frontRight: /(front|\bf).*right|right.*front|\bfr\b/i,
  rearLeft: /rear.*left|left.*rear|\brl\b/i,
  rearRight: /rear.*right|right.*rear|\brr\b/i,
  front: /front/i,
  rear: /rear|back/i,
} as const
type Column = keyof typeof COLUMNS

const SPEEDS = [
  ['mph', /mph|mi\/h/i],
  ['m/s', /m\/s|mps/i],
  ['km/h', /./],
] as const
const LENGTHS = [
  ['in', /\(in\)|inch/i],
  ['m', /\(m\)/i],
  ['mm', /./],
] as const
const FEWEST = 3
const STRETCH = { least: 2, band: 0.8 }

/** The place of each column, each taken once, the plainer names last. */
function columnsOf(header: readonly string[]): Partial<Record<Column, number>> {
  const taken = new Set<number>()
  return Object.fromEntries(
    (Object.keys(COLUMNS) as Column[]).flatMap((column) => {
      const at = header.findIndex((title, i) => !taken.has(i) && COLUMNS[column].test(title))
      if (at < 0) return []
      taken.add(at)
      return [[column, at]]
    }),
  )
}

/**
 * Reads a log of speeds and of where the suspension stands into its steady stretches, SI.
 *
 * With a time column the stretches are found; without one every row is a stretch that somebody wrote down.
 */
export function rideRows(text: string): RideRead {
  const rows = Papa.parse<string[]>(text.trim(), { skipEmptyLines: true }).data
  const header = (rows[0] ?? []).map((t) => t.trim())
  const at = columnsOf(header)
  const axle = (end: 'front' | 'rear'): readonly number[] => {
    const pair = ([`${end}Left`, `${end}Right`] as const).map((c) => at[c])
    return pair.every((i) => i !== undefined) ? pair : at[end] === undefined ? [] : [at[end]]
  }
  const [front, rear] = [axle('front'), axle('rear')]
  const speedAt = at.speed ?? at.tube
  if (speedAt === undefined || front.length === 0 || rear.length === 0)
    return {
      problem:
        'The first line should name a speed, front and rear, such as time (s), speed (km/h), front (mm), rear (mm); or left and right of each.',
    }
  // Units once a column: a log has many rows.
  const factors = header.map((title) => ({
    velocity: unitOf('velocity', SPEEDS.find(([, words]) => words.test(title))?.[0] ?? 'km/h').factor,
    length: unitOf('length', LENGTHS.find(([, words]) => words.test(title))?.[0] ?? 'mm').factor,
  }))
  const figure = (cells: readonly string[], i: number, quantity: 'velocity' | 'length') => {
    const read = readNumber(cells[i] ?? '')
    return read === null ? null : read * itemAt(factors, i)[quantity]
  }
  const mean = (cells: readonly string[], places: readonly number[]) => {
    const all = places.map((i) => figure(cells, i, 'length'))
    return all.some((v) => v === null) ? null : (all as number[]).reduce((s, v) => s + v, 0) / all.length
  }
  const read = rows.slice(1).flatMap((cells, i): RideRow[] => {
    const time = at.time === undefined ? i : readNumber(cells[at.time] ?? '')
    const [speed, f, r] = [figure(cells, speedAt, 'velocity'), mean(cells, front), mean(cells, rear)]
    if (time === null || speed === null || f === null || r === null) return []
    const tube = at.tube === undefined ? null : figure(cells, at.tube, 'velocity')
    return [{ time, speed, front: f, rear: r, ...(tube !== null && { tube }) }]
  })
  const points =
    at.time === undefined
      ? read.map(({ time: _, ...row }) => ({ ...row, held: 0 }))
      : steadyStretches(
          [...read].sort((a, b) => a.time - b.time),
          STRETCH,
        )
  if (points.length < FEWEST)
    return {
      problem: `${points.length === 0 ? 'No speed' : `Only ${points.length} of the speeds`} was held for ${STRETCH.least} s; ${FEWEST} at least are wanted, slow and fast.`,
    }
  const tubed = points.flatMap((p) => (p.tube === undefined ? [] : [{ ground: p.speed, tube: p.tube }]))
  const shown = (v: number) => (v * 3.6).toFixed(0)
  const speeds = points.map((p) => p.speed)
  return {
    points,
    factor: tubed.length === points.length ? pitotFactor(tubed) : null,
    says: `${read.length.toLocaleString('en-GB')} rows, ${points.length} held speeds from ${shown(Math.min(...speeds))} to ${shown(Math.max(...speeds))} km/h`,
  }
}
