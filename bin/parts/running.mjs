import { mkdirSync, readFileSync, renameSync, rmSync, writeFileSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { setTimeout as wait } from 'node:timers/promises'

const noteOf = (root) => join(root, '.data/running.json')
const PATIENCE = 60_000
const STEP = 250

/** True while a process runs that was started by the same command; ids of ended processes are given out again. */
function isAlive({ pid, command }) {
  try {
    return readFileSync(`/proc/${pid}/cmdline`, 'utf8').split('\0').join(' ').includes(command)
  } catch {
    return false
  }
}

function read(root) {
  try {
    return JSON.parse(readFileSync(noteOf(root), 'utf8'))
  } catch {
    return null
  }
}

/**
 * Notes that the application runs from a checkout, unless it does already: two of them would share one database, and the
 * end of the one would take it from the other.
 *
 * @param root the checkout
 * @param command part of the command line that tells the application from other processes
 * @returns how to note its port and how to let go of it; `null` where another one runs
 */
export function claimRunning(root, command = 'start.mjs') {
  const note = noteOf(root)
  mkdirSync(dirname(note), { recursive: true, mode: 0o711 })
  for (let tries = 0; tries < 3; tries += 1) {
    const mine = { pid: process.pid, command, port: null }
    try {
      writeFileSync(note, JSON.stringify(mine), { flag: 'wx' })
      const isMine = () => read(root)?.pid === process.pid
      return {
        listensOn(port) {
          // Whole at once, so that nobody reads half of it.
          writeFileSync(`${note}.new`, JSON.stringify({ ...mine, port }))
          renameSync(`${note}.new`, note)
        },
        release() {
          if (isMine()) rmSync(note, { force: true })
        },
      }
    } catch (error) {
      if (error.code !== 'EEXIST') throw error
      const other = read(root)
      if (other && isAlive(other)) return null
      // Whoever left it was killed.
      rmSync(note, { force: true })
    }
  }
  return null
}

/** The port of the one that runs, waiting until it listens; null where it ended before that. */
export async function portOfRunning(root, patience = PATIENCE) {
  for (let waited = 0; waited <= patience; waited += STEP) {
    const other = read(root)
    if (!other || !isAlive(other)) return null
    if (other.port !== null) return other.port
    await wait(STEP)
  }
  return null
}
