/** Words that tell one thing from no other. */
const SMALL = new Set([
  'a',
  'an',
  'the',
  'of',
  'from',
  'for',
  'to',
  'in',
  'on',
  'at',
  'new',
  'our',
  'my',
  'its',
  'is',
  'be',
])

/** A word without what makes it several. */
const stem = (word: string): string => (word.length > 3 ? word.replace(/(?<!s)s$/, '') : word)

const wordsOf = (text: string): string[] => (text.toLowerCase().match(/[\p{L}\d]+/gu) ?? []).map(stem)

/** What was found by a few words, and which of them it doesn't have. */
export interface Meant<T> {
  readonly found: T
  readonly left: readonly string[]
}

/**
 * What is meant by a few words: what has all of them, the shortest name first; else the one thing that has most of them,
 * at least half. Of several that have as many nobody knows which, so none is meant.
 *
 * @param also what of it may be named beside its name, such as who it comes from
 * @example meantBy('gearbox from maker', [{ name: 'Rebuilt gearbox' }])?.left // ['maker']
 */
export function meantBy<T extends { readonly name: string }>(
  text: string,
  among: readonly T[],
  also: (one: T) => string = () => '',
): Meant<T> | null {
  const wanted = wordsOf(text)
  const telling = wanted.filter((word) => !SMALL.has(word))
  if (telling.length === 0) return null
  const leftBy = (one: T) => {
    const has = new Set(wordsOf(`${one.name} ${also(one)}`))
    return telling.filter((word) => !has.has(word))
  }
  const tried = among.map((found) => ({ found, left: leftBy(found) }))
  const fewest = Math.min(...tried.map(({ left }) => left.length))
  const best = tried
    .filter(({ left }) => left.length === fewest)
    .sort((a, b) => a.found.name.length - b.found.name.length)
  const [first, second] = best
  if (!first || fewest * 2 > telling.length) return null
  return fewest > 0 && second ? null : first
}
