import { RPM } from '../units/constants'
import { toSi } from '../units/convert'
import type { Unit } from '../units/quantities'
import { unitNamed } from '../units/unitNamed'
import { columnsAgree } from './columnsAgree'
import { ROLE_QUANTITY, type PullMapping, type PullRole } from './guessColumns'
import { peaksOf, type PullPoint } from './pull'
import { CHANNEL_RANGE, PULL_CHANNELS, type ChannelValues, type PullChannel } from './pullChannels'
import { resamplePull, type LoggedPull } from './resamplePull'
import { splitPulls } from './splitPulls'

export interface BadRow {
  /** Line of the file, counted from 1, the header included. */
  readonly line: number
  readonly problem: string
}

export interface PullRead {
  readonly name: string
  readonly points: PullPoint[]
  readonly channels: ChannelValues
  readonly rows: number
  /** Highest power of the rows, and of the even grid, W. */
  readonly rawPeakPower: number
  readonly peakPower: number
  /** Do torque and power agree, where the file has both? */
  readonly agreement: ReturnType<typeof columnsAgree> | null
}

export interface ReadPulls {
  readonly pulls: PullRead[]
  readonly rows: number
  readonly badCount: number
  /** The first bad rows, by line. */
  readonly bad: BadRow[]
  /** What was done to the rows on the way, and which channels had gaps. */
  readonly notes: string[]
}

const MOST_BAD_ROWS_KEPT = 200
const FASTEST = 25_000 * RPM
const STRONGEST = 20_000
/** The even grid that pulls are laid on. */
export const GRID_STEP = 25 * RPM

const ROLE_NAMES: Partial<Record<PullRole, string>> = {
  speed: 'engine speed',
  lambda: 'mixture',
  intake: 'intake air',
  oilPressure: 'oil pressure',
  roadSpeed: 'road speed',
}
const nameOf = (role: PullRole) => ROLE_NAMES[role] ?? role

const PLAIN = {
  '.': /^\s*[-+]?(\d+\.?\d*|\.\d+)([eE][-+]?\d+)?\s*$/,
  ',': /^\s*[-+]?(\d+,?\d*|,\d+)([eE][-+]?\d+)?\s*$/,
}

function numberIn(cell: string, decimal: '.' | ','): number | null {
  // Most cells are plain and must be read fast; what is left is tried with its thousands marks taken out.
  if (decimal === '.' && PLAIN['.'].test(cell)) return Number(cell)
  const text = cell.trim().replace(decimal === ',' ? /[.\s]/g : /[,\s]/g, '')
  return PLAIN[decimal].test(text) ? Number(text.replace(',', '.')) : null
}

/** A list of numbers that grows, kept as a typed array. */
class Column {
  private values = new Float64Array(1024)
  length = 0
  push(value: number): void {
    if (this.length === this.values.length) {
      const wider = new Float64Array(this.length * 2)
      wider.set(this.values)
      this.values = wider
    }
    this.values[this.length] = value
    this.length += 1
  }
  array(): Float64Array {
    return this.values.subarray(0, this.length)
  }
}

/**
 * Reads the rows of a dyno file or a log into pulls, chunk by chunk, so that a long file can be read with
 * progress.
 *
 * Bad rows are named and left out; a bad cell of a channel that a curve can do without becomes a gap, and
 * the notes say so. Several pulls in one file are told apart by their run column or by the engine speed
 * rising anew. Each is laid on an even grid. Torque is kept; where only power is given it is power over ω.
 *
 * @param mapping which column holds what; engine speed and one of torque or power must be chosen with units
 * @param linesBefore lines of the file above the first row of figures, the header included
 * @param overalls overall ratios of the car's gears by name, to explain a torque that stands behind one
 * @throws {RangeError} when the mapping lacks a column or a unit
 * @example
 * const reader = pullReader(guessColumns(['rpm', 'torque (Nm)'], []))
 * reader.add([['3000', '200'], ['abc', '210']])
 * reader.finish().bad // [{ line: 3, problem: 'engine speed: “abc” is not a number' }]
 */
export function pullReader(
  mapping: PullMapping,
  linesBefore = 1,
  overalls: readonly { name: string; ratio: number }[] = [],
): {
  add(rows: readonly (readonly string[])[]): void
  finish(): ReadPulls
} {
  const column = (role: Exclude<PullRole, 'run'>) => {
    const choice = mapping[role]
    if (!choice) return null
    const unit = choice.unit === null ? undefined : unitNamed(ROLE_QUANTITY[role], choice.unit)
    if (!unit) throw new RangeError(`say which unit the ${nameOf(role)} column is in`)
    return { role, index: choice.column, unit, out: new Column() }
  }
  const speed = column('speed')
  const torque = column('torque')
  const power = column('power')
  if (!speed) throw new RangeError('say which column holds the engine speed')
  if (!torque && !power) throw new RangeError('say which column holds torque or power')
  const channels = PULL_CHANNELS.flatMap((role) => {
    const choice = column(role)
    return choice ? [{ ...choice, role, gaps: 0, wild: 0 }] : []
  })
  const runs = mapping.run ? { index: mapping.run.column, names: [] as string[] } : null
  const kept = new Column()
  const stated = new Column()

  const bad: BadRow[] = []
  let badCount = 0
  let rows = 0
  let line = linesBefore

  const refuse = (problem: string) => {
    badCount += 1
    if (bad.length < MOST_BAD_ROWS_KEPT) bad.push({ line, problem })
  }
  const cellOf = (
    cells: readonly string[],
    from: { index: number; unit: Unit; role: PullRole },
  ): number | string => {
    const cell = cells[from.index] ?? ''
    const number = numberIn(cell, mapping.decimal)
    if (number === null)
      return cell.trim() === ''
        ? `${nameOf(from.role)} is empty`
        : `${nameOf(from.role)}: “${cell.trim()}” is not a number`
    return toSi(number, from.unit)
  }
  const addRow = (cells: readonly string[]) => {
    line += 1
    if (cells.every((cell) => cell.trim() === '')) return
    rows += 1
    const w = cellOf(cells, speed)
    if (typeof w === 'string') return refuse(w)
    if (w <= 0 || w > FASTEST)
      return refuse(`engine speed: ${cells[speed.index]} ${speed.unit.symbol} is out of the question`)
    const t = torque && cellOf(cells, torque)
    if (typeof t === 'string') return refuse(t)
    const p = power && cellOf(cells, power)
    if (typeof p === 'string') return refuse(p)
    const asTorque = t ?? p! / w
    if (Math.abs(asTorque) > STRONGEST) return refuse('torque is out of the question: is the unit right?')
    speed.out.push(w)
    kept.push(asTorque)
    stated.push(t !== null && p !== null ? p : NaN)
    for (const channel of channels) {
      const value = cellOf(cells, channel)
      const [low, high] = CHANNEL_RANGE[channel.role]
      const isNumber = typeof value === 'number'
      if (!isNumber) channel.gaps += 1
      else if (value < low || value > high) channel.wild += 1
      channel.out.push(isNumber && value >= low && value <= high ? value : NaN)
    }
    runs?.names.push((cells[runs.index] ?? '').trim())
  }

  return {
    add: (chunk) => chunk.forEach(addRow),
    finish: () => {
      const notes: string[] = []
      const speeds = speed.out.array()
      if (speeds.length === 0) return { pulls: [], rows, badCount, bad, notes }
      const stretches = runs
        ? byRun(runs.names)
        : splitPulls(speeds).map(([a, b]) => ({ name: '', rows: range(a, b) }))
      if (stretches.length > 1) {
        const used = stretches.reduce((sum, s) => sum + s.rows.length, 0)
        const left = speeds.length - used
        notes.push(
          `${stretches.length} pulls in the file${left > 0 ? `; ${left.toLocaleString('en-GB')} rows between them are left out` : ''}.`,
        )
      }
      for (const { role, gaps, wild, out } of channels) {
        if (wild === out.length)
          notes.push(
            `${capital(nameOf(role))} is out of the question in every row: is the unit right? It is left out.`,
          )
        else if (gaps + wild > 0)
          notes.push(
            `${capital(nameOf(role))}: ${(gaps + wild).toLocaleString('en-GB')} cells were no figures and are gaps.`,
          )
      }
      const taken = kept.array()
      const beside = stated.array()
      const pulls = stretches.flatMap(({ name, rows: which }, i): PullRead[] => {
        const pick = (from: Float64Array) => Float64Array.from(which, (r) => from[r]!)
        const log: LoggedPull = {
          speed: pick(speeds),
          torque: pick(taken),
          channels: Object.fromEntries(
            channels.filter((c) => c.wild < c.out.length).map((c) => [c.role, pick(c.out.array())]),
          ) as Partial<Record<PullChannel, Float64Array>>,
        }
        if (new Set(log.speed.subarray(0, 1000)).size < 2) return []
        const { points, channels: along, rawPeakPower } = resamplePull(log, GRID_STEP)
        const both = Array.from(which, (r) => ({
          speed: speeds[r]!,
          torque: taken[r]!,
          power: beside[r]!,
        })).filter((r) => r.torque > 0 && r.power > 0)
        return [
          {
            name: name || (stretches.length > 1 ? `Pull ${i + 1}` : ''),
            points,
            channels: along,
            rows: which.length,
            rawPeakPower,
            peakPower: peaksOf(points).power.value,
            agreement: both.length > 0 ? columnsAgree(both, overalls) : null,
          },
        ]
      })
      if (pulls.length > 0)
        notes.push(
          `Laid on an even grid of 25 rpm${rows > 1500 ? ': rows that share a step are averaged' : ''}.`,
        )
      return { pulls, rows, badCount, bad, notes }
    },
  }
}

const range = (from: number, to: number) => Uint32Array.from({ length: to - from }, (_, i) => from + i)
const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1)

/** Rows by what their run column says, in the order of first appearance. */
function byRun(names: readonly string[]): { name: string; rows: Uint32Array }[] {
  const groups = new Map<string, number[]>()
  names.forEach((name, row) => {
    const group = groups.get(name)
    if (group) group.push(row)
    else groups.set(name, [row])
  })
  return [...groups].map(([name, rows]) => ({
    name: groups.size === 1 ? '' : /^\d+$/.test(name) ? `Pull ${name}` : name,
    rows: Uint32Array.from(rows),
  }))
}
