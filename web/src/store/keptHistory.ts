import { FORMAT_VERSION, upgradeEdit } from '@bold-ballast/contract'
import type { HistoryState, Step } from './history'

const KEY = 'bold-ballast.history'
/** Many edits that follow each other are written once. */
const AFTER_MS = 300

interface Kept extends HistoryState {
  readonly formatVersion: number
}

/** Steps of an older version of the application, with their records as they are today. */
const ofToday =
  (from: number) =>
  (step: Step): Step => {
    const upgraded = (edits: Step['done']) => edits.map((edit) => upgradeEdit(edit, from, step.buildId))
    return from === FORMAT_VERSION
      ? step
      : { ...step, done: upgraded(step.done), inverse: upgraded(step.inverse) }
  }

/** What this tab did before it was loaded again; nothing where it did nothing. */
export function keptHistory(): HistoryState {
  try {
    const kept = JSON.parse(sessionStorage.getItem(KEY) ?? 'null') as Kept | null
    if (kept)
      return {
        past: kept.past.map(ofToday(kept.formatVersion)),
        future: kept.future.map(ofToday(kept.formatVersion)),
      }
  } catch {
    // What can't be read costs only that steps of before can't be taken back.
  }
  return { past: [], future: [] }
}

/** Keeps it through a reload of this tab; where there is no room for all, the newest steps. */
export function keepHistory({ past, future }: HistoryState): void {
  for (let steps = past.length; ; steps = Math.floor(steps / 2)) {
    const some = steps === 0 ? [] : past.slice(-steps)
    try {
      sessionStorage.setItem(KEY, JSON.stringify({ formatVersion: FORMAT_VERSION, past: some, future }))
      return
    } catch {
      if (steps === 0) break
    }
  }
  try {
    // Not even the older state may stand there: it would take back what isn't the newest.
    sessionStorage.removeItem(KEY)
  } catch {
    // A closed storage holds no older state.
  }
}

/**
 * Keeps what can be taken back as it changes: soon, and at the latest when the tab goes.
 *
 * @returns what is to be told of each change
 */
export function historyKeeper(): (state: HistoryState) => void {
  let latest: HistoryState | null = null
  const write = () => {
    if (latest) keepHistory(latest)
    latest = null
  }
  window.addEventListener('pagehide', write)
  return (state) => {
    if (!latest) setTimeout(write, AFTER_MS)
    latest = state
  }
}
