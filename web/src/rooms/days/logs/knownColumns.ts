import { LOG_COLUMNS, type LogColumn } from '@bold-ballast/core'

const KEY = 'bold-ballast.logColumns'
const MOST = 20

type Known = readonly (readonly [string, readonly LogColumn[]])[]
const key = (titles: readonly string[]) => titles.join('\u001f')

function known(): Known {
  try {
    const read: unknown = JSON.parse(localStorage.getItem(KEY) ?? '[]')
    return Array.isArray(read) ? (read as Known) : []
  } catch {
    return []
  }
}

/** What the columns of a logger with these titles were said to be last; null for a logger that is new here. */
export function knownColumns(titles: readonly string[]): readonly LogColumn[] | null {
  const found = known().find(([titled]) => titled === key(titles))?.[1]
  return found?.length === titles.length && found.every((c) => LOG_COLUMNS.includes(c)) ? found : null
}

/** Remembers on this device what the columns of a logger are, the last of them first. */
export function keepColumns(titles: readonly string[], columns: readonly LogColumn[]): void {
  const others = known().filter(([titled]) => titled !== key(titles))
  try {
    localStorage.setItem(KEY, JSON.stringify([[key(titles), columns], ...others].slice(0, MOST)))
  } catch {
    // Without storage the columns are said again the next time.
  }
}
