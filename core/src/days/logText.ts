import { EARTH } from '../course/metresFrom'
import { STANDARD_GRAVITY } from '../units/constants'
import type { LogColumn, RunLog, RunLogChannel } from './RunLog'

/** A logger's table as it was read: figures as they stand there. */
export interface LogTable {
  readonly titles: readonly string[]
  /** What each column is by its title. */
  readonly columns: readonly LogColumn[]
  readonly values: readonly Float64Array[]
  /** Lines that could not be read. */
  readonly bad: number
  /** Samples that were left out, since the logger took more than 25 a second. */
  readonly thinned: number
  /** The file ends in the middle of a line. */
  readonly cutOff: boolean
}

/** A log is kept with no more samples a second. */
const RATE = 25
const MOST_COLUMNS = 100

const GUESS: readonly (readonly [Exclude<LogColumn, null>, RegExp])[] = [
  ['latitude', /^lat(itude)?\b(?!.*(acc|\bg\b))|gps.?lat/i],
  ['longitude', /^(lon|lng)(gitude)?\b(?!.*(acc|\bg\b))|gps.?(lon|lng)/i],
  ['time', /^(time|t|timestamp|seconds|clock)\b/i],
  ['engineSpeed', /rpm|engine.?speed|revs/i],
  ['speed', /speed|velocity/i],
  ['throttle', /throttle|pedal|tps/i],
  ['brakeFront', /brake.*(front|\bf\b|1)|front.*brake/i],
  ['brakeRear', /brake.*(rear|\br\b|2)|rear.*brake/i],
  ['gear', /gear/i],
  ['sideways', /sideways|lateral|lat.*acc|^ay\b|g.?lat/i],
  ['forward', /forward|longitudinal|long.*acc|^ax\b|g.?long/i],
  ['lap', /^lap\b/i],
  ['x', /^(x|east)\b/i],
  ['y', /^(y|north)\b/i],
]

/** By what a column's figures are SI, as its title says; common units where it says none. */
function factorOf(column: LogColumn, title: string): number {
  switch (column) {
    case 'time':
      return /\bms\b|milli/i.test(title) ? 1e-3 : 1
    case 'speed':
      return /m\/s/i.test(title) ? 1 : /mph|mi\/h/i.test(title) ? 0.44704 : 1 / 3.6
    case 'engineSpeed':
      return /rad/i.test(title) ? 1 : Math.PI / 30
    case 'throttle':
      return 0.01
    case 'brakeFront':
    case 'brakeRear':
      return /kpa/i.test(title) ? 1e3 : /psi/i.test(title) ? 6894.757 : /\bpa\b/i.test(title) ? 1 : 1e5
    case 'sideways':
    case 'forward':
      return /m\/s/i.test(title) ? 1 : STANDARD_GRAVITY
    default:
      return 1
  }
}

const isFigure = (cell: string) => cell !== '' && Number.isFinite(Number(cell))

/** A growing row of figures. */
class Column {
  private values = new Float64Array(4096)
  length = 0
  push(value: number) {
    if (this.length === this.values.length) {
      const wider = new Float64Array(2 * this.length)
      wider.set(this.values)
      this.values = wider
    }
    this.values[this.length] = value
    this.length += 1
  }
  done(): Float64Array {
    return this.values.slice(0, this.length)
  }
}

/**
 * Reads a logger's table piece by piece, so that a file of any size needs no more memory than what is kept of it: at most 25
 * samples a second. What stands before the line of titles is passed over; a line of units below it belongs to the titles.
 *
 * @throws {RangeError} at its end, for a file without a line of titles and figures below it
 * @source definition
 * @example logText(['time (s),speed (km/h)', '0,0', '0.1,36', '']).titles[1] // 'speed (km/h)'
 */
export class LogText {
  private rest = ''
  private separator = ','
  private titles: string[] | null = null
  private columns: LogColumn[] = []
  private kept: Column[] = []
  private before: string[] | null = null
  private clock = -1
  private last = -Infinity
  private bad = 0
  private thinned = 0

  push(text: string): void {
    const lines = (this.rest + text).split('\n')
    this.rest = lines.pop() ?? ''
    for (const line of lines) this.line(line.endsWith('\r') ? line.slice(0, -1) : line)
  }

  end(): LogTable {
    const cutOff =
      this.rest !== '' && this.titles !== null && this.cells(this.rest).length < this.titles.length
    if (this.rest !== '' && !cutOff) this.line(this.rest)
    if (!this.titles || (this.kept[0]?.length ?? 0) === 0)
      throw new RangeError('that has no line of titles with figures below it')
    return {
      titles: this.titles,
      columns: this.columns,
      values: this.kept.map((c) => c.done()),
      bad: this.bad,
      thinned: this.thinned,
      cutOff,
    }
  }

  private cells(line: string): string[] {
    const cells = line.split(this.separator)
    // A comma is the decimal sign where something else parts the columns.
    return this.separator === ',' ? cells.map(bare) : cells.map((c) => bare(c).replace(',', '.'))
  }

  private line(line: string): void {
    if (line.trim() === '') return
    if (!this.titles) return this.head(line)
    const cells = this.cells(line)
    if (cells.length < this.titles.length - 1) return void (this.bad += 1)
    if (this.clock >= 0) {
      const now = Number(cells[this.clock]) * factorOf('time', this.titles[this.clock]!)
      if (!Number.isFinite(now)) return void (this.bad += 1)
      if (now >= this.last && now - this.last < 1 / RATE - 1e-4) return void (this.thinned += 1)
      this.last = now
    }
    this.kept.forEach((column, i) => {
      const cell = cells[i] ?? ''
      column.push(cell === '' ? NaN : Number(cell))
    })
  }

  /** Lines are passed over until figures stand below one of words. */
  private head(line: string): void {
    this.separator = [';', '\t', ','].find((s) => line.split(s).length > 1) ?? ','
    const cells = this.cells(line)
    const figures = cells.filter(isFigure).length
    // A logger whose sensors are dead writes its clock and nothing else: that is a line of figures, too.
    const isFigures =
      figures >= cells.length / 2 || (figures > 0 && cells.every((c) => c === '' || isFigure(c)))
    if (isFigures && figures > 0 && this.before) {
      const titles = this.before.slice(0, MOST_COLUMNS)
      this.titles = titles
      this.columns = guessed(titles)
      this.clock = this.columns.indexOf('time')
      this.kept = titles.map(() => new Column())
      return this.line(line)
    }
    const above = this.before
    // A line of units below the titles: both together say what a column is.
    const isUnits = above !== null && above.length === cells.length && guessed(above).some((c) => c !== null)
    this.before = isUnits ? above.map((title, i) => (cells[i] ? `${title} (${cells[i]})` : title)) : cells
  }
}

const bare = (cell: string) =>
  cell
    .trim()
    .replace(/^"(.*)"$/, '$1')
    .trim()

/** What columns are by their titles: each thing once, the first that is called so. */
function guessed(titles: readonly string[]): LogColumn[] {
  const taken = new Set<LogColumn>()
  return titles.map((title) => {
    const found = GUESS.find(([column, words]) => !taken.has(column) && words.test(title))?.[0] ?? null
    if (found) taken.add(found)
    return found
  })
}

/** All of a table at once, for what is small. */
export function logText(lines: readonly string[]): LogTable {
  const reader = new LogText()
  reader.push(lines.join('\n'))
  return reader.end()
}

/**
 * A log from a logger's table, by what its columns are said to be.
 *
 * @param columns one for each of the table; where two are the same, the first counts
 * @throws {RangeError} for a table without a clock
 * @source latitude and longitude as metres about the first place (equirectangular)
 * @example logOf('run', table, table.columns).channels.length // 1
 */
export function logOf(name: string, table: LogTable, columns: readonly LogColumn[]): RunLog {
  const at = (column: LogColumn) => columns.indexOf(column)
  const clock = table.values[at('time')]
  if (!clock) throw new RangeError('which column is the clock? Without one no lap can be timed')
  const factor = factorOf('time', table.titles[at('time')]!)
  const start = clock[0] ?? 0
  const channels: RunLogChannel[] = []
  table.titles.forEach((title, i) => {
    const column = columns[i] ?? null
    if (column === 'time' || column === 'latitude' || column === 'longitude') return
    if (column !== null && at(column) !== i) return
    const by = factorOf(column, title)
    channels.push({ name: title, role: column, values: Float32Array.from(table.values[i]!, (v) => v * by) })
  })
  const [latitude, longitude] = [table.values[at('latitude')], table.values[at('longitude')]]
  const placed = latitude && longitude ? placesOf(latitude, longitude) : null
  return {
    name,
    time: Float32Array.from(clock, (t) => (t - start) * factor),
    channels: placed
      ? [...placed.channels, ...channels.filter((c) => c.role !== 'x' && c.role !== 'y')]
      : channels,
    origin: placed?.origin ?? null,
    read: { titles: table.titles, columns },
  }
}

const RADIAN = Math.PI / 180

function placesOf(latitude: Float64Array, longitude: Float64Array) {
  // A receiver without a fix writes nought.
  const has = (i: number) =>
    Number.isFinite(latitude[i]) && Number.isFinite(longitude[i]) && (latitude[i] !== 0 || longitude[i] !== 0)
  let first = 0
  while (first < latitude.length && !has(first)) first += 1
  const origin = first < latitude.length ? { latitude: latitude[first]!, longitude: longitude[first]! } : null
  const east = EARTH * RADIAN * Math.cos((origin?.latitude ?? 0) * RADIAN)
  const along = (of: (i: number) => number) =>
    Float32Array.from(latitude, (_, i) => (origin && has(i) ? of(i) : NaN))
  return {
    origin,
    channels: [
      { name: 'x', role: 'x' as const, values: along((i) => (longitude[i]! - origin!.longitude) * east) },
      {
        name: 'y',
        role: 'y' as const,
        values: along((i) => (latitude[i]! - origin!.latitude) * EARTH * RADIAN),
      },
    ],
  }
}
