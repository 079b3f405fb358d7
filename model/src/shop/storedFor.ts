import type { Line, PartToCome, WorkOfBuild } from '@bold-ballast/contract'

/** Something in the store that a build could use. */
export interface StoredFor {
  readonly part: Pick<PartToCome, 'id' | 'name' | 'system'>
  readonly stored: Pick<Line, 'id' | 'name' | 'mass' | 'liesAt' | 'system'>
  readonly build: string
  /** How many words the names have in common. */
  readonly inCommon: number
}

/** Words that say nothing of what a part is. */
const EMPTY = new Set([
  'the',
  'and',
  'with',
  'for',
  'of',
  'a',
  'an',
  'new',
  'old',
  'used',
  'pair',
  'set',
  'front',
  'rear',
  'left',
  'right',
])
const wordsOf = (name: string): Set<string> =>
  new Set(
    (name.toLowerCase().match(/\p{L}{3,}/gu) ?? [])
      .filter((word) => !EMPTY.has(word))
      .map((word) => word.replace(/(?<=\p{L}{3})s$/u, '')),
  )

/**
 * What lies in the store of the workshop and is called like a part that is wanted, of the same system; whether it fits is
 * looked at by hand.
 *
 * @param wanted parts that nobody has ordered yet
 * @example storedFor([], []).length // 0
 */
export function storedFor(
  wanted: readonly Pick<PartToCome, 'id' | 'name' | 'system' | 'state'>[],
  library: readonly WorkOfBuild[],
): StoredFor[] {
  return wanted
    .filter((part) => part.state === 'wanted' || part.state === 'quoted')
    .flatMap((part) => {
      const own = wordsOf(part.name)
      return library.flatMap(({ build, stored }) =>
        stored.flatMap((line): StoredFor[] => {
          if (line.system !== part.system) return []
          const inCommon = [...wordsOf(line.name)].filter((word) => own.has(word)).length
          return inCommon > 0 ? [{ part, stored: line, build, inCommon }] : []
        }),
      )
    })
    .sort((a, b) => b.inCommon - a.inCommon)
}
