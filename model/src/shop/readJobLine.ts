import { JOB_KINDS, type JOB_PLACES, type Job, type JobKind } from '@bold-ballast/contract'
import { parseQuantity, unitsOf } from '@bold-ballast/core'

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
  /** What it says it comes after, or needs, and no job or part is called so. */
  readonly unknown: readonly string[]
}

/** What a line may name. */
export interface KnownToJobs {
  readonly jobs: readonly Pick<Job, 'id' | 'name' | 'state'>[]
  readonly parts: readonly { readonly id: string; readonly name: string }[]
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
const TIME = String.raw`\d+(?:[.,]\d+)?`
/** “3h”, “90 min”, “2-3-7 h”. */
const DURATION = new RegExp(
  String.raw`(?<![\p{L}\d])(${TIME})(?:\s*[-–/]\s*(${TIME})\s*[-–/]\s*(${TIME}))?\s*(h|hrs?|hours?|min|mins|minutes|d|days?)(?![\p{L}\d])`,
  'iu',
)
const wordsOf = (text: string) => text.toLowerCase().match(/[\p{L}\d]+/gu) ?? []

/** What is meant by a few words: what has all of them in its name, the shortest name first; then what has the most. */
function meant<T extends { readonly name: string }>(text: string, among: readonly T[]): T | null {
  const wanted = wordsOf(text)
  if (wanted.length === 0) return null
  const all = among.filter(({ name }) => {
    const has = new Set(wordsOf(name))
    return wanted.every((word) => has.has(word))
  })
  return all.sort((a, b) => a.name.length - b.name.length)[0] ?? null
}

const listOf = (text: string): string[] =>
  text
    .split(/\s*(?:,|\+|&|\band\b)\s*/i)
    .map((one) => one.trim())
    .filter(Boolean)

/**
 * Reads a job as it is typed in one line: what is to be done, how long it takes, who does it, how many hands, what it comes
 * after and what it needs. What it can’t make out stays in the name.
 *
 * @example readJobLine('drop rear subframe 3h Tomasz after exhaust', known).workTime // 10800
 */
export function readJobLine(text: string, { jobs, parts, people }: KnownToJobs): JobLine {
  let rest = ` ${text.trim()} `
  const unknown: string[] = []
  const take = (pattern: RegExp): RegExpExecArray | null => {
    const found = pattern.exec(rest)
    if (found) rest = `${rest.slice(0, found.index)} ${rest.slice(found.index + found[0].length)}`
    return found
  }

  const seconds = (number: string | undefined, unit: string): number | null => {
    if (number === undefined || !HOURS) return null
    const parsed = parseQuantity(`${number} ${unit}`, 'time', HOURS)
    return parsed.ok ? parsed.si : null
  }
  const duration = take(DURATION)
  const unit = duration?.[4] ?? 'h'
  const guesses = duration?.[2] !== undefined
  const workTime = duration ? seconds(guesses ? duration[2] : duration[1], unit) : null

  const handsFound = take(/\b(\d{1,2})\s*(?:hands|people)\b/i)
  const place = PLACE_BY_WORD.find(([pattern]) => take(pattern))?.[1] ?? 'anywhere'
  const linked = <T extends { readonly name: string }>(pattern: RegExp, among: readonly T[]): T[] => {
    const said = take(pattern)?.[1]
    if (said === undefined) return []
    return listOf(said).flatMap((one) => {
      const found = meant(one, among)
      if (!found) unknown.push(one)
      return found ? [found] : []
    })
  }
  // People go first: a name may stand behind what it comes after.
  const who = people.filter((name) => {
    const escaped = name.replace(/[.*+?^${}()|[\]\\]/g, String.raw`\$&`)
    return (
      take(new RegExp(String.raw`(?<![\p{L}\d])(?:by\s+|with\s+|and\s+)?${escaped}(?![\p{L}\d])`, 'iu')) !==
      null
    )
  })
  const needed = linked(/\b(?:needs|waits for)\s+(.+?)(?=\s+after\s|\s*$)/i, parts)
  const open = jobs.filter((job) => job.state !== 'dropped')
  const after = linked(/\bafter\s+(.+?)\s*$/i, open)

  const name = rest.replace(/\s+/g, ' ').replace(/^[\s,;:–-]+|[\s,;:–-]+$/g, '')
  const kind = KIND_BY_WORD.find(([pattern]) => pattern.test(name))?.[1] ?? 'work'
  return {
    name: name.charAt(0).toUpperCase() + name.slice(1),
    kind: JOB_KINDS.includes(kind) ? kind : 'work',
    workTime,
    shortTime: guesses ? seconds(duration?.[1], unit) : null,
    longTime: guesses ? seconds(duration?.[3], unit) : null,
    who,
    hands: Math.max(1, who.length, handsFound ? Number(handsFound[1]) : 1),
    after: after.map(({ id, name: called }) => ({ id, name: called })),
    parts: needed.map(({ id, name: called }) => ({ id, name: called })),
    place,
    unknown,
  }
}
