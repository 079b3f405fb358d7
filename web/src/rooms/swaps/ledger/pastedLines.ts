import { LINE_KIND, SYSTEM, type Line } from '@bold-ballast/contract'
import { parsePlace, unitNamed, type Unit } from '@bold-ballast/core'
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
  ['mass', /mass|weight|\bkgs?\b|\blbs?\b|\bpounds?\b|\bkilos?\b|^(g|grams?|oz|ounces?)$/i],
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

/** Above the headings there may be a title, a date, an empty line. */
const MOST_ABOVE = 8

export interface GuessedTable {
  readonly roles: PasteRole[]
  readonly hasHeader: boolean
  /** The row that holds the headings, counted from 0; what stands above it is no line. -1 where there is none. */
  readonly header: number
}

const rolesIn = (row: readonly string[]): PasteRole[] =>
  row.map((cell) => HEADERS.find(([, words]) => words.test(cell.trim()))?.[0] ?? 'ignore')

/**
 * The row of headings: the first that names a part and holds no figure. A lone cell of words above rows of several is a
 * title, whatever it says.
 */
function headerOf(rows: readonly (readonly string[])[], width: number): number {
  const filled = (row: readonly string[]) => row.filter((cell) => cell.trim() !== '').length
  return rows
    .slice(0, MOST_ABOVE)
    .findIndex(
      (row) => rolesIn(row).includes('name') && !row.some(isNumber) && (width < 2 || filled(row) > 1),
    )
}

const middleOf = (figures: readonly number[]): number =>
  [...figures].sort((a, b) => a - b)[Math.floor(figures.length / 2)] ?? 0

/** Which column holds what: by its header where there is one, else by what stands in it. */
export function guessRoles(rows: readonly (readonly string[])[]): GuessedTable {
  const width = Math.max(...rows.map((r) => r.length), 0)
  const header = headerOf(rows, width)
  const hasHeader = header >= 0
  if (hasHeader) {
    const byHeader = rolesIn(rows[header] ?? [])
    const taken = new Set<PasteRole>()
    const roles = Array.from({ length: width }, (_, i): PasteRole => {
      const role = byHeader[i] ?? 'ignore'
      if (role === 'ignore' || taken.has(role)) return 'ignore'
      taken.add(role)
      return role
    })
    return { roles, hasHeader, header }
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
  // Where all are whole, the count is the one of small numbers.
  const middle = (i: number) => middleOf(column(i).map((cell) => Number(cell)))
  const heaviest = [...whole].sort((a, b) => middle(b) - middle(a))[0]
  const mass = figures.find((i) => figures.length === 1 || !whole.includes(i)) ?? heaviest
  if (mass !== undefined) roles[mass] = 'mass'
  const pieces = whole.find((i) => i !== mass)
  if (pieces !== undefined) roles[pieces] = 'quantity'
  return { roles, hasHeader, header }
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

/** The unit that a title names: in brackets, or as one of its words, but for “in”, which is hardly ever inches there. */
function unitIn(title: string, quantity: 'mass' | 'length'): Unit | undefined {
  const bracketed = /[([]([^()[\]]+)[)\]]\s*$/.exec(title)?.[1]
  const words = (title.match(/[\p{L}#]+/gu) ?? []).filter((word) => word.toLowerCase() !== 'in')
  return [...words, bracketed ?? ''].flatMap((word) => unitNamed(quantity, word) ?? []).at(-1)
}

/** The units of a column: its title's own, such as "mass (lb)" or "lbs", before what the person reads in. */
const unitsOf = (title: string, units: CellUnits): CellUnits => ({
  mass: unitIn(title, 'mass') ?? units.mass,
  length: unitIn(title, 'length') ?? units.length,
})

/**
 * Pasted rows as lines, each with what is wrong with it. A mass below zero means that the part came off.
 *
 * @param rows without the header
 * @param titles the header, where there is one: a unit that it names holds for its column
 * @param above rows that were left out above, the header among them
 * @param fallback what a line is where no column says so
 */
export function pastedLines(
  rows: readonly (readonly string[])[],
  roles: readonly PasteRole[],
  units: CellUnits,
  fallback: Pick<Line, 'kind' | 'system' | 'grade' | 'fitted'>,
  titles: readonly string[] = [],
  above = titles.length > 0 ? 1 : 0,
): PastedRow[] {
  const firstRow = above + 1
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
