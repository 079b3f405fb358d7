import type { Quantity } from '../units/quantities'
import { unitNamed } from '../units/unitNamed'
import { CHANNEL_QUANTITY, PULL_CHANNELS } from './pullChannels'

/** What a column of a dyno file or a log can hold; `run` numbers the pulls of one file. */
export const PULL_ROLES = ['speed', 'torque', 'power', ...PULL_CHANNELS, 'run'] as const
export type PullRole = (typeof PULL_ROLES)[number]

export interface ColumnChoice {
  readonly column: number
  /** By symbol; `null` when the header doesn't say: the person must. A run has none. */
  readonly unit: string | null
}
/** Which column holds what, in which unit, and how decimals are written. */
export type PullMapping = Readonly<Record<PullRole, ColumnChoice | null>> & { readonly decimal: '.' | ',' }

export const ROLE_QUANTITY: Readonly<Record<Exclude<PullRole, 'run'>, Quantity>> = {
  speed: 'engineSpeed',
  torque: 'torque',
  power: 'power',
  ...CHANNEL_QUANTITY,
}

/** In the order they are looked for: the clearer name goes first, so that "oil pressure" is not taken for boost. */
const NAMES: readonly (readonly [PullRole, RegExp])[] = [
  ['run', /^\s*(run|pull|pass|test)( ?(no\.?|number|#|id))?\s*$/i],
  ['speed', /\b(rpm|engine ?speed|revs?|n ?mot|1\/min|r\/min)\b/i],
  ['ethanol', /ethanol|\beth\b|flex ?fuel|\be ?%/i],
  ['oilPressure', /\boil\b.*(press|\bbar\b|\bpsi\b|\bkpa\b)|\boil ?p\b/i],
  ['coolant', /coolant|water ?temp|\bect\b|\bclt\b/i],
  ['intake', /intake|inlet|charge ?temp|manifold ?temp|\biat\b|\bact\b|air ?temp/i],
  ['lambda', /lambda|λ|\bafr\b|air.?fuel|wideband/i],
  ['boost', /boost|manifold ?press|charge ?press|\bmap\b|\bmanifold\b/i],
  [
    'roadSpeed',
    /road ?speed|vehicle ?speed|wheel ?speed|roller ?speed|\bkm\/h\b|\bkph\b|\bmph\b|^\s*speed\b/i,
  ],
  ['torque', /torque|\bmoment\b|\btq\b|\bn[·. -]?m\b|lb[·. -]?ft|ft[·. -]?lb/i],
  ['power', /power|\bpwr\b|\bkw\b|\bb?w?hp\b|\bps\b|\bcv\b/i],
]

/** The unit a header names: inside brackets first, then any word that is a unit of the quantity. */
function unitIn(header: string, role: PullRole): string | null {
  if (role === 'run') return null
  const quantity = ROLE_QUANTITY[role]
  const bracketed = /[([{]\s*([^)\]}]+?)\s*[)\]}]/.exec(header)?.[1]
  const words = header.replace(/[^\p{L}\d·/.#°%-]+/gu, ' ').split(/[ _]+/)
  for (const candidate of [bracketed, header, ...words]) {
    const unit = candidate && unitNamed(quantity, candidate)
    if (unit) return unit.symbol
  }
  // Without a word, λ and rpm are what everybody means; anything else is asked for.
  if (role === 'speed') return 'rpm'
  return role === 'lambda' && !/afr|fuel/i.test(header) ? 'λ' : null
}

/**
 * Guesses which columns of a dyno file or a logger's file hold what, and in which units.
 *
 * The person sees the guess and can change it; a unit that the header doesn't name is asked for, never
 * assumed, except rpm and λ.
 *
 * @param header the column titles
 * @param rows some of the rows below, to see how decimals are written
 * @example guessColumns(['Torque (lb-ft)', 'RPM'], [['201.5', '3000']]).torque // { column: 0, unit: 'lb·ft' }
 */
export function guessColumns(header: readonly string[], rows: readonly (readonly string[])[]): PullMapping {
  const found = new Map<PullRole, ColumnChoice>()
  const taken = new Set<number>()
  for (const [role, name] of NAMES) {
    const column = header.findIndex((title, i) => !taken.has(i) && name.test(title))
    if (column < 0) continue
    taken.add(column)
    found.set(role, { column, unit: unitIn(header[column]!, role) })
  }
  const cells = rows.slice(0, 50).flat()
  const commas = cells.filter((c) => /^\s*-?\d+,\d+\s*$/.test(c)).length
  const points = cells.filter((c) => /^\s*-?\d+\.\d+\s*$/.test(c)).length
  return { ...mapped((role) => found.get(role) ?? null), decimal: commas > points ? ',' : '.' }
}

const mapped = (of: (role: PullRole) => ColumnChoice | null) =>
  Object.fromEntries(PULL_ROLES.map((role) => [role, of(role)])) as Record<PullRole, ColumnChoice | null>

/** A mapping by column titles, to be kept for the next file of the same dyno. */
export interface KnownColumns {
  readonly columns: Readonly<
    Partial<Record<PullRole, { readonly title: string; readonly unit: string | null }>>
  >
  readonly decimal: '.' | ','
}

/** What a mapping says, by the titles that stood in the file. */
export function knownColumns(mapping: PullMapping, header: readonly string[]): KnownColumns {
  const entries = PULL_ROLES.flatMap((role) => {
    const choice = mapping[role]
    return choice ? [[role, { title: header[choice.column] ?? '', unit: choice.unit }] as const] : []
  })
  return { columns: Object.fromEntries(entries), decimal: mapping.decimal }
}

/**
 * A remembered mapping on a new file's columns.
 *
 * @returns `null` when the file lacks a title that was remembered: it is not the same export, so it is
 * guessed afresh
 * @example recallColumns(knownColumns(mapping, header), header) // the same mapping
 */
export function recallColumns(known: KnownColumns, header: readonly string[]): PullMapping | null {
  let missing = false
  const mapping = mapped((role) => {
    const wanted = known.columns[role]
    if (!wanted) return null
    const column = header.findIndex((title) => title.trim() === wanted.title.trim())
    if (column < 0) missing = true
    return { column, unit: wanted.unit }
  })
  return missing ? null : { ...mapping, decimal: known.decimal }
}

/**
 * Pulls that stand side by side in one file, each with torque or power columns of its own: `Run 1 torque`,
 * `Run 2 torque`.
 *
 * @returns one mapping a pull with its name, or nothing when there is only one set of columns
 * @example seriesIn(['rpm', 'Run 1 Nm', 'Run 2 Nm'], mapping).map((s) => s.name) // ['Run 1', 'Run 2']
 */
export function seriesIn(
  header: readonly string[],
  mapping: PullMapping,
): { name: string; mapping: PullMapping }[] {
  const bare = (title: string) =>
    title
      .replace(/[([{][^)\]}]*[)\]}]/g, ' ')
      .replace(
        /torque|moment|\btq\b|power|\bpwr\b|\bn[·. -]?m\b|lb[·. -]?ft|ft[·. -]?lbs?|\bkw\b|\bb?w?hp\b|\bps\b/gi,
        ' ',
      )
      .replace(/[^\p{L}\d+°.]+/gu, ' ')
      .trim()
  const names = new Map<string, { torque: ColumnChoice | null; power: ColumnChoice | null }>()
  header.forEach((title, column) => {
    for (const role of ['torque', 'power'] as const) {
      const pattern = NAMES.find(([r]) => r === role)![1]
      const used = PULL_ROLES.find((r) => mapping[r]?.column === column)
      if (!pattern.test(title) || (used && used !== role) || (role === 'power' && /torque/i.test(title)))
        continue
      const entry = names.get(bare(title)) ?? { torque: null, power: null }
      if (entry[role]) continue
      names.set(bare(title), {
        ...entry,
        [role]: { column, unit: unitIn(title, role) ?? mapping[role]?.unit ?? null },
      })
      break
    }
  })
  if (names.size < 2) return []
  return [...names].map(([name, choice], i) => ({
    name: name || `Pull ${i + 1}`,
    mapping: { ...mapping, ...choice },
  }))
}
