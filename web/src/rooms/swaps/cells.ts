import { SYSTEMS, type Line, LINE_KIND, SYSTEM } from '@bold-ballast/contract'
import {
  formatFigure,
  formatPlace,
  GRADES,
  LINE_KINDS,
  parsePlace,
  parseQuantity,
  readNumber,
  type Unit,
} from '@bold-ballast/core'

export const COLUMNS = ['kind', 'name', 'system', 'quantity', 'mass', 'grade', 'fitted', 'position'] as const
export type Column = (typeof COLUMNS)[number]

export const COLUMN_TITLES: Record<Column, string> = {
  kind: 'Way',
  name: 'Part',
  system: 'System',
  quantity: 'Pcs',
  mass: 'Mass each',
  grade: 'Known by',
  fitted: 'Done',
  position: 'Place',
}

/** How the columns of the grid are laid out at a bench; a phone shows cards. */
export const GRID =
  'md:grid md:grid-cols-[106px_minmax(140px,1.6fr)_minmax(96px,1fr)_44px_92px_108px_48px_minmax(104px,0.9fr)_88px_30px] md:max-xl:grid-cols-[102px_minmax(124px,1.6fr)_minmax(64px,1fr)_36px_80px_96px_44px_minmax(86px,0.9fr)_70px_26px]'

/** Columns chosen from a list, with the words for each value. */
export const CHOICES: Partial<Record<Column, readonly (readonly [string, string])[]>> = {
  kind: LINE_KINDS.map((k) => [k, LINE_KIND[k]] as const),
  system: SYSTEMS.map((s) => [s, SYSTEM[s]] as const),
  grade: GRADES.map((g) => [g, g] as const),
}

export interface CellUnits {
  readonly mass: Unit
  readonly length: Unit
}

/** What a cell's editor starts with. */
export function textOf(line: Line, column: Column, units: CellUnits): string {
  switch (column) {
    case 'mass':
      return formatFigure(line.mass, units.mass, 3)
        .replace(/,/g, '')
        .replace(/\.?0+$/, '')
    case 'position':
      return placeText(line, units.length)
    case 'fitted':
      return line.fitted ? 'yes' : 'no'
    default:
      return String(line[column])
  }
}

/** One place, or for a moved part where from and where to. */
export const placeText = (line: Pick<Line, 'position' | 'movedTo'>, unit: Unit): string =>
  line.movedTo
    ? `${formatPlace(line.position, unit)} > ${formatPlace(line.movedTo, unit)}`
    : formatPlace(line.position, unit)

export type CellRead = { patch: Partial<Line>; understood?: string } | { problem: string }

/** What was typed into a cell, as the change it means, or what is wrong with it. */
export function readCell(column: Column, text: string, units: CellUnits): CellRead {
  switch (column) {
    case 'name':
      return text.trim() === '' ? { problem: 'Give the part a name.' } : { patch: { name: text.trim() } }
    case 'quantity': {
      const pieces = readNumber(text)
      return pieces !== null && Number.isInteger(pieces) && pieces >= 1 && pieces <= 10_000
        ? { patch: { quantity: pieces } }
        : { problem: 'Type a whole number of pieces, 1 or more.' }
    }
    case 'mass': {
      const read = parseQuantity(text, 'mass', units.mass)
      if (!read.ok) return { problem: `${read.problem} ${read.remedy}` }
      if (read.si < 0) return { problem: 'A mass can’t be below zero. Choose “off” for what comes off.' }
      // A figure typed over a weighing is no longer what was weighed.
      return { patch: { mass: read.si, weighing: null }, understood: read.understood }
    }
    case 'position': {
      const [from, to] = text.split('>')
      const first = parsePlace(from ?? '', units.length)
      const second = parsePlace(to ?? '', units.length)
      if (!first.ok) return first
      if (!second.ok) return second
      return { patch: { position: first.place, movedTo: second.place } }
    }
    case 'fitted':
      return { patch: { fitted: text === 'yes' } }
    default:
      return { patch: { [column]: text } as Partial<Line> }
  }
}
