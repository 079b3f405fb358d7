import { toSi } from '../units/convert'
import { unitNamed } from '../units/unitNamed'
import { columnsAgree } from './columnsAgree'
import { ROLE_QUANTITY, type PullMapping, type PullRole } from './guessColumns'
import type { PullPoint } from './pull'

export interface BadRow {
  /** Line of the file, counted from 1, the header included. */
  readonly line: number
  readonly problem: string
}

export interface ReadPull {
  readonly points: PullPoint[]
  readonly rows: number
  readonly badCount: number
  /** The first bad rows, by line. */
  readonly bad: BadRow[]
  /** What was done to the rows on the way: sorted, averaged, thinned. */
  readonly notes: string[]
  /** Do torque and power agree, where the file has both? */
  readonly agreement: ReturnType<typeof columnsAgree> | null
}

const MOST_BAD_ROWS_KEPT = 200
/** A pull has no more truth in it than this many points; a denser log is averaged down. */
const MOST_POINTS = 1200
const FASTEST = (25_000 * Math.PI) / 30
const STRONGEST = 20_000

function numberIn(cell: string, decimal: '.' | ','): number | null {
  const text = cell.trim().replace(decimal === ',' ? /[.\s]/g : /[,\s]/g, '')
  if (!/^[-+]?(\d+[.,]?\d*|[.,]\d+)([eE][-+]?\d+)?$/.test(text)) return null
  return Number(text.replace(',', '.'))
}

/**
 * Reads the rows of a dyno file into a pull, chunk by chunk, so that a long file can be read with progress.
 *
 * Bad rows are named and left out. Rows out of order are sorted and rows at the same engine speed are
 * averaged, and the notes say so. Torque is kept; where only power is given it is torque's power over ω.
 *
 * @param mapping which column holds what; engine speed and one of torque or power must be chosen with units
 * @param linesBefore lines of the file above the first row of figures, the header included
 * @throws {RangeError} when the mapping lacks a column or a unit
 * @example
 * const reader = pullReader({ speed: { column: 0, unit: 'rpm' }, torque: { column: 1, unit: 'N·m' }, power: null, decimal: '.' })
 * reader.add([['3000', '200'], ['abc', '210']])
 * reader.finish().bad // [{ line: 3, problem: 'engine speed: “abc” is not a number' }]
 */
export function pullReader(
  mapping: PullMapping,
  linesBefore = 1,
): {
  add(rows: readonly (readonly string[])[]): void
  finish(): ReadPull
} {
  const column = (role: PullRole) => {
    const choice = mapping[role]
    if (!choice) return null
    const unit = choice.unit === null ? undefined : unitNamed(ROLE_QUANTITY[role], choice.unit)
    if (!unit)
      throw new RangeError(`say which unit the ${role === 'speed' ? 'engine speed' : role} column is in`)
    return { index: choice.column, unit }
  }
  const speed = column('speed')
  const torque = column('torque')
  const power = column('power')
  if (!speed) throw new RangeError('say which column holds the engine speed')
  if (!torque && !power) throw new RangeError('say which column holds torque or power')

  const read: { speed: number; torque: number }[] = []
  const both: { speed: number; torque: number; power: number }[] = []
  const bad: BadRow[] = []
  let badCount = 0
  let rows = 0
  let line = linesBefore

  const addRow = (cells: readonly string[]) => {
    line += 1
    if (cells.every((cell) => cell.trim() === '')) return
    rows += 1
    const value = (
      from: { index: number; unit: NonNullable<ReturnType<typeof unitNamed>> } | null,
      name: string,
    ) => {
      if (!from) return null
      const cell = cells[from.index] ?? ''
      const number = numberIn(cell, mapping.decimal)
      if (number === null)
        throw new RangeError(
          cell.trim() === '' ? `${name} is empty` : `${name}: “${cell.trim()}” is not a number`,
        )
      return toSi(number, from.unit)
    }
    try {
      const w = value(speed, 'engine speed')!
      if (w <= 0 || w > FASTEST)
        throw new RangeError(
          `engine speed: ${cells[speed.index]} ${speed.unit.symbol} is out of the question`,
        )
      const t = value(torque, 'torque')
      const p = value(power, 'power')
      const asTorque = t ?? p! / w
      if (Math.abs(asTorque) > STRONGEST)
        throw new RangeError('torque is out of the question: is the unit right?')
      read.push({ speed: w, torque: asTorque })
      if (t !== null && p !== null) both.push({ speed: w, torque: t, power: p })
    } catch (error) {
      badCount += 1
      if (bad.length < MOST_BAD_ROWS_KEPT) bad.push({ line, problem: (error as RangeError).message })
    }
  }

  return {
    add: (chunk) => chunk.forEach(addRow),
    finish: () => {
      const notes: string[] = []
      const ordered = read.every((p, i) => i === 0 || p.speed >= read[i - 1]!.speed)
      if (!ordered) notes.push('Rows were out of order; they are sorted by engine speed.')
      const sorted = ordered ? read : [...read].sort((a, b) => a.speed - b.speed)
      const merged = average(sorted, (p) => p.speed)
      if (merged.length < sorted.length) {
        notes.push(`${sorted.length - merged.length} rows repeat an engine speed; their torque is averaged.`)
      }
      let points = merged
      if (merged.length > MOST_POINTS) {
        const low = merged[0]!.speed
        const step = (merged.at(-1)!.speed - low) / MOST_POINTS
        points = average(merged, (p) => Math.min(MOST_POINTS - 1, Math.floor((p.speed - low) / step)))
        notes.push(
          `${merged.length.toLocaleString('en-GB')} points are averaged down to ${points.length.toLocaleString('en-GB')}, evenly spread.`,
        )
      }
      const comparable = both.some((r) => r.torque > 0 && r.power > 0)
      return { points, rows, badCount, bad, notes, agreement: comparable ? columnsAgree(both) : null }
    },
  }
}

/** Neighbours that share a key become one point at their mean. */
function average(points: readonly PullPoint[], key: (p: PullPoint) => number): PullPoint[] {
  const result: PullPoint[] = []
  let start = 0
  for (let i = 1; i <= points.length; i += 1) {
    if (i < points.length && key(points[i]!) === key(points[start]!)) continue
    const group = points.slice(start, i)
    const mean = (of: (p: PullPoint) => number) => group.reduce((s, p) => s + of(p), 0) / group.length
    if (group.length > 0)
      result.push(
        group.length === 1 ? group[0]! : { speed: mean((p) => p.speed), torque: mean((p) => p.torque) },
      )
    start = i
  }
  return result
}
