import { readdirSync, rmSync, statSync } from 'node:fs'
import { mkdtemp, rm } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'

/** What names of temporary folders begin with; whose process they are of follows. */
const PREFIXES = ['bold-ballast-workshop-', 'bold-ballast-restore-'] as const
/** Earlier versions named no process: of theirs, what is older is left over. */
const OLD_MS = 86_400_000

/** A folder of this process's own. */
export const scratchFolder = (): Promise<string> => mkdtemp(join(tmpdir(), `${PREFIXES[0]}${process.pid}-`))

/** Does something with a folder of its own, which is gone afterwards. */
export async function withScratch<T>(work: (folder: string) => Promise<T>): Promise<T> {
  const folder = await scratchFolder()
  try {
    return await work(folder)
  } finally {
    await rm(folder, { recursive: true, force: true })
  }
}

const isAlive = (pid: number): boolean => {
  try {
    process.kill(pid, 0)
    return true
  } catch (error) {
    // Somebody else's, and alive.
    return (error as NodeJS.ErrnoException).code === 'EPERM'
  }
}

/**
 * Removes temporary folders that runs left behind which were killed.
 *
 * @returns how many
 */
export function sweepScratch(folder = tmpdir(), now = Date.now()): number {
  const names = readdirSync(folder).filter((name) => PREFIXES.some((prefix) => name.startsWith(prefix)))
  const left = names.filter((name) => {
    const pid = Number(/-(\d+)-\w+$/.exec(name)?.[1] ?? NaN)
    if (!Number.isNaN(pid)) return !isAlive(pid)
    return now - (statSync(join(folder, name), { throwIfNoEntry: false })?.mtimeMs ?? now) > OLD_MS
  })
  for (const name of left) rmSync(join(folder, name), { recursive: true, force: true })
  return left.length
}
