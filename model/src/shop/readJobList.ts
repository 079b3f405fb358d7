import { readJobLine, type JobLine, type KnownToJobs } from './readJobLine'

/** A job of a list, with the id that it gets. */
export interface ListedJob {
  readonly id: string
  readonly line: JobLine
}

/** What stands before the text in a list: a dash, a dot, a number, a box to tick. */
const BULLET = /^\s*(?:[-–•*·]|\d{1,3}[.)])?\s*(?:\[[ x]?\])?\s*/iu

/**
 * Reads a list of jobs, one on each line, as they stand in somebody’s notes. A job may come after one that stands above it.
 *
 * @param idOf the id of the job at each place: the same each time that a list is read that is still being typed
 * @example readJobList('- hood off 1h\n- engine out 6h after hood', known, String).length // 2
 */
export function readJobList(text: string, known: KnownToJobs, idOf: (place: number) => string): ListedJob[] {
  const listed: ListedJob[] = []
  for (const row of text.split(/\r?\n|\r/)) {
    const above = listed.map(({ id, line }) => ({ id, name: line.name, state: 'toDo' as const }))
    const said = row.replace(BULLET, '').trim()
    if (!said) continue
    const line = readJobLine(said, { ...known, jobs: [...above, ...known.jobs] })
    // A row that says only who or what it needs is still a row of somebody's list.
    listed.push({ id: idOf(listed.length), line: { ...line, name: line.name || said } })
  }
  return listed
}
