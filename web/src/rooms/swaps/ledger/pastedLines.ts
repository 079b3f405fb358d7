import { LINE_KIND, SYSTEM, type Line } from '@bold-ballast/contract'
import { parsePlace, unitNamed } from '@bold-ballast/core'
import { unguarded } from '@bold-ballast/words'
import { readCell, type CellUnits, type Column } from '../cells'

export type PasteRole = 'swap' | 'source' | 'movedTo' | Column | 'ignore'
export const PASTE_ROLES: Record<PasteRole, string> = {
  ignore: 'leave out',
  name: 'part',
  mass: 'mass each',
  kind: 'off or on',
  system: 'system',
  quantity: 'pieces',
  grade: 'known by',
  fitted: 'done',
  position: 'place',
  movedTo: 'moved to',
  swap: 'swap',
  source: 'who says so',
}

const HEADERS: readonly (readonly [PasteRole, RegExp])[] = [
  ['swap', /^(swap|job|group)/i],
  ['mass', /mass|weight|^kg|\bkg\b|\blbs?\b/i],
  ['quantity', /pieces|pcs|qty|quantity|count|number of/i],
  ['kind', /^(kind|way|off|on|in\/out)/i],
  ['system', /system|area|category/i],
  ['source', /^(source|said by|who)/i],
  ['grade', /grade|known|evidence/i],
  ['fitted', /done|fitted|status/i],
  ['movedTo', /moved to|new place/i],
  ['position', /place|position|where/i],
  ['name', /part|name|item|what|description/i],
]
const isNumber = (cell: string) => /^\s*[-+−]?[\d.,½¼¾]+\s*(\p{L}+)?\s*$/u.test(cell) && /\d|½|¼|¾/.test(cell)

/** Which column holds what: by its header where there is one, else by what stands in it. */
export function guessRoles(rows: readonly (readonly string[])[]): { roles: PasteRole[]; hasHeader: boolean } {
  const width = Math.max(...rows.map((r) => r.length), 0)
  const first = rows[0] ?? []
  const byHeader = first.map((cell) => HEADERS.find(([, words]) => words.test(cell.trim()))?.[0] ?? 'ignore')
  const hasHeader = byHeader.includes('name') && !first.some(isNumber)
  if (hasHeader) {
    const taken = new Set<PasteRole>()
    const roles = Array.from({ length: width }, (_, i): PasteRole => {
      const role = byHeader[i] ?? 'ignore'
      if (role === 'ignore' || taken.has(role)) return 'ignore'
      taken.add(role)
      return role
    })
    return { roles, hasHeader }
  }
  const column = (i: number) => rows.map((r) => r[i] ?? '').filter((c) => c.trim() !== '')
  const share = (i: number, test: (cell: string) => boolean) => {
    const cells = column(i)
    return cells.length === 0 ? 0 : cells.filter(test).length / cells.length
  }
  const roles = Array.from({ length: width }, (): PasteRole => 'ignore')
  const text = roles.findIndex((_, i) => share(i, (c) => !isNumber(c)) > 0.7)
  if (text >= 0) roles[text] = 'name'
  const figures = roles.flatMap((role, i) => (role === 'ignore' && share(i, isNumber) > 0.7 ? [i] : []))
  const whole = figures.filter((i) => share(i, (c) => /^\s*\d{1,3}\s*$/.test(c)) === 1)
  const mass = figures.find((i) => figures.length === 1 || !whole.includes(i)) ?? figures[0]
  if (mass !== undefined) roles[mass] = 'mass'
  const pieces = whole.find((i) => i !== mass)
  if (pieces !== undefined) roles[pieces] = 'quantity'
  return { roles, hasHeader }
}

export interface PastedRow {
  /** As it is counted in what was pasted, from 1. */
  readonly row: number
  readonly swap: string | null
  readonly line: Partial<Line> | null
  /** What is wrong with it, by column. */
  readonly problems: readonly string[]
}

const WORDS_OFF = /^(off|out|removed?|minus|-)$/i
const WORDS_ON = /^(on|in|added?|fitted|plus|\+)$/i

const DONE = /^(y|yes|x|1|true|done|fitted|off)$/i
const OPEN = /^(n|no|0|false|open|to do|planned|[-–—])$/i

function readKind(text: string): Line['kind'] | null {
  const t = text.trim()
  if (WORDS_OFF.test(t)) return 'off'
  if (WORDS_ON.test(t)) return 'on'
  const found = Object.entries(LINE_KIND).find(
    ([kind, words]) => kind === t.toLowerCase() || words === t.toLowerCase(),
  )
  return (found?.[0] as Line['kind'] | undefined) ?? null
}

/** The units of a column: its title's own, such as "mass (lb)", before what the person reads in. */
function unitsOf(title: string, units: CellUnits): CellUnits {
  const named = /\(([^()]+)\)\s*$/.exec(title)?.[1]
  if (named === undefined) return units
  return {
    mass: unitNamed('mass', named) ?? units.mass,
    length: unitNamed('length', named) ?? units.length,
  }
}

/**
 * Pasted rows as lines, each with what is wrong with it. A mass below zero means that the part came off.
 *
 * @param rows without the header
 * @param titles the header, where there is one: a unit in brackets holds for its column
 * @param fallback what a line is where no column says so
 */
export function pastedLines(
  rows: readonly (readonly string[])[],
  roles: readonly PasteRole[],
  units: CellUnits,
  fallback: Pick<Line, 'kind' | 'system' | 'grade' | 'fitted'>,
  titles: readonly string[] = [],
): PastedRow[] {
  const firstRow = titles.length > 0 ? 2 : 1
  const unitsIn = roles.map((_, column) => unitsOf(titles[column] ?? '', units))
  return rows.flatMap((cells, i): PastedRow[] => {
    if (cells.every((c) => c.trim() === '')) return []
    const problems: string[] = []
    let swap: string | null = null
    let line: Partial<Line> = { ...fallback, quantity: 1, source: '', position: null, movedTo: null }
    roles.forEach((role, column) => {
      const text = unguarded((cells[column] ?? '').trim())
      if (role === 'ignore' || (text === '' && role !== 'name' && role !== 'mass')) return
      if (role === 'swap') return void (swap = text)
      if (role === 'source') return void (line.source = text.slice(0, 80))
      if (role === 'kind') {
        const kind = readKind(text)
        if (kind) line.kind = kind
        else problems.push(`“${text}” is neither off, on, moved nor carried over.`)
        return
      }
      if (role === 'system') {
        const found = Object.entries(SYSTEM).find(([id, words]) =>
          [id, words.toLowerCase()].includes(text.toLowerCase()),
        )
        if (found) line.system = found[0] as Line['system']
        else problems.push(`“${text}” is no system. Known are ${Object.values(SYSTEM).join(', ')}.`)
        return
      }
      if (role === 'fitted') {
        if (DONE.test(text)) line.fitted = true
        else if (OPEN.test(text)) line.fitted = false
        else problems.push(`“${text}” says neither that it is done nor that it isn’t: yes or no.`)
        return
      }
      if (role === 'movedTo') {
        const read = parsePlace(text, (unitsIn[column] ?? units).length)
        if (read.ok) line.movedTo = read.place
        else problems.push(`${PASTE_ROLES[role]}: ${read.problem}`)
        return
      }
      if (role === 'grade') {
        const grade = (['guess', 'claim', 'measured', 'proven'] as const).find(
          (g) => g === text.toLowerCase(),
        )
        if (grade) line.grade = grade
        else problems.push(`“${text}” is no grade: guess, claim, measured or proven.`)
        return
      }
      const isOff = role === 'mass' && /^[-−]/.test(text)
      const read = readCell(role, isOff ? text.slice(1) : text, unitsIn[column] ?? units)
      if ('problem' in read) problems.push(`${PASTE_ROLES[role]}: ${read.problem}`)
      else
        line = {
          ...line,
          ...read.patch,
          // A place of its own column doesn't take back where another column says that it was moved to.
          movedTo: read.patch.movedTo ?? line.movedTo ?? null,
          ...(isOff ? { kind: 'off' as const } : {}),
        }
    })
    if (!roles.includes('name')) problems.push('No column is the part’s name.')
    if (!roles.includes('mass')) problems.push('No column is the mass.')
    return [{ row: i + firstRow, swap, line: problems.length === 0 ? line : null, problems }]
  })
}
