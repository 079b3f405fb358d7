import { JOB_KINDS, type JOB_PLACES, type Job, type JobKind } from '@bold-ballast/contract'
import { parseQuantity, unitsOf } from '@bold-ballast/core'
import { meantBy } from './meantBy'

/** A job as it was typed in one line, and how it was understood. */
export interface JobLine {
  readonly name: string
  readonly kind: JobKind
  readonly workTime: number | null
  readonly shortTime: number | null
  readonly longTime: number | null
  readonly who: readonly string[]
  readonly hands: number
  readonly after: readonly Pick<Job, 'id' | 'name'>[]
  readonly parts: readonly { readonly id: string; readonly name: string }[]
  readonly place: (typeof JOB_PLACES)[number]
  /** What it names, and nobody and nothing is called so. */
  readonly unknown: readonly UnknownName[]
  /** What was said where it is only partly what was found, so that none of it gets lost. */
  readonly said: readonly string[]
}

/** Somebody or something that a line names, and that isn't there. */
export interface UnknownName {
  readonly kind: 'person' | 'part' | 'job'
  readonly name: string
}

/** What a line may name. */
export interface KnownToJobs {
  readonly jobs: readonly Pick<Job, 'id' | 'name' | 'state'>[]
  readonly parts: readonly { readonly id: string; readonly name: string; readonly supplier?: string }[]
  readonly people: readonly string[]
}

/** The kind of work by the word that it begins with; the first that fits. */
const KIND_BY_WORD: readonly (readonly [RegExp, JobKind])[] = [
  [/\b(measure|weigh|check|read|dyno|log|scan|align)\b/i, 'measurement'],
  [/\b(strip|drop|remove|pull|gut|unbolt|take (?:off|out))\b|\s(?:off|out)$/i, 'stripping'],
  [/\b(weld|cut|tack|fabricate|bend|notch|grind|drill|make)\b/i, 'cutting'],
  [/\b(wire|loom|solder|crimp|sensor|relay|wiring)\b/i, 'wiring'],
  [/\b(hose|pipe|plumb|bleed|line|lines|radiator)\b/i, 'plumbing'],
  [/\b(engine|gearbox|turbo|clutch|differential|head|cam)\b/i, 'engine'],
  [/\b(paint|prime|primer|sand|fill|respray|bodywork|wrap)\b/i, 'bodywork'],
  [/\b(set[- ]?up|corner[- ]?balance|toe|camber)\b/i, 'setUp'],
  [/\b(fit|bolt|mount|install|refit|hang|build up)\b/i, 'fitting'],
]
const PLACE_BY_WORD: readonly (readonly [RegExp, (typeof JOB_PLACES)[number]])[] = [
  [/\b(?:on|at) the bench\b/i, 'bench'],
  [/\bin the bay\b/i, 'bay'],
  [/\bat the track\b/i, 'track'],
  [/\boutside\b/i, 'outside'],
]
const HOURS = unitsOf('time')[0]
/** A day's work where “3d” is said, s: eight hours, five days a week (common practice). */
const DAY = 8 * 3600
const WEEK = 5 * DAY
const NUMBER = String.raw`\d+(?:[.,]\d+)?`
/** “3h”, “90 min”, “2-3-7 h”, “2-7 h”. */
const DURATION = new RegExp(
  String.raw`(?<![\p{L}\d.,])(${NUMBER})(?:\s*[-–/]\s*(${NUMBER}))?(?:\s*[-–/]\s*(${NUMBER}))?\s*(h|hrs?|hours?|min|mins|minutes|d|days?|w|weeks?)(?![\p{L}\d])`,
  'iu',
)
/** “1/2 h”, “3/4 h”; three figures are least, likely and most. */
const FRACTION = /(?<![\p{L}\d.,/])([1-9])\/([2-9])\s*(h|hrs?|hours?|d|days?)(?![\p{L}\d])/iu
/** “1h30”, “1 h 30 min”. */
const HOURS_AND_MINUTES = /(?<![\p{L}\d.,])(\d+)\s*h\s*([0-5]?\d)\s*(?:min(?:ute)?s?|m)?(?![\p{L}\d])/iu
/** Where what is cut out of a line stood: no letter of any name. */
const CUT = '\u0001'
const NAME_OF_PERSON = String.raw`\p{Lu}[\p{L}’'-]*`
/** Names behind the hours, or behind “by”: nobody of whom is known. */
const PEOPLE = String.raw`(${NAME_OF_PERSON}(?:\s*(?:,|\+|&|\band\b)\s*${NAME_OF_PERSON})*)`
const END = String.raw`(?=\s*[,;]?\s*(?:$|after\s|needs\s|waits for\s|${CUT}))`
const STRANGERS = [
  new RegExp(String.raw`${CUT}\s*(?:by\s+|with\s+|and\s+|[,+&]\s*)?${PEOPLE}${END}`, 'u'),
  new RegExp(String.raw`\bby\s+${PEOPLE}${END}`, 'u'),
]

const listOf = (text: string): string[] =>
  text
    .split(/\s*(?:,|\+|&|\band\b)\s*/i)
    .map((one) => one.trim())
    .filter(Boolean)

interface Times {
  readonly workTime: number | null
  readonly shortTime: number | null
  readonly longTime: number | null
}

/** A number of hours, of minutes, or of days' work, s. */
function secondsOf(number: string, unit: string): number | null {
  const parsed = HOURS && parseQuantity(`${number} h`, 'time', HOURS)
  if (!parsed?.ok) return null
  const ofUnit = { h: 3600, m: 60, d: DAY, w: WEEK }[unit.charAt(0).toLowerCase()] ?? 3600
  return (parsed.si / 3600) * ofUnit
}

/** Of two figures the least and the most, and halfway the likely; of three in whatever order they were said. */
function timesOf(numbers: readonly string[], unit: string): Times {
  const sorted = numbers.flatMap((number) => secondsOf(number, unit) ?? []).sort((a, b) => a - b)
  const [first, second, third] = sorted
  if (first === undefined) return { workTime: null, shortTime: null, longTime: null }
  if (second === undefined) return { workTime: first, shortTime: null, longTime: null }
  return {
    shortTime: first,
    workTime: third === undefined ? (first + second) / 2 : second,
    longTime: third ?? second,
  }
}

/**
 * Reads a job as it is typed in one line: what is to be done, how long it takes, who does it, how many hands, what it comes
 * after and what it needs. What it can’t make out stays in the name, or is said to be unknown: no word is lost.
 *
 * @example readJobLine('drop rear subframe 3h Tomasz after exhaust', known).workTime // 10800
 */
export function readJobLine(text: string, { jobs, parts, people }: KnownToJobs): JobLine {
  let rest = ` ${text.trim()} `
  const unknown: UnknownName[] = []
  const said: string[] = []
  /** Takes what a pattern finds out of the line; what stands on both sides stays apart. */
  const take = (pattern: RegExp): RegExpExecArray | null => {
    const found = pattern.exec(rest)
    if (found) rest = `${rest.slice(0, found.index)} ${CUT} ${rest.slice(found.index + found[0].length)}`
    return found
  }

  const clock = take(HOURS_AND_MINUTES)
  const part = clock ? null : take(FRACTION)
  const duration = clock || part ? null : take(DURATION)
  const times: Times = clock
    ? { workTime: Number(clock[1]) * 3600 + Number(clock[2]) * 60, shortTime: null, longTime: null }
    : part
      ? timesOf([String(Number(part[1]) / Number(part[2]))], part[3] ?? 'h')
      : timesOf(duration?.slice(1, 4).filter((number) => number !== undefined) ?? [], duration?.[4] ?? 'h')

  const handsFound = take(/\b(\d{1,2})\s*(?:hands|people)\b/i)
  const place = PLACE_BY_WORD.find(([pattern]) => take(pattern))?.[1] ?? 'anywhere'
  // People go first: a name may stand behind what it comes after.
  const who = people.filter((name) => {
    const escaped = name.replace(/[.*+?^${}()|[\]\\]/g, String.raw`\$&`)
    return (
      take(new RegExp(String.raw`(?<![\p{L}\d])(?:by\s+|with\s+|and\s+)?${escaped}(?![\p{L}\d])`, 'iu')) !==
      null
    )
  })
  for (const pattern of STRANGERS)
    for (const name of listOf(take(pattern)?.[1] ?? '')) unknown.push({ kind: 'person', name })

  const linked = <T extends { readonly name: string }>(
    kind: 'part' | 'job',
    pattern: RegExp,
    among: readonly T[],
    also?: (one: T) => string,
  ): T[] => {
    const links: T[] = []
    for (let clause = take(pattern); clause; clause = take(pattern))
      for (const one of listOf((clause[1] ?? '').replaceAll(CUT, ' ').replace(/\s+/g, ' '))) {
        const meant = meantBy(one, among, also)
        if (!meant) unknown.push({ kind, name: one })
        else if (!links.includes(meant.found)) links.push(meant.found)
        if (meant && meant.left.length > 0) said.push(`${kind === 'part' ? 'needs' : 'after'} ${one}`)
      }
    return links
  }
  const NEXT = String.raw`(?=\s+(?:after|needs|waits for)\s|\s*$)`
  const needed = linked(
    'part',
    new RegExp(String.raw`\b(?:needs|waits for)\s+(.+?)${NEXT}`, 'iu'),
    parts,
    (part) => part.supplier ?? '',
  )
  const open = jobs.filter((job) => job.state !== 'dropped')
  const after = linked('job', new RegExp(String.raw`\bafter\s+(.+?)${NEXT}`, 'iu'), open)

  // What stands alone is what is to be done: “2h Alternator”.
  const plain = rest
    .replaceAll(CUT, ' ')
    .replace(/\s+/g, ' ')
    .replace(/^[\s,;:–-]+|[\s,;:–-]+$/g, '')
  const isAlone = plain === '' && who.length === 0
  const name = isAlone ? unknown.flatMap((one) => (one.kind === 'person' ? [one.name] : [])).join(' ') : plain
  const kind = KIND_BY_WORD.find(([pattern]) => pattern.test(name))?.[1] ?? 'work'
  return {
    name: name.charAt(0).toUpperCase() + name.slice(1),
    kind: JOB_KINDS.includes(kind) ? kind : 'work',
    ...times,
    who,
    hands: Math.max(1, who.length, handsFound ? Number(handsFound[1]) : 1),
    after: after.map(({ id, name: called }) => ({ id, name: called })),
    parts: needed.map(({ id, name: called }) => ({ id, name: called })),
    place,
    unknown: isAlone ? unknown.filter((one) => one.kind !== 'person') : unknown,
    said,
  }
}
