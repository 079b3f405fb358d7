import { spawn } from 'node:child_process'
import { existsSync, mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import { claimRunning, portOfRunning } from './running.mjs'

let root: string
beforeEach(() => {
  root = mkdtempSync(join(tmpdir(), 'bold-ballast-running-'))
})
afterEach(() => rmSync(root, { recursive: true, force: true }))
const note = () => join(root, '.data/running.json')
/** Part of the command line of this very process. */
const HERE = process.argv[0]!

describe('claimRunning', () => {
  it('lets one in, tells the other its port, and is free again when the first has ended', async () => {
    const first = claimRunning(root, HERE)!
    expect(claimRunning(root, HERE)).toBeNull()
    setTimeout(() => first.listensOn(4611), 100)
    expect(await portOfRunning(root)).toBe(4611)
    expect(claimRunning(root, HERE)).toBeNull()
    first.release()
    expect(existsSync(note())).toBe(false)
    expect(await portOfRunning(root)).toBeNull()
    expect(claimRunning(root, HERE)).not.toBeNull()
  })
  it.each([
    ['a process that was killed', { pid: 2 ** 22 - 1, command: 'start.mjs', port: 4610 }],
    ['another process that got its id', { pid: process.pid, command: 'no such command', port: 4610 }],
  ])('takes over from %s', async (_what, left) => {
    mkdirSync(join(root, '.data'))
    writeFileSync(note(), JSON.stringify(left))
    expect(await portOfRunning(root)).toBeNull()
    expect(claimRunning(root, HERE)).not.toBeNull()
  })
  it('takes over from a note that is half written', () => {
    mkdirSync(join(root, '.data'))
    writeFileSync(note(), '{"pid":')
    expect(claimRunning(root, HERE)).not.toBeNull()
  })
  it('leaves the note of another one alone when it lets go', () => {
    const first = claimRunning(root, HERE)!
    const other = spawn('sleep', ['30'])
    writeFileSync(note(), JSON.stringify({ pid: other.pid, command: 'sleep', port: 1 }))
    first.release()
    expect(existsSync(note())).toBe(true)
    other.kill()
  })
})
