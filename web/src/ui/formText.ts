/** What JSON has no word for, and forms are full of: a field that is empty, and one whose text can't be read. */
const EMPTY = { $: 'empty' }
const UNREAD = { $: 'unread' }

/**
 * The values of a form as text.
 *
 * An empty number field is `undefined` and one that can't be read NaN; JSON drops the one and makes null of the other,
 * and null is what closes a part of a form.
 *
 * @example formText({ rating: NaN }) // '{"rating":{"$":"unread"}}'
 */
export const formText = (values: unknown): string =>
  JSON.stringify(values, (_key, value: unknown) =>
    value === undefined ? EMPTY : typeof value === 'number' && Number.isNaN(value) ? UNREAD : value,
  )

/** The values of a form that `formText` wrote; throws a SyntaxError for any other text. */
export const formFromText = (text: string): unknown => revived(JSON.parse(text))

// JSON.parse with a function would drop what is undefined again.
function revived(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(revived)
  if (typeof value !== 'object' || value === null) return value
  const { $ } = value as { $?: unknown }
  if ($ === EMPTY.$) return undefined
  if ($ === UNREAD.$) return NaN
  return Object.fromEntries(Object.entries(value).map(([key, inner]) => [key, revived(inner)]))
}
